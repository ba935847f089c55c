import { judge } from "../findings/registry.ts";
import { withSafeCures } from "./safeCures.ts";
import type { FormulaReading } from "./readings.ts";
import { worded, type WordedFinding } from "./wording/catalogue.ts";
import { wordedNotJudged, type WordedNotJudged } from "./wording/missingWords.ts";

/** What the rules say of a formula. */
export interface Judgement {
  /** The most urgent first. */
  readonly findings: readonly WordedFinding[];
  readonly notJudged: readonly WordedNotJudged[];
}

/** Lets every rule speak on a formula that has been read. */
export function judgementOf({ read, lacking }: FormulaReading): Judgement {
  const { findings, notJudged } = judge(read);
  return { findings: worded(findings, read.sheet.materials), notJudged: wordedNotJudged([...notJudged, ...lacking], read.sheet.materials) };
}

/** The same for a sheet that offers its cures: each is tried before it is offered, which takes a reading for every one. */
export function judgementWithCures(reading: FormulaReading): Judgement {
  const { findings, notJudged } = judgementOf(reading);
  return { findings: withSafeCures(reading, findings), notJudged };
}
