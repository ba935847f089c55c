import { readNumber } from "@tensidrum/core/quantities";
import Joi from "joi";
import { Refusal } from "@tensidrum/core/formula";
import { database } from "../../db/client.server";
import { listScales, replaceScales } from "../../db/scales/queries.server";
import { currentMakerId } from "../frame/maker.server";

/** A scale as typed. */
export interface TypedScale {
  readonly id: string;
  readonly name: string;
  readonly readability: string;
  readonly capacity: string;
}

export interface ScaleProblem {
  readonly row: number;
  readonly field: "name" | "readability" | "capacity";
  readonly message: string;
}

const MOST_SCALES = 8;
const NAME_LENGTH = 60;

const column = Joi.array().items(Joi.string().allow("").max(200)).single().max(MOST_SCALES).default([]);

const schema = Joi.object<{ id: string[]; name: string[]; readability: string[]; capacity: string[] }>({
  id: Joi.array().items(Joi.string().guid()).single().unique().max(MOST_SCALES).default([]),
  name: column,
  readability: column,
  capacity: column,
});

/** Reads the form of scales; a row left wholly empty is no scale. */
export function readScalesForm(form: FormData): readonly TypedScale[] {
  const raw = Object.fromEntries([...new Set(form.keys())].map((key) => [key, form.getAll(key)]));
  const { value, error } = schema.validate(raw);
  const even = error === undefined && [value.name, value.readability, value.capacity].every((values) => values.length === value.id.length);
  if (!even) throw new Refusal("not-possible", "The form is not as this page sends it.", "Load the page again and repeat the change.");
  return value.id
    .map((id, row) => ({
      id,
      name: (value.name[row] ?? "").trim(),
      readability: value.readability[row] ?? "",
      capacity: value.capacity[row] ?? "",
    }))
    .filter((scale) => scale.name !== "" || scale.readability.trim() !== "" || scale.capacity.trim() !== "");
}

export async function openScales(): Promise<readonly TypedScale[]> {
  const own = await listScales(database(), currentMakerId());
  return own.map(({ id, name, readabilityGrams, capacityGrams }) => ({
    id,
    name,
    readability: String(readabilityGrams),
    capacity: String(capacityGrams),
  }));
}

/** Saves the maker's scales, or says at which field one must be mended. */
export async function saveScales(typed: readonly TypedScale[]): Promise<readonly ScaleProblem[]> {
  const problems: ScaleProblem[] = [];
  const names = new Set<string>();
  const read = typed.map((scale, row) => {
    const say = (field: ScaleProblem["field"], message: string) => problems.push({ row, field, message });
    if (scale.name === "") say("name", "Give the scale a name.");
    if (scale.name.length > NAME_LENGTH) say("name", `At most ${NAME_LENGTH} characters.`);
    if (names.has(scale.name)) say("name", "Two scales have this name.");
    names.add(scale.name);
    const readability = grams(scale.readability, 1000);
    if (readability === null) say("readability", "Give the smallest step in grams, for example 0.01.");
    const capacity = grams(scale.capacity, 1_000_000);
    if (capacity === null) say("capacity", "Give the most it carries in grams.");
    else if (readability !== null && capacity <= readability) say("capacity", "It must carry more than its smallest step.");
    return { id: scale.id, name: scale.name, readabilityGrams: readability ?? 0, capacityGrams: capacity ?? 0 };
  });
  if (problems.length === 0) await replaceScales(database(), currentMakerId(), read);
  return problems;
}

function grams(text: string, most: number): number | null {
  const read = readNumber(text.replace(/\s*g\s*$/i, ""));
  return read.ok && read.value > 0 && read.value <= most ? read.value : null;
}
