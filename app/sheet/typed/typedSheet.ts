/** A lot a line is weighed from: its grams as typed, empty for what the others leave, and what the shelf knows of it. */
export interface TypedLineLot {
  readonly lotId: string;
  readonly code: string;
  readonly grams: string;
  /** By its certificate, %; null where there is none. */
  readonly assayPercent: number | null;
  /** Null where unknown. */
  readonly pricePerGram: number | null;
}

/** A line as it stands in the cells: text, not yet numbers. */
export interface TypedLine {
  readonly id: string;
  readonly phase: string;
  readonly materialId: string;
  /** What stands in the percent cell; ignored on the q.s. line. */
  readonly percent: string;
  /** Active content by the lot's certificate, as typed; empty where none is known. Lots that are chosen stand above it. */
  readonly assay: string;
  /** As the recipe it came from has it; what a line without a material yet goes by. */
  readonly asWritten?: string;
  /** From which lots it is weighed. */
  readonly lots?: readonly TypedLineLot[];
}

export interface TypedPhase {
  readonly letter: string;
  readonly title: string;
  /** °C as typed; empty is room temperature. */
  readonly temperature: string;
  /** Where it is a named part of the batch. */
  readonly part?: TypedPart;
}

/** A part of the batch as typed: its lines are shares of it, and the base makes up the rest. */
export interface TypedPart {
  /** Of the batch, in % or in g. */
  readonly share: string;
  /** What others may add, % of what they finish; empty where it is finished. */
  readonly addUpTo: string;
  /** What that may be. */
  readonly mayAdd: string;
}

/** The aim as chosen and typed. */
export interface TypedAim {
  readonly school: string;
  readonly eyeArea: boolean;
  readonly look: string;
  readonly leftOn: "profile" | "left" | "rinsed";
  readonly forWhom: string;
  readonly thickness: string;
  /** Words parted by commas. */
  readonly without: string;
  readonly closeTo: string;
}

export const noTypedAim: TypedAim = {
  school: "none",
  eyeArea: false,
  look: "any",
  leftOn: "profile",
  forWhom: "",
  thickness: "any",
  without: "",
  closeTo: "",
};

/** What was measured on the product, as typed; empty where nobody did. */
export interface TypedMeasured {
  readonly ph: string;
  readonly density: string;
}

export const nothingTypedMeasured: TypedMeasured = { ph: "", density: "" };

/** The sheet as typed. Lines stand in the order of their phases. */
export interface TypedSheet {
  readonly name: string;
  readonly profile: string;
  readonly batch: string;
  readonly aim: TypedAim;
  readonly measured: TypedMeasured;
  readonly phases: readonly TypedPhase[];
  readonly lines: readonly TypedLine[];
  readonly restLineId: string | null;
  /** What the recipe, or the maker, says of making it; a sentence a line. */
  readonly method?: string;
}

export const NAME_LENGTH = 120;
export const PHASE_TITLE_LENGTH = 40;
export const MAY_ADD_LENGTH = 300;
export const AIM_WORDS_LENGTH = 120;
export const WITHOUT_LENGTH = 200;
export const AS_WRITTEN_LENGTH = 300;
export const METHOD_LENGTH = 20_000;
export const NOTE_LENGTH = 2000;
export const MOST_LINES = 300;

/** Phases by their letters, the parts behind them. */
export function inLetterOrder(phases: readonly TypedPhase[]): readonly TypedPhase[] {
  const place = ({ letter, part }: TypedPhase): string => `${part === undefined ? 0 : 1}${letter}`;
  return phases.toSorted((a, b) => (place(a) < place(b) ? -1 : 1));
}

/** The next free phase letter, or null when all 26 are taken. */
export function nextPhaseLetter(phases: readonly TypedPhase[]): string | null {
  const taken = new Set(phases.map((phase) => phase.letter));
  for (let code = 65; code <= 90; code += 1) {
    const letter = String.fromCharCode(code);
    if (!taken.has(letter)) return letter;
  }
  return null;
}
