import { profiles, type ProfileSlug } from "@tensidrum/core/formula";
import { Refusal } from "@tensidrum/core/quantities";
import Joi from "joi";
import { countedIn } from "../../../db/scents/schema";
import { idField, readForm } from "../../frame/readForm.server";

const text = (most: number) => Joi.string().allow("").trim().max(most).default("");
const MOST_OILS = 40;

const newScent = Joi.object<{ id: string; name: string }>({ id: idField.required(), name: text(120) });

export function readNewScent(form: FormData): { readonly id: string; readonly name: string } {
  return readForm(newScent, form, { stripUnknown: true, tellsOfMarks: true });
}

/** Reads the identifier of a scent from an address. */
export function readScentId(value: string | undefined): string {
  const { value: id, error } = idField.required().validate(value);
  if (error !== undefined) throw new Refusal("not-found", "No scent stands at this address.", "Go to the scents and look for it there.");
  return id as string;
}

/** In what the scent is to be, and how much of it, as typed. */
export interface ScentDose {
  readonly profile: ProfileSlug;
  readonly percent: string;
}

const USUAL_DOSE: ScentDose = { profile: "body-wash", percent: "0.5" };

export function readDose(address: URL): ScentDose {
  const asked = address.searchParams;
  return {
    profile: profiles.find(({ slug }) => slug === asked.get("profile"))?.slug ?? USUAL_DOSE.profile,
    percent: (asked.get("percent") ?? USUAL_DOSE.percent).slice(0, 20),
  };
}

/** A round as typed: oils by slug, each with its count. */
export interface TypedRound {
  readonly id: string;
  readonly countedIn: (typeof countedIn)[number];
  readonly oils: readonly { readonly material: string; readonly count: string }[];
  readonly note: string;
}

export type ScentForm =
  | { readonly intent: "round"; readonly round: TypedRound }
  | { readonly intent: "keep"; readonly roundId: string; readonly name: string }
  | { readonly intent: "delete" };

const row = Joi.array().items(text(120)).single().max(MOST_OILS).default([]);

const schema = Joi.object<{
  intent: ScentForm["intent"];
  id: string;
  countedIn: TypedRound["countedIn"];
  oil: string[];
  count: string[];
  note: string;
  name: string;
}>({
  intent: Joi.string().valid("round", "keep", "delete").required(),
  id: idField.required(),
  countedIn: Joi.string()
    .valid(...countedIn)
    .default("drops"),
  oil: row,
  count: row,
  note: text(500),
  name: text(120),
});

export function readScentForm(form: FormData): ScentForm {
  const raw = { ...Object.fromEntries(form), oil: form.getAll("oil"), count: form.getAll("count") };
  const { intent, id, oil, count, note, name, countedIn: by } = readForm(schema, raw, { stripUnknown: true, tellsOfMarks: true });
  if (intent === "delete") return { intent };
  if (intent === "keep") return { intent, roundId: id, name };
  const oils = oil.map((material, at) => ({ material, count: count[at] ?? "" })).filter(({ material }) => material !== "");
  return { intent, round: { id, countedIn: by, oils, note } };
}
