import { looks, schools, thicknessWishes } from "@tensidrum/core/formula";
import { Refusal } from "@tensidrum/core/quantities";
import Joi from "joi";
import { choice, group, id, idOrNone, keyed, keyedById, list, tick, verbatim, whole, type TypedOf } from "../frame/fields.server";
import type { FieldProblem } from "../frame/formAnswer";
import { readAddress, readForm } from "../frame/readForm.server";
import {
  AIM_WORDS_LENGTH,
  AS_WRITTEN_LENGTH,
  MAY_ADD_LENGTH,
  METHOD_LENGTH,
  NOTE_LENGTH,
  PHASE_TITLE_LENGTH,
  WITHOUT_LENGTH,
  type TypedSheet,
} from "./typed/typedSheet";

/** Longest text a cell may send; what it should be is said at the field. */
const LONGEST_CELL = 5000;
const MOST_LINES_READ = 2000;
const MOST_LOTS = 12;
const MOST_UNANSWERED = 32;
/** Largest number of its column. */
const MOST_REVISION = 2_147_483_647;
const LETTER = /^[A-Z]$/;

const plainIntent =
  /^(save|finalise|find|add-phase|add-part|up|down|begin-draft|branch|as-material|restore|discard-draft|delete-formula|stay)$/;
const aimedIntent = /^(remove|add):([0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})$/;

/** What a button of the sheet's form asks for. */
export type SheetIntent =
  | {
      readonly kind:
        | "save"
        | "finalise"
        | "find"
        | "add-phase"
        | "add-part"
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

const cell = verbatim(LONGEST_CELL);
const made = () =>
  id()
    .optional()
    .default(() => crypto.randomUUID());

const sheetForm = group({
  intent: Joi.alternatives<string>(Joi.string().pattern(plainIntent), Joi.string().pattern(aimedIntent)).required(),
  versionId: id(),
  revision: whole(0, MOST_REVISION).required(),
  name: cell.required(),
  profile: cell.required(),
  batch: cell.required(),
  aim: group({
    school: choice(
      schools.map(({ slug }) => slug),
      "none",
    ),
    eyeArea: tick(),
    look: choice(looks, "any"),
    leftOn: choice(["profile", "left", "rinsed"], "profile"),
    forWhom: verbatim(AIM_WORDS_LENGTH),
    thickness: choice(thicknessWishes, "any"),
    without: verbatim(WITHOUT_LENGTH),
    closeTo: verbatim(AIM_WORDS_LENGTH),
  }),
  measured: group({ ph: cell, density: cell }),
  /** A browser sends two signs for the end of a line. */
  method: verbatim(2 * METHOD_LENGTH),
  phases: keyed(
    group({
      title: verbatim(PHASE_TITLE_LENGTH),
      temperature: verbatim(20),
      /** Whether it is a named part of the batch, and what is typed of that. */
      isPart: tick(),
      share: verbatim(40),
      addUpTo: verbatim(40),
      mayAdd: verbatim(MAY_ADD_LENGTH),
    }),
    Joi.string().pattern(LETTER),
  ).min(1),
  lines: keyedById(
    group({
      phase: Joi.string().pattern(LETTER).required(),
      materialId: id(),
      percent: cell.required(),
      /** The certificate's strength as typed. */
      assay: cell,
      asWritten: verbatim(AS_WRITTEN_LENGTH),
      /** From which lots it is weighed, with the grams of each as typed. */
      lots: keyedById(verbatim(60)).max(MOST_LOTS),
    }),
  ).max(MOST_LINES_READ),
  /** Lines marked as q.s.; a page without scripts can mark two. */
  restLineId: list(idOrNone(), MOST_LINES_READ),
  note: verbatim(NOTE_LENGTH),
  find: verbatim(200),
  /** Line that is to move one place. */
  moveLine: idOrNone(),
  /** Phase and id of a line about to be added. */
  newPhase: Joi.string().pattern(LETTER).default("A"),
  newId: made(),
  /** Identifier of this save, and of earlier ones whose answers the page never got. */
  saveId: made(),
  unanswered: list(id(), MOST_UNANSWERED),
}).custom((form: { phases: object; lines: Record<string, { phase: string }> }, helpers) =>
  Object.values(form.lines).every(({ phase }) => phase in form.phases) ? form : helpers.error("any.invalid"),
);

type RawSheet = TypedOf<typeof sheetForm>;

export interface SheetForm extends Pick<
  RawSheet,
  "versionId" | "revision" | "note" | "find" | "moveLine" | "newPhase" | "newId" | "saveId" | "unanswered"
> {
  readonly intent: SheetIntent;
  readonly typed: TypedSheet;
  readonly problems: readonly FieldProblem[];
}

function intentOf(text: string): SheetIntent {
  const aimed = aimedIntent.exec(text);
  if (aimed !== null) return { kind: aimed[1] as "remove" | "add", id: aimed[2] as string };
  return { kind: text as "save" };
}

/** A line's lots; what the shelf knows of each is for the server to look up. */
function typedLots(lots: Readonly<Record<string, string>>): Pick<TypedSheet["lines"][number], "lots"> {
  const all = Object.entries(lots);
  return all.length === 0
    ? {}
    : { lots: all.map(([lotId, grams]) => ({ lotId, grams, code: "", assayPercent: null, pricePerGram: null })) };
}

/**
 * Reads the sheet's form. What a maker can fix at a field comes back as problems.
 * @throws Refusal when this page could not have sent it
 */
export function readSheetForm(form: FormData): SheetForm {
  const { typed: raw, problems } = readForm(sheetForm, form);
  const { intent, name, profile, batch, aim, measured, method, phases, restLineId, ...rest } = raw;
  const lines = Object.entries(raw.lines).map(([lineId, { lots, asWritten, ...line }]) => ({
    ...{ id: lineId, ...line, ...typedLots(lots) },
    ...(asWritten === "" ? {} : { asWritten }),
  }));
  const marked = restLineId.filter((lineId) => lineId !== "");
  const twice = marked.length > 1 ? [{ field: "restLineId", message: "Only one line can be q.s. to 100 %. Choose one." }] : [];
  return {
    ...rest,
    intent: intentOf(intent),
    typed: {
      ...{ name, profile, batch, aim, measured, method: method.replaceAll("\r\n", "\n") },
      phases: Object.entries(phases).map(([letter, { title, temperature, isPart, ...part }]) => ({
        ...{ letter, title, temperature },
        ...(isPart ? { part } : {}),
      })),
      lines,
      restLineId: lines.find((line) => line.id === marked[0])?.id ?? null,
    },
    problems: [...problems, ...twice],
  };
}

/** What begins a formula: nothing but the identifiers the browser made. */
export const newFormulaForm = group({ formulaId: id(), versionId: id(), waterLineId: id() });

const address = group({ formulaId: id(), number: whole(1, 100_000) as Joi.NumberSchema<number | undefined> });

/** Reads the address of a sheet; anything that cannot be one is simply not here. */
export function readSheetAddress(params: { readonly formulaId?: string | undefined; readonly number?: string | undefined }) {
  const nothing = () => new Refusal("not-found", "No formula lies at this address.", "Go back to Today and open it from there.");
  return readAddress(address, params, nothing);
}

/** Reads the address of a formula's batch. */
export function readBatchAddress(params: { readonly formulaId?: string | undefined; readonly batch?: string | undefined }) {
  const nothing = () => new Refusal("not-found", "No batch of this formula lies at this address.", "Open it from the bench.");
  return readAddress(group({ formulaId: id(), batch: id() }), params, nothing);
}

/** Names looked for in the library, for a page without scripts. */
export const findQuestions = group({ find: verbatim(200) });
