import { readNumber } from "@tensidrum/core/quantities";
import type { Measurements } from "@tensidrum/core/comparison";
import type { FieldProblem } from "../../frame/formAnswer";
import { readingFields, type ReadingField, type ReadReadings, type TypedReadings } from "./fields";

/** Reads what was measured, or says at which field it must be fixed. */
export function readReadings(typed: TypedReadings): { readonly read: ReadReadings; readonly problems: readonly FieldProblem[] } {
  const problems: FieldProblem[] = [];
  const entries = readingFields.map(({ field, label, unit, least, most, isOpenBelow }): readonly [ReadingField, number | null] => {
    if (typed[field] === "") return [field, null];
    const read = readNumber(typed[field]);
    const isWithin = read.ok && read.value <= most && (isOpenBelow ? read.value > least : read.value >= least);
    if (isWithin && read.ok) return [field, read.value];
    const span = isOpenBelow ? `above ${least}` : `from ${least} to ${most}`;
    problems.push({ field, message: `Give ${label.replace(/, 1 to 5$/, "")} as a number ${span}${unit === "" ? "" : `, in ${unit}`}.` });
    return [field, null];
  });
  const read = Object.fromEntries(entries) as unknown as ReadReadings;
  if ((read.foamAfterFiveMm ?? 0) > (read.foamAtOnceMm ?? Infinity)) {
    problems.push({ field: "foamAfterFiveMm", message: "Foam only falls: this is more than at once." });
  }
  return { read, problems };
}

/** What was read as what is compared. */
export function measurementsOf(read: ReadReadings): Measurements {
  const { foamAtOnceMm, foamAfterFiveMm, ph, pascalSeconds, funnelSeconds, slip, rinse, afterFeel, scent } = read;
  const stays = foamAtOnceMm === null || foamAfterFiveMm === null || foamAtOnceMm === 0 ? null : (100 * foamAfterFiveMm) / foamAtOnceMm;
  const all = { ph, pascalSeconds, funnelSeconds, foamAtOnceMm, foamStaysPercent: stays, slip, rinse, afterFeel, scent };
  return Object.fromEntries(Object.entries(all).filter(([, value]) => value !== null)) as Measurements;
}
