import { readEntries, readJson } from "@tensidrum/core/formats";
import { readOffs, type BatchEntry } from "@tensidrum/core/process";
import { Refusal } from "@tensidrum/core/quantities";
import Joi from "joi";
import { choice, group, id, idOrNone, keyed, list, text, whole, type TypedOf } from "../frame/fields.server";
import { readAddress, readForm, readQuestions } from "../frame/readForm.server";
import { beadFields, benchIntents, type BenchForm } from "./batch/benchForm";
import type { EndedRun } from "./practice/practice.server";

const versionAddress = group({ formulaId: id(), number: whole(1, 100_000).required() });

/** Reads the address of a version that is to be made. */
export function readVersionAddress(params: { readonly formulaId?: string | undefined; readonly number?: string | undefined }) {
  const nothing = () => new Refusal("not-found", "No version lies at this address.", "Go back to Today and open the formula from there.");
  return readAddress(versionAddress, params, nothing);
}

/** Reads the identifier of a batch from an address. */
export function readBatchId(batch: string | undefined): string {
  const nothing = () => new Refusal("not-found", "No batch lies at this address.", "Go to the bench and look for it there.");
  return readAddress(group({ batch: id() }), { batch }, nothing).batch;
}

/** The size a batch is wanted in. */
export const beginQuestions = group({ grams: text(40), plan: idOrNone() });

/** What a batch is to be begun with, as typed. */
export const beginForm = group({
  /** "look": only the page is wanted anew, with another size or other lots. */
  intent: choice(["begin", "look"], "begin"),
  id: id(),
  /** The planned batch this one is. */
  plan: idOrNone(),
  grams: text(40),
  size: group({
    by: choice(["mass", "containers", "hand"], "mass"),
    count: text(20),
    container: text(40),
    hand: text(40),
    material: text(120),
  }),
  /** What the maker has seen to. */
  seen: list(Joi.string().max(60), 20),
  /** By line: a lot, "none", or "" for what is proposed. */
  lots: keyed(id().optional().allow("", "none")),
  /** By vessel, as typed. */
  tares: keyed(text(40)),
  /** Batches of the version that are being made, and beside which another is wanted all the same. */
  another: list(id().optional(), 200),
});
/** Without a plan the batch was planned by nobody. */
export type WantedBatch = Omit<TypedOf<typeof beginForm>, "intent" | "plan"> & { readonly plan?: string };

const cell = text(20);

/** What was done at the bench, as a page without scripts sends it. */
export const benchForm: Joi.ObjectSchema<BenchForm> = group({
  id: id(),
  intent: choice(benchIntents),
  step: text(80),
  line: text(80),
  vessel: text(40),
  grams: text(40),
  minutes: cell,
  text: text(500),
  entry: text(8_000),
  ph: cell,
  way: cell,
  sample: text(40),
  agent: text(200),
  low: cell,
  high: cell,
  when: cell,
  clarity: cell,
  looks: list(text(20), 20),
  viscosity: cell,
  temperature: cell,
  by: cell,
  bead: group(Object.fromEntries(beadFields.map((field) => [field, cell])) as Record<(typeof beadFields)[number], typeof cell>),
  count: cell,
  row: text(120),
  number: cell,
  works: cell,
  check: cell,
  filling: text(20_000).custom((plan: string, helpers) => (plan === "" || isFillingPlan(plan) ? plan : helpers.error("any.invalid"))),
  drops: cell,
  because: text(200),
  word: text(40),
  buffers: list(cell, 2),
  shown: list(cell, 2),
  readOff: choice(["", ...readOffs], ""),
  skips: keyed(text(400)),
});

/** Whether a text holds the plan of a filling, field by field. */
function isFillingPlan(text: string): boolean {
  try {
    const { filling, density } = readJson(text) as { readonly filling?: unknown; readonly density?: unknown };
    readEntries([{ id: "plan", at: "2026-01-01T00:00:00Z", kind: "fill-planned", filling, density }]);
    return true;
  } catch (error) {
    if (error instanceof Refusal) return false;
    throw error;
  }
}

const sentEntries = group({
  behind: whole(0, Number.MAX_SAFE_INTEGER).required(),
  entries: list(Joi.object<{ readonly id: string }>({ id: id() }).unknown(), 500).required(),
});

/** Reads entries a device sends, and behind which position it wants to know what there is. */
export async function readSentEntries(request: Request): Promise<{ readonly behind: number; readonly entries: readonly BatchEntry[] }> {
  const { typed } = readForm(sentEntries, readJson(await request.text()));
  return { behind: typed.behind, entries: readEntries(typed.entries) };
}

const endedRun = group({
  id: id(),
  seed: text(80).required(),
  entries: list(Joi.object<{ readonly id: string }>({ id: Joi.string().max(80).required() }).unknown(), 500).required(),
});

/** Reads a practice run that is over. */
export async function readEndedRun(request: Request): Promise<EndedRun> {
  const { typed } = readForm(endedRun, readJson(await request.text()));
  return { id: typed.id, seed: typed.seed, entries: readEntries(typed.entries) };
}

const newsQuestions = group({ behind: whole(0, Number.MAX_SAFE_INTEGER).default(0) });

/** Behind which position news are wanted: what a browser that asks again says, else the address. */
export function readPosition(request: Request): number {
  const last = request.headers.get("Last-Event-ID");
  return readQuestions(newsQuestions, last === null ? request : { behind: last }).behind;
}
