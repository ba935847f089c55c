import { Refusal, withHiddenMarked } from "@tensidrum/core/quantities";
import type Joi from "joi";
import qs from "qs";
import { data } from "react-router";
import { formAnswer, wholeProblem, type FieldProblem } from "./formAnswer";

/** Most fields of one form: a sheet of 300 lines with their lots has some thousands. */
const MOST_FIELDS = 20_000;
/** Deepest field: `lines.<id>.lots.<id>`. */
const DEEPEST = 4;
const messages = { "string.max": "At most {#limit} characters.", "array.max": "At most {#limit} of them." };

export interface ReadForm<Typed> {
  readonly typed: Typed;
  readonly problems: readonly FieldProblem[];
}

/**
 * Reads a form, or JSON a page of ours sent. What a maker can correct comes back as problems, each at the path of its field,
 * with everything as typed. Fields of a group are named with points: `lines.<id>.percent`.
 * @throws Refusal when it is nothing the page could have sent.
 */
export function readForm<Typed>(schema: Joi.ObjectSchema<Typed>, sent: unknown): ReadForm<Typed> {
  const raw = sent instanceof FormData ? fieldsOf(sent) : sent;
  const { value, error } = schema.required().validate(raw, { abortEarly: false, messages, errors: { wrap: { label: false } } });
  const problems: FieldProblem[] = [];
  for (const { type, path, message } of error?.details ?? []) {
    if (type !== "custom" && !(type in messages)) throw strange(type, path);
    problems.push({ field: path.join("."), message });
  }
  return { typed: value as Typed, problems };
}

function strange(type: string, path: readonly (string | number)[]): Refusal {
  const field = path.join(" ");
  const what =
    type === "object.unknown"
      ? `The form carries a field this page does not know: "${field}".`
      : `The form is not as this page sends it${field === "" ? "" : ` (${field})`}.`;
  return new Refusal("not-possible", what, "Load the page again and repeat the change.");
}

/** The fields of a form by their names, groups as objects. */
function fieldsOf(form: FormData): Record<string, unknown> {
  const texts = [...form].filter((field): field is [string, string] => typeof field[1] === "string");
  const files = [...form].filter(([, value]) => value instanceof File && value.size > 0);
  const query = new URLSearchParams(texts).toString();
  const fields = qs.parse(query, {
    allowDots: true,
    parseArrays: false,
    depth: DEEPEST,
    parameterLimit: MOST_FIELDS,
    arrayLimit: MOST_FIELDS,
    plainObjects: true,
  });
  return { ...fields, ...Object.fromEntries(files) };
}

/**
 * The form a request carries. Characters that do not show or cannot be stored are marked in it, so that whoever reads the
 * field tells of them and shows where they stood.
 * @throws Refusal when it is no form.
 */
export async function formOf(request: Request): Promise<FormData> {
  const sent = await request.formData().catch(() => null);
  if (sent === null) throw new Refusal("not-possible", "What was sent is not a form.", "Load the page again and repeat it.");
  const form = new FormData();
  for (const [name, value] of sent) form.append(withHiddenMarked(name), typeof value === "string" ? withHiddenMarked(value) : value);
  return form;
}

/** The answer to a form that was not taken. */
export function refused<Typed>(typed: Typed, problems: readonly FieldProblem[]) {
  // A file is not sent back; the page asks for it anew.
  const texts = Object.fromEntries(Object.entries(typed ?? {}).filter(([, value]) => !(value instanceof File)));
  return data(formAnswer(texts as Typed, problems), { status: 422 });
}

/**
 * Takes a form: reads it and does what it asks for. The job answers where to go, or the problems it met; a refusal the maker
 * can do something about is one of the form as a whole. Whatever is wrong comes back with everything as typed.
 */
export async function takeForm<Typed, Done extends object>(
  schema: Joi.ObjectSchema<Typed>,
  sent: Request | FormData,
  job: (typed: Typed) => Promise<readonly FieldProblem[] | Done>,
) {
  const { typed, problems } = readForm(schema, sent instanceof Request ? await formOf(sent) : sent);
  if (problems.length > 0) return refused(typed, problems);
  const done = await problemsFrom(() => job(typed));
  return isProblems(done) ? refused(typed, done) : done;
}

/** Runs a job; a refusal the maker can do something about becomes a problem of the form as a whole. */
export async function problemsFrom<Done>(job: () => Promise<Done>): Promise<Done | readonly FieldProblem[]> {
  try {
    return await job();
  } catch (error) {
    if (!(error instanceof Refusal) || (error.kind !== "not-valid" && error.kind !== "not-possible")) throw error;
    const more = error.faults.slice(1).map(({ path, message }) => ({ field: path, message }));
    return [...wholeProblem(`${error.message} ${error.remedy}`), ...more];
  }
}

function isProblems(done: unknown): done is readonly FieldProblem[] {
  return Array.isArray(done);
}

/**
 * Reads the questions of an address; one that is not as a page of ours asks it counts as not asked.
 * @returns what is asked, the rest at its usual value
 */
export function readQuestions<Typed>(schema: Joi.ObjectSchema<Typed>, questions: Request | Readonly<Record<string, string>>): Typed {
  const asked = questions instanceof Request ? Object.fromEntries(new URL(questions.url).searchParams) : questions;
  const { error } = schema.validate(asked, { abortEarly: false, allowUnknown: true });
  const wrong = new Set(error?.details.map(({ path }) => path[0]));
  const right = Object.fromEntries(Object.entries(asked).filter(([name]) => !wrong.has(name)));
  const { value } = schema.validate(right, { stripUnknown: true });
  return value as Typed;
}

/**
 * Reads the parts of an address.
 * @throws Refusal that nothing lies there, as `nothing` says it
 */
export function readAddress<Typed>(schema: Joi.ObjectSchema<Typed>, params: object, nothing: () => Refusal): Typed {
  const { value, error } = schema.validate({ ...params });
  if (error !== undefined) throw nothing();
  return value as Typed;
}
