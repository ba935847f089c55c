/** Longest slug of the open formats, characters. */
const LONGEST = 120;

/**
 * A slug from a name: "Juniper & birch, 2 : 1" becomes "juniper-birch-2-1". One that is taken gets the next free number
 * behind it; a name without a letter or digit becomes "material".
 */
export function slugOf(name: string, taken: ReadonlySet<string>): string {
  const plain = name
    .normalize("NFD")
    .replace(/[\u0300-\u036f]/g, "")
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .slice(0, LONGEST - 6)
    .replace(/^-+|-+$/g, "");
  const base = plain === "" ? "material" : plain;
  let free = base;
  for (let number = 2; taken.has(free); number += 1) free = `${base}-${number}`;
  return free;
}
