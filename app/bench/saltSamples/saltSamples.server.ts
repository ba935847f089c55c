import { Refusal } from "@tensidrum/core/quantities";
import { aimedThickness, surfactantBaseOf, type SurfactantBase } from "@tensidrum/core/process";
import { currentMakerId, database } from "../../../db/workplace.server";
import { addSaltSample, listSaltSamples, removeSaltSample } from "../../../db/saltSamples/queries.server";
import { gramsOfWeight } from "../batch/gramsOfWeight";
import { measuredThickness } from "../batch/measuredThickness";
import { formulaOfVersion } from "../../../db/formulas/formulaOfVersion.server";
import { solutionsOf } from "../batch/solutionsOf";
import { measuringBy, plannedBatch } from "../batch/stored.server";
import { wholeProblem } from "../../frame/formAnswer";
import type { TypedSample } from "./sampleForm.server";

/** Whose base the jars are of: a version's, or that of a batch being made. */
export type SaltSamplesOf = { readonly batch: string } | { readonly formulaId: string; readonly number: number };

async function baseOf(of: SaltSamplesOf) {
  const made = "batch" in of ? (await plannedBatch(of.batch)).plan : await formulaOfVersion(database(), currentMakerId(), of);
  const base = surfactantBaseOf(made);
  if (base === null) {
    throw new Refusal(
      "not-possible",
      "There is no surfactant in this formula.",
      "Samples belong to a surfactant base; add a surfactant on the Sheet.",
    );
  }
  return { made, base };
}

/** Every jar of a base, and what the page needs to add one. */
export async function openSaltSamples(of: SaltSamplesOf) {
  const { made, base } = await baseOf(of);
  const [saltSamples, { funnel }] = await Promise.all([listSaltSamples(database(), currentMakerId(), base.hash), measuringBy(null)]);
  return {
    name: made.formula.name,
    back: "batch" in of ? `/bench/${of.batch}` : `/sheet/${of.formulaId}/${of.number}`,
    backWords: "batch" in of ? "Back to the batch" : "Back to the sheet",
    cleansers: base.cleansers,
    hiddenSaltPercent: base.hiddenSaltPercent,
    target: aimedThickness(made),
    saltSamples,
    hasFunnel: funnel !== null,
    newId: crypto.randomUUID(),
  };
}

export type OpenSaltSamples = Awaited<ReturnType<typeof openSaltSamples>>;

/** Adds a sample, or deletes one. Answers what is wrong; and what was deleted, to put it back. */
export async function changeSaltSamples(of: SaltSamplesOf, form: TypedSample) {
  const { made, base } = await baseOf(of);
  const db = database();
  const makerId = currentMakerId();
  if (form.intent === "remove") return { problems: [], gone: (await removeSaltSample(db, makerId, form.id)) ?? null };
  if (form.intent === "put-back") {
    const [saltPercent, viscosity] = [Number(form.salt), Number(form.viscosity)];
    await addSaltSample(db, makerId, base.hash, { id: form.id, saltPercent, viscosity, unit: form.unit, said: form.said });
    return { problems: [], gone: null };
  }
  const saltPercent = saltOf(form, base);
  if (typeof saltPercent === "string") return { problems: wholeProblem(saltPercent), gone: null };
  const { funnel } = await measuringBy(null);
  const measured = measuredThickness({ ...form, readOff: "" }, solutionsOf({ ...made, steps: [], targets: new Map() }, funnel));
  if ("problem" in measured) return { problems: wholeProblem(measured.problem), gone: null };
  if (!(measured.viscosity > 0 && measured.viscosity <= MOST_VISCOSITY))
    return { problems: wholeProblem("A thickness is more than 0. Measure it again."), gone: null };
  await addSaltSample(db, makerId, base.hash, { id: form.id, saltPercent, ...measured });
  return { problems: [], gone: null };
}

const MOST_VISCOSITY = 100_000;
const MOST_SALT_PERCENT = 30;

/** Whole salt of a jar, % w/w: (hidden × base + 100 × added) ⁄ (base + added); or what is wrong with what was typed. */
function saltOf({ baseGrams, saltGrams }: TypedSample, { hiddenSaltPercent }: SurfactantBase): number | string {
  const base = gramsOfWeight(baseGrams);
  if ("problem" in base) return `Of the base: ${base.problem}`;
  const salt = saltGrams === "" ? { value: 0 } : gramsOfWeight(saltGrams);
  if ("problem" in salt) return `Of the salt: ${salt.problem}`;
  if (!(base.value > 0) || !(salt.value >= 0)) return "The base in a sample must be more than 0 g, the salt 0 g or more.";
  const percent = (hiddenSaltPercent * base.value + 100 * salt.value) / (base.value + salt.value);
  return percent > MOST_SALT_PERCENT ? `That is ${percent.toFixed(0)} % salt. Is the salt in grams?` : percent;
}
