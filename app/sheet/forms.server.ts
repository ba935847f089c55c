import { looks, schools, thicknessWishes } from "@tensidrum/core/formula";
import { Refusal } from "@tensidrum/core/quantities";
import Joi from "joi";
import { AIM_WORDS_LENGTH, NOTE_LENGTH, PHASE_TITLE_LENGTH, WITHOUT_LENGTH, type TypedLineLot, type TypedSheet } from "./typed/typedSheet";
import type { FieldProblem } from "./typed/readTyped";
import { idField } from "../frame/readForm.server";

/** Longest text a cell may send; what it should be is said at the field. */
const LONGEST_CELL = 5000;
const MOST_ROWS = 2000;
const MOST_UNANSWERED = 32;
/** Largest number of its column. */
const MOST_REVISION = 2_147_483_647;

const cell = Joi.string().allow("").max(LONGEST_CELL);
const rows = (item: Joi.Schema) => Joi.array().items(item).max(MOST_ROWS).default([]);

/** What a button of the sheet's form asks for. */
export type SheetIntent =
  | {
      readonly kind:
        | "save"
        | "set"
        | "find"
        | "add-phase"
        | "up"
        | "down"
        | "begin-draft"
        | "branch"
        | "as-material"
        | "restore"
        | "discard-draft"
        | "delete-formula"
        /** Enter was pressed in a field of a version that cannot be changed. */
        | "stay";
    }
  | { readonly kind: "remove" | "add"; readonly id: string };

export interface SheetForm {
  readonly intent: SheetIntent;
  readonly versionId: string;
  readonly revision: number;
  readonly typed: TypedSheet;
  readonly note: string;
  readonly find: string;
  /** Line that is to move one place. */
  readonly moveLine: string;
  /** Phase and id of a line about to be added. */
  readonly newPhase: string;
  readonly newId: string;
  /** Identifier of this save, and of earlier ones whose answers the page never got. */
  readonly saveId: string;
  readonly unanswered: readonly string[];
  readonly problems: readonly FieldProblem[];
}

interface RawForm {
  intent: string;
  versionId: string;
  revision: number;
  name: string;
  profile: string;
  batch: string;
  phaseLetter: string[];
  phaseTitle: string[];
  phaseTemperature: string[];
  aimSchool: string;
  aimEyeArea?: "on";
  aimLook: string;
  aimLeftOn: "profile" | "left" | "rinsed";
  aimForWhom: string;
  aimThickness: string;
  aimWithout: string;
  aimCloseTo: string;
  measuredPh: string;
  measuredDensity: string;
  line: string[];
  linePercent: string[];
  restLine: string[];
  note: string;
  find: string;
  moveLine: string;
  newPhase: string;
  newId: string;
  saveId: string;
  unanswered: string[];
}

const letter = Joi.string().pattern(/^[A-Z]$/);

const plainIntent = /^(save|set|find|add-phase|up|down|begin-draft|branch|as-material|restore|discard-draft|delete-formula|stay)$/;
const aimedIntent = /^(remove|add):([0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})$/;

const UUID_LENGTH = 36;
const UUID = "[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}";
const MOST_LOTS = 12;
/** Id, phase, material with its lots, and the certificate's strength as typed. */
const lineField = new RegExp(`^(${UUID}) ([A-Z]) (${UUID})((?:\\|${UUID}=[^|\\s]{0,60}){0,${MOST_LOTS}}) (.*)$`, "s");

const schema = Joi.object<RawForm>({
  intent: Joi.alternatives(Joi.string().pattern(plainIntent), Joi.string().pattern(aimedIntent)).required(),
  versionId: idField.required(),
  revision: Joi.number().integer().min(0).max(MOST_REVISION).required(),
  name: cell.required(),
  profile: cell.required(),
  batch: cell.required(),
  phaseLetter: rows(letter).unique().min(1),
  phaseTitle: rows(Joi.string().allow("").max(PHASE_TITLE_LENGTH)),
  phaseTemperature: rows(Joi.string().allow("").max(20)),
  aimSchool: Joi.string()
    .valid(...schools.map(({ slug }) => slug))
    .default("none"),
  aimEyeArea: Joi.valid("on"),
  aimLook: Joi.string()
    .valid(...looks)
    .default("any"),
  aimLeftOn: Joi.string().valid("profile", "left", "rinsed").default("profile"),
  aimForWhom: Joi.string().allow("").max(AIM_WORDS_LENGTH).default(""),
  aimThickness: Joi.string()
    .valid(...thicknessWishes)
    .default("any"),
  aimWithout: Joi.string().allow("").max(WITHOUT_LENGTH).default(""),
  aimCloseTo: Joi.string().allow("").max(AIM_WORDS_LENGTH).default(""),
  measuredPh: cell.default(""),
  measuredDensity: cell.default(""),
  line: rows(Joi.string().pattern(lineField).max(LONGEST_CELL)),
  linePercent: rows(cell),
  restLine: rows(Joi.string().allow("")),
  note: Joi.string().allow("").max(NOTE_LENGTH).default(""),
  find: Joi.string().allow("").max(200).default(""),
  moveLine: idField.allow("").default(""),
  newPhase: letter.default("A"),
  newId: idField.default(() => crypto.randomUUID()),
  saveId: idField.default(() => crypto.randomUUID()),
  unanswered: Joi.array().items(idField).max(MOST_UNANSWERED).default([]),
}).custom((form: RawForm, helpers) => {
  const { line, linePercent, phaseLetter, phaseTitle, phaseTemperature } = form;
  if (linePercent.length !== line.length || phaseTitle.length !== phaseLetter.length || phaseTemperature.length > phaseLetter.length)
    return helpers.error("form.uneven");
  const ids = new Set(line.map((field) => field.slice(0, UUID_LENGTH)));
  if (ids.size !== line.length) return helpers.error("form.twice");
  if (line.some((field) => !phaseLetter.includes(field.charAt(UUID_LENGTH + 1)))) return helpers.error("form.phase");
  return form;
});

const repeated = new Set(["phaseLetter", "phaseTitle", "phaseTemperature", "line", "linePercent", "restLine", "unanswered"]);

function objectOf(form: FormData): Record<string, unknown> {
  const raw: Record<string, unknown> = {};
  for (const key of new Set(form.keys())) {
    const values = form.getAll(key);
    raw[key] = repeated.has(key) || values.length > 1 ? values : values[0];
  }
  return raw;
}

/** The lots of a line's field; what the shelf knows of each is for the server to look up. */
function lotsOf(text: string): { readonly lots?: readonly TypedLineLot[] } {
  if (text === "") return {};
  const lots = text
    .split("|")
    .slice(1)
    .map((one) => {
      const [lotId = "", grams = ""] = one.split("=");
      return { lotId, code: "", grams: plainText(grams), assayPercent: null, pricePerGram: null };
    });
  return { lots };
}

function plainText(encoded: string): string {
  try {
    return decodeURIComponent(encoded);
  } catch {
    return encoded;
  }
}

function intentOf(text: string): SheetIntent {
  const aimed = aimedIntent.exec(text);
  if (aimed !== null) return { kind: aimed[1] as "remove" | "add", id: aimed[2] as string };
  return { kind: text as "save" };
}

/**
 * Reads the sheet's form. What a maker can fix at a field comes back as problems; a form this page could not have
 * sent is refused.
 */
export function readSheetForm(form: FormData): SheetForm {
  const { value, error } = schema.validate(objectOf(form), { convert: true, abortEarly: true });
  if (error !== undefined) throw refusalOf(error);
  const lines = value.line.map((field, index) => {
    const [, id = "", phase = "", materialId = "", lots = "", assay = ""] = lineField.exec(field) ?? [];
    return { id, phase, materialId, percent: value.linePercent[index] ?? "", assay, ...lotsOf(lots) };
  });
  const rest = value.restLine.filter((id) => id !== "");
  const problems: FieldProblem[] = [];
  if (rest.length > 1) problems.push({ field: "restLine", message: "Only one line can be q.s. to 100 %. Choose one." });
  const restLineId = rest[0] !== undefined && lines.some((line) => line.id === rest[0]) ? rest[0] : null;
  return {
    intent: intentOf(value.intent),
    versionId: value.versionId,
    revision: value.revision,
    typed: {
      name: value.name,
      profile: value.profile,
      batch: value.batch,
      aim: {
        school: value.aimSchool,
        eyeArea: value.aimEyeArea === "on",
        look: value.aimLook,
        leftOn: value.aimLeftOn,
        forWhom: value.aimForWhom,
        thickness: value.aimThickness,
        without: value.aimWithout,
        closeTo: value.aimCloseTo,
      },
      measured: { ph: value.measuredPh, density: value.measuredDensity },
      phases: value.phaseLetter.map((phase, index) => ({
        letter: phase,
        title: value.phaseTitle[index] ?? "",
        temperature: value.phaseTemperature[index] ?? "",
      })),
      lines,
      restLineId,
    },
    note: value.note,
    find: value.find,
    moveLine: value.moveLine,
    newPhase: value.newPhase,
    newId: value.newId,
    saveId: value.saveId,
    unanswered: value.unanswered,
    problems,
  };
}

function refusalOf(error: Joi.ValidationError): Refusal {
  const detail = error.details[0];
  const field = detail?.path.join(" ") ?? "";
  if (detail?.type === "object.unknown") {
    return new Refusal(
      "not-possible",
      `The form carries a field this page does not know: "${field}".`,
      "Load the page again and repeat the change.",
    );
  }
  return new Refusal(
    "not-possible",
    `The form is not as this page sends it${field === "" ? "" : ` (${field})`}.`,
    "Load the page again and repeat the change.",
  );
}

const ids = Joi.object<{ formulaId: string; versionId: string; waterLineId: string }>({
  formulaId: idField.required(),
  versionId: idField.required(),
  waterLineId: idField.required(),
});

/** Reads the form that begins a formula: nothing but the identifiers the browser made. */
export function readNewFormulaForm(form: FormData) {
  const { value, error } = ids.validate(Object.fromEntries(form), { abortEarly: true });
  if (error !== undefined) throw refusalOf(error);
  return value;
}

const address = Joi.object<{ formulaId: string; number?: number }>({
  formulaId: idField.required(),
  number: Joi.number().integer().min(1).max(100_000),
});

/** Reads the address of a sheet; anything that cannot be one is simply not here. */
export function readSheetAddress(params: { readonly formulaId?: string | undefined; readonly number?: string | undefined }) {
  const { value, error } = address.validate({ ...params }, { convert: true });
  if (error !== undefined) throw new Refusal("not-found", "No formula lies at this address.", "Go back to Today and open it from there.");
  return value;
}
