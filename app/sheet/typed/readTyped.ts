import type { Aim, KeptPhase, Measured, ProfileSlug } from "@tensidrum/core/formula";
import { partName, profileOf } from "@tensidrum/core/formula";
import { isBlank, readMassGrams, readNumber, readPercent, textProblem, writtenShort, type ReadNumber } from "@tensidrum/core/quantities";
import type { FieldProblem } from "../../frame/formAnswer";
import { readAim } from "./readAim";
import { massProblem, percentProblem } from "./numberWords";
import { lotsOfLine } from "@tensidrum/core/inventory";
import { METHOD_LENGTH, MOST_LINES, NAME_LENGTH, type TypedLine, type TypedLineLot, type TypedPart, type TypedSheet } from "./typedSheet";

/** The field a sentence belongs to, by its name in the form: "batch", "lines.<line id>.percent", "phases.A.title". */
export type FieldKey = string;

export interface ReadLine {
  readonly id: string;
  readonly phase: string;
  readonly materialId: string;
  readonly percent: number | null;
  readonly takesTheRest: boolean;
  /** By the lots it is weighed from, else by the certificate that was typed. */
  readonly assayPercent: number | null;
  readonly asWritten: string;
  readonly lots: readonly { readonly lotId: string; readonly grams: number | null }[];
}

export interface ReadSheet {
  readonly name: string;
  readonly profile: ProfileSlug;
  readonly batchGrams: number;
  readonly aim: Aim;
  readonly measured: Measured;
  readonly phases: readonly KeptPhase[];
  readonly lines: readonly ReadLine[];
  readonly method: string;
}

export const percentField = (lineId: string): FieldKey => `lines.${lineId}.percent`;
export const titleField = (letter: string): FieldKey => `phases.${letter}.title`;
export const temperatureField = (letter: string): FieldKey => `phases.${letter}.temperature`;
export const shareField = (letter: string): FieldKey => `phases.${letter}.share`;
export const addUpToField = (letter: string): FieldKey => `phases.${letter}.addUpTo`;
export const mayAddField = (letter: string): FieldKey => `phases.${letter}.mayAdd`;
export const assayField = (lineId: string): FieldKey => `lines.${lineId}.assay`;

const FALLBACK_PROFILE: ProfileSlug = "everyday-shampoo";

/**
 * Reads the cells. What cannot be read is named field by field; in `sheet` such a percent counts as not typed and a
 * batch as `lastBatchGrams`, so that the readings can go on while something is half typed.
 */
export function readTyped(typed: TypedSheet, lastBatchGrams: number): { sheet: ReadSheet; problems: readonly FieldProblem[] } {
  const problems: FieldProblem[] = [];
  const say = (field: FieldKey, message: string) => problems.push({ field, message });

  const sayOfText = (field: FieldKey, text: string, place = ""): void => {
    const problem = textProblem(text);
    if (problem !== null) say(field, `${place}${problem}`);
  };
  const name = isBlank(typed.name) ? "" : typed.name.trim();
  sayOfText("name", name);
  if (name.length > NAME_LENGTH) say("name", `A name has at most ${NAME_LENGTH} characters, this one has ${name.length}.`);

  const profile = profileOf(typed.profile)?.slug;
  if (profile === undefined) say("profile", "Choose one of the profiles listed.");

  const batch = readMassGrams(typed.batch);
  if (!batch.ok) say("batch", massProblem(batch));

  if (typed.lines.length > MOST_LINES) say("lines", `A sheet holds at most ${MOST_LINES} lines, this one has ${typed.lines.length}.`);

  const method = isBlank(typed.method ?? "") ? "" : (typed.method ?? "").trim();
  if (method.length > METHOD_LENGTH) say("method", `A method has at most ${METHOD_LENGTH} characters, this one has ${method.length}.`);

  const { forWhom, without, closeTo } = typed.aim;
  sayOfText("aim.forWhom", forWhom, "For whom: ");
  sayOfText("aim.without", without, "Without: ");
  sayOfText("aim.closeTo", closeTo, "Close to: ");
  for (const { letter, title, part } of typed.phases) {
    sayOfText(titleField(letter), title, `Title of phase ${letter}: `);
    sayOfText(mayAddField(letter), part?.mayAdd ?? "", "May be added: ");
  }
  const batchGrams = batch.ok ? batch.value : lastBatchGrams;
  const phases = typed.phases.map(({ letter, title, temperature, part }) => ({
    letter,
    title,
    temperatureC: readTemperature(temperature, temperatureField(letter), say),
    ...(part === undefined ? noPart : readPart(letter, part, batchGrams, say)),
  }));
  sayOfParts(typed, phases, say);
  const lines = typed.lines.map((line) => readLine(line, { restLineId: typed.restLineId, batchGrams, say }));
  return {
    sheet: {
      name,
      profile: profile ?? FALLBACK_PROFILE,
      batchGrams,
      aim: readAim(typed.aim),
      measured: {
        ph: readWithin(typed.measured.ph, PH, say),
        densityGramsPerMl: readWithin(typed.measured.density, DENSITY, say),
      },
      phases,
      lines,
      method,
    },
    problems,
  };
}

type Say = (field: FieldKey, message: string) => void;

const noPart = { sharePercent: null, addUpToPercent: null, mayAdd: "" } as const;

/** What a share is until it can be read: so that the part stays a part. */
const UNREAD_SHARE_PERCENT = 1;

function readPart(
  letter: string,
  { share, addUpTo, mayAdd }: TypedPart,
  batchGrams: number,
  say: Say,
): typeof noPart | Omit<KeptPhase, "letter" | "title" | "temperatureC"> {
  const read = readShare(share, batchGrams);
  if (!read.ok || read.value <= 0 || read.value > 100)
    say(shareField(letter), "Give the share of this part: above 0 and up to 100 %, or its grams with the unit.");
  const sharePercent = read.ok && read.value > 0 && read.value <= 100 ? read.value : UNREAD_SHARE_PERCENT;
  const most = readPercent(addUpTo);
  if (!most.ok && most.problem === "empty") return { sharePercent, addUpToPercent: null, mayAdd };
  if (most.ok && most.value > 0 && most.value < 100) return { sharePercent, addUpToPercent: most.value, mayAdd };
  say(addUpToField(letter), "What others may add lies above 0 and below 100 % of what they finish.");
  return { sharePercent, addUpToPercent: null, mayAdd };
}

/** A share in %, or in grams of the batch: 290 g of 900 g are 32.2 %. */
export function readShare(share: string, batchGrams: number): ReadNumber {
  if (!/(?:g|oz)\s*$/i.test(share)) return readPercent(share);
  const read = readMassGrams(share);
  return read.ok ? { ok: true, value: (100 * read.value) / batchGrams } : read;
}

/** More than this is more than the batch, %: shares that were divided by three are rounded. */
const WHOLE_PERCENT = 100.005;

/** What parts cannot be together: two of one name, more than the batch, or filled up by a line of their own. */
function sayOfParts(typed: TypedSheet, phases: readonly KeptPhase[], say: Say): void {
  const parts = phases.filter(({ sharePercent }) => sharePercent !== null);
  const names = parts.map(({ title, letter }) => partName(title, letter));
  parts.forEach(({ letter }, at) => {
    if (names.indexOf(names[at] ?? "") < at) say(titleField(letter), "Another part has this name.");
  });
  const shares = parts.reduce((sum, { sharePercent }) => sum + (sharePercent ?? 0), 0);
  const last = parts.at(-1);
  if (last !== undefined && shares > WHOLE_PERCENT)
    say(shareField(last.letter), `The parts come to ${writtenShort(shares, 2)} %, more than the batch.`);
  const rest = typed.lines.find(({ id }) => id === typed.restLineId);
  if (rest !== undefined && parts.some(({ letter }) => letter === rest.phase))
    say(percentField(rest.id), "A part is made up by the base: q.s. stands in a phase. Choose another line for it.");
}

interface LineAround {
  readonly restLineId: string | null;
  readonly batchGrams: number;
  readonly say: (field: FieldKey, message: string) => void;
}

function readLine(line: TypedLine, { restLineId, batchGrams, say }: LineAround): ReadLine {
  const takesTheRest = line.id === restLineId;
  const { id, phase, materialId } = line;
  const percent = takesTheRest ? null : readCell(line.percent, percentField(id), say);
  const lots = (line.lots ?? []).map((lot) => ({ ...lot, grams: readLotGrams(lot, assayField(id), say) }));
  const mix = lotsOfLine(lots, percent === null ? null : (batchGrams * percent) / 100);
  return {
    id,
    phase,
    materialId,
    takesTheRest,
    percent,
    asWritten: line.asWritten ?? "",
    assayPercent: lots.length > 0 ? mix.assayPercent : readAssay(line.assay, assayField(id), say),
    lots: lots.map(({ lotId, grams }) => ({ lotId, grams })),
  };
}

/** Grams of one lot; empty is what the others leave. */
function readLotGrams({ code, grams }: TypedLineLot, field: FieldKey, say: LineAround["say"]): number | null {
  const read = readMassGrams(grams);
  if (read.ok) return read.value;
  if (read.problem !== "empty") say(field, `${massProblem(read)} For lot ${code}.`);
  return null;
}

function readCell(text: string, field: FieldKey, say: (field: FieldKey, message: string) => void): number | null {
  const read = readPercent(text);
  if (read.ok) return read.value;
  if (read.problem !== "empty") say(field, percentProblem(read));
  return null;
}

function readAssay(text: string, field: FieldKey, say: (field: FieldKey, message: string) => void): number | null {
  const read = readCell(text, field, say);
  if (read !== 0) return read;
  say(field, "A certificate of 0 % is none. Leave it empty or give more than 0.");
  return null;
}

interface Within {
  readonly field: FieldKey;
  readonly low: number;
  readonly high: number;
  readonly message: string;
}

const PH: Within = { field: "measured.ph", low: 0, high: 14, message: "A pH lies from 0 to 14." };
const DENSITY: Within = { field: "measured.density", low: 0.1, high: 3, message: "A density lies from 0.1 to 3 g/mL." };

function readWithin(text: string, { field, low, high, message }: Within, say: (field: FieldKey, message: string) => void): number | null {
  const read = readNumber(text);
  if (read.ok && read.value >= low && read.value <= high) return read.value;
  if (read.ok || read.problem !== "empty") say(field, message);
  return null;
}

const COLDEST_C = -20;
const HOTTEST_C = 150;

function readTemperature(text: string, field: FieldKey, say: (field: FieldKey, message: string) => void): number | null {
  if (text.trim() === "") return null;
  const celsius = Number(
    text
      .trim()
      .replace(",", ".")
      .replace("\u2212", "-")
      .replace(/\s*°?\s*C$/i, ""),
  );
  if (Number.isFinite(celsius) && celsius >= COLDEST_C && celsius <= HOTTEST_C) return celsius;
  say(field, `A phase has from ${COLDEST_C} to ${HOTTEST_C} °C.`);
  return null;
}
