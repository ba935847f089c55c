import MiniSearch from "minisearch";
import { lettersWrong } from "./lettersWrong.ts";

/**
 * Finds the one of many plain names that a typed one is near to, word for word: as many words, and in each at most as many
 * wrong letters as a slip makes. Null where none is.
 */
export function nearestName(names: readonly string[]): (typed: string) => string | null {
  const index = new MiniSearch<{ readonly id: number; readonly name: string }>({ fields: ["name"], tokenize: wordsOf });
  index.addAll(names.map((name, id) => ({ id, name })));
  return (typed) => {
    const words = wordsOf(typed).length;
    const hits = index.search(typed, { combineWith: "AND", fuzzy: lettersWrong });
    const found = hits.map(({ id }) => names[id as number] ?? "").find((name) => wordsOf(name).length === words);
    return found ?? null;
  };
}

function wordsOf(name: string): string[] {
  return name.split(" ");
}
