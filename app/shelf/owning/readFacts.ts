import type { OwnFacts } from "@tensidrum/core/library";
import { readNumber } from "@tensidrum/core/quantities";
import type { FieldProblem } from "../../frame/formAnswer";
import { factPath, numberFields, spanFields, type TypedMaterial } from "./materialFields";

type TypedFacts = Pick<TypedMaterial, "active" | "numbers" | "spans" | "handling">;

/**
 * The facts that are typed; an empty field tells none. A number that cannot be read, or a span with one end, is named.
 * Whether the numbers are in range is for the format to say.
 */
export function readFacts(typed: TypedFacts): { readonly facts: OwnFacts; readonly problems: readonly FieldProblem[] } {
  const problems: FieldProblem[] = [];
  const say = (field: string, message: string): null => {
    problems.push({ field: factPath(field), message });
    return null;
  };
  const number = (text: string, field: string): number | null => {
    if (text.trim() === "") return null;
    const read = readNumber(text.replace(/%\s*$/, ""));
    return read.ok ? read.value : say(field, `“${text.trim()}” is no number. Write it as 1.05, or leave it empty.`);
  };
  const facts: Record<string, unknown> = {};
  for (const { field } of numberFields) {
    const value = number(typed.numbers[field], field);
    if (value !== null) facts[field] = value;
  }
  for (const { field } of spanFields) {
    const ends = typed.spans[field];
    const [low, high] = [number(ends.low, field), number(ends.high, field)];
    if (low !== null && high !== null) facts[field] = { low, high, ...(field === "phSupplied" ? { at: "as measured" } : {}) };
    else if ((ends.low.trim() === "") !== (ends.high.trim() === "")) say(field, "Type both limits, or leave both empty.");
  }
  const typical = number(typed.active.typical, "active");
  const [low, high] = [number(typed.active.low, "active"), number(typed.active.high, "active")];
  if (typical !== null) facts.active = { low: low ?? typical, typical, high: high ?? typical };
  else if (typed.active.low.trim() !== "" || typed.active.high.trim() !== "") say("active", "Give the typical strength too.");
  if (typed.handling.trim() !== "") facts.handling = typed.handling.trim();
  return { facts: facts as OwnFacts, problems };
}
