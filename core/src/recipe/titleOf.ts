import type { Recipe } from "./readRecipe.ts";

/** A longer line is a sentence, no title. */
const LONGEST_TITLE = 60;

/** What the recipe is called: its first line, where that is neither an ingredient nor a sentence. Null where it has no title. */
export function titleOf({ lines }: Recipe): string | null {
  const first = lines.find(({ kind }) => kind !== "blank");
  if (first === undefined || (first.kind !== "note" && first.kind !== "total")) return null;
  const title = first.text
    .replace(/[#*_]+/gu, " ")
    .split(/\s[–—-]\s|[,:(]/u)[0]
    ?.replace(/\s+/gu, " ")
    .trim();
  const isTitle = title !== undefined && /\p{L}{3}/u.test(title) && !/\d|[.!?]$/u.test(title) && title.length <= LONGEST_TITLE;
  return isTitle ? title : null;
}
