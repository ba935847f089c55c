import { Refusal } from "@tensidrum/core/formula";
import Joi from "joi";
import { readForm } from "../frame/readForm.server";

const text = (most: number) => Joi.string().allow("").trim().max(most).default("");
const id = Joi.string().guid();

const address = Joi.object<{ formulaId: string; number: number }>({
  formulaId: id.required(),
  number: Joi.number().integer().min(1).max(100_000).required(),
});

/** Reads the address of a version that is to be made. */
export function readVersionAddress(params: { readonly formulaId?: string; readonly number?: string }) {
  const { value, error } = address.validate({ ...params });
  if (error !== undefined)
    throw new Refusal("not-found", "No version lies at this address.", "Go back to Today and open the formula from there.");
  return value;
}

/** Reads the identifier of a batch from an address. */
export function readBatchId(value: string | undefined): string {
  const { value: batch, error } = id.required().validate(value);
  if (error !== undefined) throw new Refusal("not-found", "No batch lies at this address.", "Go to the bench and look for it there.");
  return batch as string;
}

/** What a batch is to be begun with, as typed. */
export interface BeginForm {
  readonly id: string;
  readonly grams: string;
  /** What the maker has seen to. */
  readonly seen: readonly string[];
  /** By line: a lot, "none", or "" for what is proposed. */
  readonly lots: Readonly<Record<string, string>>;
  /** By vessel, as typed. */
  readonly tares: Readonly<Record<string, string>>;
}

const begin = Joi.object<BeginForm>({
  id: id.required(),
  grams: text(40),
  seen: Joi.array().items(Joi.string().max(60)).max(20),
  lots: Joi.object().pattern(Joi.string().max(60), Joi.alternatives(id, Joi.valid("", "none"))),
  tares: Joi.object().pattern(Joi.string().max(40), text(40)),
});

export function readBeginForm(form: FormData): BeginForm {
  const under = (prefix: string) =>
    Object.fromEntries([...form].flatMap(([key, value]) => (key.startsWith(prefix) ? [[key.slice(prefix.length), value]] : [])));
  return readForm(begin, {
    id: form.get("id"),
    grams: form.get("grams") ?? "",
    seen: form.getAll("seen"),
    lots: under("lot-"),
    tares: under("tare-"),
  });
}

const benchIntents = ["weigh", "done", "skip", "accept", "correct", "again", "back", "note", "finish"] as const;

/** What was done at the bench, as typed. */
export interface BenchForm {
  readonly id: string;
  readonly intent: (typeof benchIntents)[number];
  readonly step: string;
  readonly line: string;
  readonly grams: string;
  readonly text: string;
  /** The entry that is taken back. */
  readonly entry: string;
}

const bench = Joi.object<BenchForm>({
  id: id.required(),
  intent: Joi.string()
    .valid(...benchIntents)
    .required(),
  step: text(80),
  line: text(80),
  grams: text(40),
  text: text(500),
  entry: text(40),
});

export function readBenchForm(form: FormData): BenchForm {
  return readForm(bench, Object.fromEntries(form));
}
