import { isBlank, readNumber } from "@tensidrum/core/quantities";
import type { FieldProblem } from "../frame/formAnswer";
import { cellPath, type TypedRow } from "./rows";

export type SayProblem = (field: string, message: string) => null;

const NAME_LENGTH = 60;

/** Reads every row; what is wrong is named at its cell. Two of one name are one too many. */
export function readEachRow<Thing>(
  typed: readonly TypedRow[],
  what: string,
  read: (row: TypedRow, say: SayProblem) => Thing,
): { readonly things: readonly Thing[]; readonly problems: readonly FieldProblem[] } {
  const problems: FieldProblem[] = [];
  const names = new Set<string>();
  const things = typed.map((one) => {
    const say: SayProblem = (field, message) => {
      problems.push({ field: cellPath(one.id, field), message });
      return null;
    };
    const name = one.cells.name ?? "";
    if (isBlank(name)) say("name", `Give the ${what} a name.`);
    if (name.length > NAME_LENGTH) say("name", `At most ${NAME_LENGTH} characters.`);
    if (name !== "" && names.has(name)) say("name", `Two have this name.`);
    names.add(name);
    return read(one, say);
  });
  return { things, problems };
}

/** A number of a cell with or without its unit, or null where it is none or out of range. */
export function numberOfCell(text: string, { least, most }: { readonly least: number; readonly most: number }): number | null {
  const read = readNumber(text.replace(/\s*(g|mL)\s*$/i, ""));
  return read.ok && read.value >= least && read.value <= most ? read.value : null;
}
