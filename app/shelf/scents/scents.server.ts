import {
  blendMaterial,
  profileOf,
  profiles,
  scentBlend,
  scentDifference,
  scentInFormula,
  type ScentBlend,
  type ScentRound,
} from "@tensidrum/core/formula";
import { Refusal } from "@tensidrum/core/quantities";
import { shownMaterial, slugOf, type MaterialsBySlug } from "@tensidrum/core/library";
import { isBlank, readNumber, readPercent } from "@tensidrum/core/quantities";
import { currentMakerId, database } from "../../../db/workplace.server";
import { brokenConstraint } from "../../../db/failures.server";
import { listMaterials } from "../../../db/materials/queries.server";
import { findScent, listCounts, listRounds, listScents } from "../../../db/scents/queries.server";
import { addRound, deleteScent, insertScent, keepRound } from "../../../db/scents/writes.server";
import { wholeProblem, type FieldProblem } from "../../frame/formAnswer";
import type { ScentDose, TypedScent } from "./scentForms.server";
import { writtenShortDay } from "../../frame/dates.server";

/** The scents that are being built, and an identifier for the next. */
export async function openScents() {
  return { scents: await listScents(database(), currentMakerId()), newId: crypto.randomUUID() };
}

/** Begins a scent, or says what is wrong with its name. */
export async function beginScent(scent: { readonly id: string; readonly name: string }): Promise<readonly FieldProblem[]> {
  if (isBlank(scent.name)) return [{ field: "name", message: "Give the scent a name." }];
  try {
    await insertScent(database(), currentMakerId(), scent);
    return [];
  } catch (error) {
    if (brokenConstraint(error) !== "taken") throw error;
    return [{ field: "name", message: `There is a scent called ${scent.name} already.` }];
  }
}

async function library() {
  const all = await listMaterials(database(), currentMakerId());
  return {
    all,
    bySlug: new Map(all.map(({ facts }) => [facts.slug, facts])) as MaterialsBySlug,
    idOf: new Map(all.map(({ id, facts }) => [facts.slug, id])),
  };
}

async function roundsOf(scentId: string) {
  const db = database();
  const makerId = currentMakerId();
  const [rounds, counts] = await Promise.all([listRounds(db, makerId, scentId), listCounts(db, makerId, scentId)]);
  return rounds.map((round) => {
    const own = counts.filter(({ roundId }) => roundId === round.id);
    const drops = own.flatMap(({ material, dropMilligrams }) => (dropMilligrams === null ? [] : [[material, dropMilligrams] as const]));
    const trial: ScentRound = {
      countedIn: round.countedIn,
      oils: own.map(({ material, count }) => ({ material, count })),
      dropMilligrams: new Map(drops),
    };
    return { ...round, trial };
  });
}

async function foundScent(scentId: string) {
  const scent = await findScent(database(), currentMakerId(), scentId);
  if (scent === undefined) throw new Refusal("not-found", "This scent is not here any more.", "Go to the scents and look for it there.");
  return scent;
}

/** A scent with its rounds, what each changed, and what the last one does in a product. */
export async function openScent(scentId: string, dose: ScentDose) {
  const [scent, rounds, { all, bySlug }] = await Promise.all([foundScent(scentId), roundsOf(scentId), library()]);
  const nameOf = (slug: string): string => {
    const facts = bySlug.get(slug);
    return facts === undefined ? slug : shownMaterial(facts).name;
  };
  const blends = rounds.map(({ trial }) => scentBlend(trial, bySlug));
  const oils = [...new Set(rounds.flatMap(({ trial }) => trial.oils.map(({ material }) => material)))];
  const last = blends.at(-1);
  const percent = readPercent(dose.percent);
  const profile = profileOf(dose.profile);
  return {
    ...scent,
    dose,
    withOil: dose.with,
    doseProblem: percent.ok && percent.value > 0 ? null : "Give the dose in % of the product: 0.5.",
    newId: crypto.randomUUID(),
    profiles: profiles.map(({ slug, name }) => ({ slug, name })),
    oils: oils.map((slug) => ({ slug, name: nameOf(slug) })),
    choice: all
      .filter(({ facts }) => facts.role === "fragrance" && !oils.includes(facts.slug))
      .map(({ facts }) => ({ slug: facts.slug, name: shownMaterial(facts).name })),
    rounds: rounds.map((round, at) => ({
      id: round.id,
      number: round.number,
      countedIn: round.countedIn,
      note: round.note,
      day: writtenShortDay(round.madeAt),
      keptAs: round.keptAs,
      counts: Object.fromEntries(round.trial.oils.map(({ material, count }) => [material, count])),
      totalGrams: round.countedIn === "parts" ? null : (blends[at]?.total ?? 0),
      shares: blends[at]?.shares.map(({ material, percent: share }) => ({ key: material, percent: share })) ?? [],
      changed: changedIn(blends[at - 1], blends[at], nameOf),
    })),
    inProduct:
      last === undefined || !percent.ok || percent.value === 0 || profile === undefined
        ? null
        : told(scentInFormula(last, { percent: percent.value, profile }, bySlug), nameOf),
  };
}

export type OpenScent = Awaited<ReturnType<typeof openScent>>;

function changedIn(before: ScentBlend | undefined, after: ScentBlend | undefined, nameOf: (slug: string) => string) {
  if (before === undefined || after === undefined) return [];
  return scentDifference(before, after).map(({ material, ...shares }) => ({ name: nameOf(material), ...shares }));
}

function told({ allergens, oils, ...cap }: ReturnType<typeof scentInFormula>, nameOf: (slug: string) => string) {
  return { ...cap, allergens, oils: oils.map(({ material, ...oil }) => ({ name: nameOf(material), ...oil })) };
}

/**
 * Stores the next round of a scent, or says what is wrong with it.
 * @throws Refusal when its oils make no blend
 */
export async function nextScentRound(scentId: string, typed: TypedScent): Promise<readonly FieldProblem[]> {
  await foundScent(scentId);
  const [rounds, { bySlug, idOf }] = await Promise.all([roundsOf(scentId), library()]);
  if (rounds.some(({ id }) => id === typed.id)) return [];
  const oils: { material: string; count: number }[] = [];
  for (const [row, { material, count }] of Object.entries(typed.oils)) {
    const read = readNumber(count);
    if (material === "" || (!read.ok && read.problem === "empty")) continue;
    const field = `oils.${row}.count`;
    if (!read.ok || read.value < 0) return [{ field, message: `“${count}” is no count. Write a number, or 0 to leave the oil out.` }];
    if (oils.some((oil) => oil.material === material)) return [{ field, message: "One oil stands twice. Count it once." }];
    if (read.value > 0) oils.push({ material, count: read.value });
  }
  const dropOf = (slug: string): number | null => (typed.countedIn === "drops" ? (bySlug.get(slug)?.dropMilligrams ?? null) : null);
  // Refused here when it is no blend.
  scentBlend({ countedIn: typed.countedIn, oils }, bySlug);
  const counts = oils.map(({ material, count }) => ({ materialId: idOf.get(material) ?? "", count, dropMilligrams: dropOf(material) }));
  const { id, countedIn, note } = typed;
  await addRound(database(), currentMakerId(), scentId, { id, countedIn, note, counts });
  return [];
}

/** Keeps a round as a material of the maker's own. Returns its slug, or what is wrong. */
export async function keepScent(
  scentId: string,
  { id, name }: Pick<TypedScent, "id" | "name">,
): Promise<{ readonly slug: string } | readonly FieldProblem[]> {
  const [rounds, { bySlug }] = await Promise.all([roundsOf(scentId), library()]);
  const round = rounds.find((each) => each.id === id);
  if (round === undefined) return wholeProblem("This round is not here any more. Load the page again.");
  if (round.keptAs !== null) return { slug: round.keptAs };
  if (isBlank(name)) return [{ field: "name", message: "Give it the name it is to have among the materials." }];
  const blend = scentBlend(round.trial, bySlug);
  const facts = blendMaterial(blend, { slug: slugOf(name, new Set(bySlug.keys())), name });
  await keepRound(database(), currentMakerId(), id, { id: crypto.randomUUID(), facts, basedOnId: null, madeAs: "scent" });
  return { slug: facts.slug };
}

/** Deletes a scent with its rounds. */
export async function removeScent(scentId: string): Promise<void> {
  await deleteScent(database(), currentMakerId(), scentId);
}
