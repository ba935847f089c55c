export type ReadAnswer = { readonly tester: number } & ({ readonly chosen: string } | { readonly ratings: number[] });

const LINE = /^\D{0,10}(\d{1,3})\D{1,5}(\d{3})\s*$/;

const RATED = /^\D{0,10}(\d{1,3})\D{1,5}([1-5])\D{1,5}([1-5])\s*$/;

/**
 * Reads the marks testers gave, a line each: the tester's number and a mark from 1 to 5 for each cup in the order of tasting, as
 * "3 4 2".
 */
export function readRatings(
  text: string,
  testers: ReadonlySet<number>,
): { readonly answers: readonly ReadAnswer[] } | { readonly problem: string } {
  const lines = linesOf(text);
  if (lines.length === 0) return { problem: "Type a tester and both marks on each line: 3 4 2." };
  const answers: ReadAnswer[] = [];
  for (const line of lines) {
    const [, number = "", first = "", second = ""] = RATED.exec(line) ?? [];
    if (number === "") return { problem: `“${line.slice(0, 40)}” is no tester and two marks from 1 to 5. Write 3 4 2.` };
    if (!testers.has(Number(number))) return { problem: `There is no tester ${number} in this test.` };
    answers.push({ tester: Number(number), ratings: [Number(first), Number(second)] });
  }
  return { answers };
}

function linesOf(text: string): readonly string[] {
  return text
    .split("\n")
    .map((line) => line.trim())
    .filter((line) => line !== "");
}

/**
 * Reads what testers chose, a line each: the tester's number and the code of the cup, as "3 482" or "T3; 482".
 * @param sheets codes of each tester
 */
export function readAnswers(
  text: string,
  sheets: ReadonlyMap<number, readonly string[]>,
): { readonly answers: readonly ReadAnswer[] } | { readonly problem: string } {
  const lines = linesOf(text);
  if (lines.length === 0) return { problem: "Type a tester and a code on each line: 3 482." };
  const answers: ReadAnswer[] = [];
  for (const line of lines) {
    const [, number = "", chosen = ""] = LINE.exec(line) ?? [];
    const codes = sheets.get(Number(number));
    if (number === "") return { problem: `“${line.slice(0, 40)}” is no tester and code. Write 3 482.` };
    if (codes === undefined) return { problem: `There is no tester ${number} in this test.` };
    if (!codes.includes(chosen)) return { problem: `Tester ${number} has no cup ${chosen}; they have ${codes.join(", ")}.` };
    answers.push({ tester: Number(number), chosen });
  }
  return { answers };
}
