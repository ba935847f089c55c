import { aimKeys, noAim, type Aim } from "./aim.ts";
import type { Scale } from "../quantities/scales.ts";
import type { ProfileSlug } from "./profiles.ts";
import type { Formula, FormulaLine, MeasuredProduct, OpenPart, Phase, Split } from "./types.ts";

/** A phase of the sheet, or a named part of the batch, which has its own lines as a phase has. */
export interface DraftPhase extends Phase {
  readonly part?: DraftPart;
}

export interface DraftPart {
  /** Of the finished batch, %. */
  readonly sharePercent: number;
  readonly open: OpenPart | null;
}

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
  readonly phases: readonly DraftPhase[];
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

/** A phase, or a named part, as it is kept: a part has a share. */
export interface KeptPhase {
  readonly letter: string;
  readonly title: string;
  readonly temperatureC: number | null;
  readonly sharePercent: number | null;
  readonly addUpToPercent: number | null;
  readonly mayAdd: string;
}

export function draftPhase({ letter, title, temperatureC, sharePercent, addUpToPercent, mayAdd }: KeptPhase): DraftPhase {
  const open = addUpToPercent === null ? null : { addUpToPercent, ...(mayAdd === "" ? {} : { what: mayAdd }) };
  return {
    ...{ id: letter, title, ...(temperatureC === null ? {} : { temperatureC }) },
    ...(sharePercent === null ? {} : { part: { sharePercent, open } }),
  };
}

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
    phases: draft.phases.map(({ part: _, ...phase }) => phase),
    ...splitsKey(draft),
    lines: draft.lines.filter(({ phase }) => !draft.phases.some(({ id, part }) => id === phase && part !== undefined)).map(lineOfDraft),
  };
}

/** The parts in their order. A part is made up by the base: a line of it that is q.s. counts as 0 %. */
function splitsKey({ phases, lines }: Draft): { readonly splits?: readonly Split[] } {
  const splits = phases.flatMap(({ id, title = "", part }): readonly Split[] => {
    if (part === undefined) return [];
    const own = lines
      .filter(({ phase }) => phase === id)
      .map((line) => ({ ...lineOfDraft({ ...line, takesTheRest: false }), percent: line.percent ?? 0 }));
    return [{ name: partName(title, id), sharePercent: part.sharePercent, lines: own, ...(part.open === null ? {} : { open: part.open }) }];
  });
  return splits.length === 0 ? {} : { splits };
}

/** What a part is called: its title, or while it has none the letter of its phase. */
export function partName(title: string, letter: string): string {
  return title.trim() === "" ? `part ${letter}` : title.trim();
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
