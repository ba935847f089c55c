import { Refusal } from "@tensidrum/core/quantities";
import { readEntries, readJson } from "@tensidrum/core/formats";
import { readOffs, type BatchEntry } from "@tensidrum/core/process";
import Joi from "joi";
import { idField, readForm } from "../frame/readForm.server";
import type { TypedSize } from "./begin/batchSize";
import { beadFields, benchIntents, typedBenchForm, type BenchForm } from "./batch/benchForm";

const text = (most: number) => Joi.string().allow("").trim().max(most).default("");

const address = Joi.object<{ formulaId: string; number: number }>({
  formulaId: idField.required(),
  number: Joi.number().integer().min(1).max(100_000).required(),
});

/** Reads the address of a version that is to be made. */
export function readVersionAddress(params: { readonly formulaId?: string | undefined; readonly number?: string | undefined }) {
  const { value, error } = address.validate({ ...params });
  if (error !== undefined)
    throw new Refusal("not-found", "No version lies at this address.", "Go back to Today and open the formula from there.");
  return value;
}

/** Reads the identifier of a batch from an address. */
export function readBatchId(value: string | undefined): string {
  const { value: batch, error } = idField.required().validate(value);
  if (error !== undefined) throw new Refusal("not-found", "No batch lies at this address.", "Go to the bench and look for it there.");
  return batch as string;
}

/** What a batch is to be begun with, as typed. */
export interface BeginForm {
  readonly id: string;
  readonly grams: string;
  readonly size: TypedSize;
  /** What the maker has seen to. */
  readonly seen: readonly string[];
  /** By line: a lot, "none", or "" for what is proposed. */
  readonly lots: Readonly<Record<string, string>>;
  /** By vessel, as typed. */
  readonly tares: Readonly<Record<string, string>>;
  /** Batches of the version that are being made, and beside which another is wanted all the same. */
  readonly another: readonly string[];
}

const begin = Joi.object<BeginForm>({
  id: idField.required(),
  grams: text(40),
  size: Joi.object({
    by: Joi.string().valid("mass", "containers", "hand").default("mass"),
    count: text(20),
    container: text(40),
    hand: text(40),
    material: text(120),
  }),
  seen: Joi.array().items(Joi.string().max(60)).max(20),
  lots: Joi.object().pattern(Joi.string().max(60), Joi.alternatives(idField, Joi.valid("", "none"))),
  tares: Joi.object().pattern(Joi.string().max(40), text(40)),
  another: Joi.array().items(idField).max(200).default([]),
});

export function readBeginForm(form: FormData): BeginForm {
  const under = (prefix: string) =>
    Object.fromEntries([...form].flatMap(([key, value]) => (key.startsWith(prefix) ? [[key.slice(prefix.length), value]] : [])));
  return readForm(begin, {
    id: form.get("id"),
    grams: form.get("grams") ?? "",
    size: under("size-"),
    seen: form.getAll("seen"),
    lots: under("lot-"),
    tares: under("tare-"),
    another: form.getAll("another"),
  });
}

const bench = Joi.object<BenchForm>({
  id: idField.required(),
  intent: Joi.string()
    .valid(...benchIntents)
    .required(),
  step: text(80),
  line: text(80),
  vessel: text(40),
  grams: text(40),
  minutes: text(20),
  text: text(500),
  entry: text(8_000),
  ph: text(20),
  way: text(20),
  sample: text(40),
  agent: text(120),
  viscosity: text(20),
  temperature: text(20),
  by: text(20),
  bead: Joi.object(Object.fromEntries(beadFields.map((field) => [field, text(20)]))),
  drops: text(20),
  because: text(200),
  word: text(40),
  buffers: Joi.array().items(text(20)).max(2).default([]),
  shown: Joi.array().items(text(20)).max(2).default([]),
  readOff: Joi.string()
    .valid("", ...readOffs)
    .default(""),
  skips: Joi.object().pattern(Joi.string().max(80), Joi.string().allow("").trim().max(400)).default({}),
});

export function readBenchForm(form: FormData): BenchForm {
  return readForm(bench, typedBenchForm(form), { tellsOfMarks: true });
}

const sentEntries = Joi.object<{ behind: number; entries: readonly { readonly id: string }[] }>({
  behind: Joi.number().integer().min(0).required(),
  entries: Joi.array()
    .items(Joi.object({ id: idField.required() }).unknown())
    .max(500)
    .required(),
});

/** Reads entries a device sends, and behind which position it wants to know what there is. */
export async function readSentEntries(request: Request): Promise<{ readonly behind: number; readonly entries: readonly BatchEntry[] }> {
  const { behind, entries } = readForm(sentEntries, readJson(await request.text()), { tellsOfMarks: true });
  return { behind, entries: readEntries(entries) };
}

/** Behind which position news are wanted: what a browser that asks again says, else the address. */
export function readPosition(request: Request): number {
  const said = Number(request.headers.get("Last-Event-ID") ?? new URL(request.url).searchParams.get("behind") ?? 0);
  return Number.isSafeInteger(said) && said > 0 ? said : 0;
}
