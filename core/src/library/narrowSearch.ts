/** A list up to this long is ranked as a whole. */
export const SHORT_LIST = 400;
/** So many of a longer one are ranked with care. */
const CAREFULLY_RANKED = 150;

/** A word of which a smaller part of its threes is found does not count as there. */
const LEAST_SHARE = 0.34;
/** Added where a word begins a name: it is most likely meant. */
const BEGINS_NAME = 0.5;

/**
 * Narrows a long list of texts to the likeliest few hundred before they are ranked with care: every word must stand in a
 * text, or share a third of its letter threes with it, so that a slip of spelling still finds it. Returns places in the
 * list, the likeliest first.
 */
export function narrowSearch(texts: readonly string[]): (words: readonly string[]) => readonly number[] {
  const lower = texts.map((text) => text.toLowerCase());
  const placesOf = new Map<string, number[]>();
  lower.forEach((text, place) => {
    for (const three of threesOf(text)) {
      const places = placesOf.get(three);
      if (places === undefined) placesOf.set(three, [place]);
      else places.push(place);
    }
  });
  return (words) => {
    const scores = new Float32Array(lower.length).fill(0);
    const isOut = new Uint8Array(lower.length);
    for (const word of words) {
      const threes = threesOf(word);
      const shared = new Uint16Array(lower.length);
      for (const three of threes) for (const place of placesOf.get(three) ?? []) shared[place] = (shared[place] ?? 0) + 1;
      lower.forEach((text, place) => {
        if (isOut[place] === 1) return;
        const share = threes.size > 0 ? (shared[place] ?? 0) / threes.size : 0;
        // A text without all threes of a word cannot hold it.
        const holds = (share === 1 || threes.size === 0) && text.includes(word);
        if (!holds && share < LEAST_SHARE) isOut[place] = 1;
        else scores[place] = (scores[place] ?? 0) + (holds ? 1 : share * 0.9) + (holds && text.startsWith(word) ? BEGINS_NAME : 0);
      });
    }
    const left = [...lower.keys()].filter((place) => isOut[place] === 0);
    return left.sort((a, b) => (scores[b] ?? 0) - (scores[a] ?? 0) || a - b).slice(0, CAREFULLY_RANKED);
  };
}

function threesOf(text: string): ReadonlySet<string> {
  const threes = new Set<string>();
  for (let at = 0; at + 3 <= text.length; at += 1) threes.add(text.slice(at, at + 3));
  return threes;
}
