/** Stands in for a character that was taken out, so that its place shows. */
export const MARK = "\ufffd";

/**
 * Control characters but tab and line ends, halves of a surrogate pair, and the marks that turn the direction of the text
 * after them: none of them shows, the first two cannot be stored, the last make a text read as another one.
 */
const HIDDEN = /(?![\t\n\r\u0085])\p{Cc}|[\u202a-\u202e\u2066-\u2069]|\p{Cs}/u;
const EVERY_HIDDEN = new RegExp(HIDDEN, "gu");

/** Spaces, format characters and letters that are drawn as nothing. */
const INVISIBLE = /[\s\p{Z}\p{Cf}\p{Cc}\u115f\u1160\u2800\u3164\uffa0\p{Variation_Selector}]/gu;

/** The text with a mark in place of every character that does not show or cannot be stored. */
export function withHiddenMarked(text: string): string {
  return HIDDEN.test(text) ? text.replace(EVERY_HIDDEN, MARK) : text;
}

/** Whether nothing of a text shows: it is empty, or spaces and zero-width characters alone. */
export function isBlank(text: string): boolean {
  return text.replace(INVISIBLE, "") === "";
}

/** What is wrong with a text as text, in a sentence; null when nothing is. Marked characters count, so that what was marked is told. */
export function textProblem(text: string): string | null {
  const found = HIDDEN.exec(text)?.[0];
  if (found !== undefined) return `It has a hidden character (${codePointOf(found)}). Delete it and type it again.`;
  return text.includes(MARK) ? `It has a hidden or broken character, shown as ${MARK}. Delete it and type it again.` : null;
}

function codePointOf(character: string): string {
  return `U+${(character.codePointAt(0) ?? 0).toString(16).toUpperCase().padStart(4, "0")}`;
}
