import { assess, type Assessment } from "../../assessment/assess.ts";
import type { WordedFinding } from "../../assessment/wording/catalogue.ts";
import type { Formula } from "../../formula/types.ts";
import { library, sheetOf, type WrittenLine } from "../../testing/exampleSheet.ts";
import type { FindingCode, NotJudged } from "../finding.ts";

export const water: WrittenLine = ["water-distilled", "q.s."];

export function read(lines: readonly WrittenLine[], changes: Partial<Formula> = {}): Assessment {
  return assess(sheetOf(lines, changes), library);
}

export function codesOf(lines: readonly WrittenLine[], changes: Partial<Formula> = {}): readonly FindingCode[] {
  return read(lines, changes).findings.map(({ code }) => code);
}

/** Findings of one code. */
export function found(code: FindingCode, lines: readonly WrittenLine[], changes: Partial<Formula> = {}): readonly WordedFinding[] {
  return read(lines, changes).findings.filter((finding) => finding.code === code);
}

export function unjudged(what: NotJudged["what"], lines: readonly WrittenLine[], changes: Partial<Formula> = {}): readonly NotJudged[] {
  return read(lines, changes).notJudged.filter((one) => one.what === what);
}
