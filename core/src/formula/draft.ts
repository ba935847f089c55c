import { aimKeys, noAim, type Aim } from "./aim.ts";
import type { Scale } from "../quantities/scales.ts";
import type { ProfileSlug } from "./profiles.ts";
import type { Formula, FormulaLine, MeasuredProduct, Phase } from "./types.ts";

/** A line as it is worked on: it may still lack its number. */
export interface DraftLine {
  readonly id: string;
  readonly phase: string;
  /** Slug of the material. */
  readonly material: string;
  /** % w/w; null while nothing is typed, and on the q.s. line. */
  readonly percent: number | null;
  readonly takesTheRest: boolean;
  readonly assayPercent: number | null;
  readonly asWritten?: string;
}

export interface Draft {
  readonly name: string;
  readonly profile: ProfileSlug;
  readonly batchGrams: number;
  readonly scales: readonly Scale[];
  readonly phases: readonly Phase[];
  readonly lines: readonly DraftLine[];
  readonly aim?: Aim;
  readonly measured?: Measured;
  /** What is said of making it, a sentence a line. */
  readonly method?: string;
}

/** What was measured on the product; null where nothing was. */
export interface Measured {
  readonly ph: number | null;
  readonly densityGramsPerMl: number | null;
}

export const nothingMeasured: Measured = { ph: null, densityGramsPerMl: null };

/** The formula a draft stands for. A line without a number yet counts as 0 %. */
export function formulaOfDraft(draft: Draft): Formula {
  return {
    format: "tensidrum-formula/1",
    name: draft.name,
    profile: draft.profile,
    ...aimKeys(draft.aim ?? noAim),
    batchGrams: draft.batchGrams,
    scales: draft.scales.map(({ name, readabilityGrams, capacityGrams }) => ({ name, readabilityGrams, capacityGrams })),
    ...measuredKey(draft.measured ?? nothingMeasured),
    ...(draft.method === undefined || draft.method === "" ? {} : { method: draft.method }),
    phases: draft.phases,
    lines: draft.lines.map(lineOfDraft),
  };
}

function measuredKey({ ph, densityGramsPerMl }: Measured): { readonly measured?: MeasuredProduct } {
  if (ph === null && densityGramsPerMl === null) return {};
  return { measured: { ...(ph === null ? {} : { ph }), ...(densityGramsPerMl === null ? {} : { densityGramsPerMl }) } };
}

function lineOfDraft(line: DraftLine): FormulaLine {
  const { id, phase, material } = line;
  const beside = {
    ...(line.assayPercent === null ? {} : { assayPercent: line.assayPercent }),
    ...(line.asWritten === undefined || line.asWritten === "" ? {} : { asWritten: line.asWritten }),
  };
  if (line.takesTheRest) return { id, phase, material, qs: true, ...beside };
  return { id, phase, material, percent: line.percent ?? 0, ...beside };
}
