interface Answer {
  readonly tester: number;
  readonly chosen: string;
}

const LINE = /^\D{0,10}(\d{1,3})\D{1,5}(\d{3})\s*$/;

/**
 * Reads what testers chose, a line each: the tester's number and the code of the cup, as "3 482" or "T3; 482".
 * @param sheets codes of each tester
 */
export function readAnswers(
  text: string,
  sheets: ReadonlyMap<number, readonly string[]>,
): { readonly answers: readonly Answer[] } | { readonly problem: string } {
  const lines = text.split("\n").filter((line) => line.trim() !== "");
  if (lines.length === 0) return { problem: "Type a tester and a code on each line: 3 482." };
  const answers: Answer[] = [];
  for (const line of lines) {
    const [, number = "", chosen = ""] = LINE.exec(line.trim()) ?? [];
    const codes = sheets.get(Number(number));
    if (number === "") return { problem: `“${line.trim().slice(0, 40)}” is no tester and code. Write 3 482.` };
    if (codes === undefined) return { problem: `There is no tester ${number} in this test.` };
    if (!codes.includes(chosen)) return { problem: `Tester ${number} has no cup ${chosen}; they have ${codes.join(", ")}.` };
    answers.push({ tester: Number(number), chosen });
  }
  return { answers };
}
