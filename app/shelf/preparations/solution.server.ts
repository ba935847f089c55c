import { planStock, soluteContentPercent, stockMaterial, type StockPlan } from "@tensidrum/core/acidity";
import { Refusal } from "@tensidrum/core/quantities";
import { shownMaterial, slugOf, type Material } from "@tensidrum/core/library";
import { FEWEST_STEPS, finestFirst, readMassGrams, readNumber, readPercent, type Scale } from "@tensidrum/core/quantities";
import { currentMakerId, database } from "../../../db/workplace.server";
import { listChoosable, listOwnMaterials } from "../../../db/materials/queries.server";
import { listScales } from "../../../db/scales/queries.server";
import { codesOfLots, findLot, listLots } from "../../../db/inventory/queries.server";
import { shelveMadeLot } from "../../../db/inventory/writes.server";
import { movementOf } from "../stock.server";
import { isDissolvable } from "./dissolvable";
import { LEAST_GRAMS } from "../readLot";
import { madeCode, startOfCode } from "./preparationCode";
import type { FieldProblem } from "../../frame/formAnswer";
import type { TypedSolution } from "./solutionForm.server";
import { isoToday, writtenDay } from "../../frame/dates.server";

/** The wish as read, or what must be fixed. */
type Wish =
  | { readonly ok: true; readonly solute: Material; readonly strengthPercent: number; readonly grams: number; readonly plan: StockPlan }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] };

function wishOf(typed: TypedSolution, solutes: readonly Material[], today: string): Wish {
  const say = (field: keyof TypedSolution, message: string): Wish => ({ ok: false, problems: [{ field, message }] });
  const solute = solutes.find(({ slug }) => slug === typed.of);
  if (solute === undefined) return say("of", "Choose what is to be dissolved.");
  const strength = readPercent(typed.strength);
  if (!strength.ok || strength.value === 0) return say("strength", "Give the strength in % by mass: 25, 10, 0.5.");
  const mass = readMassGrams(typed.grams);
  if (!mass.ok || mass.value < LEAST_GRAMS) return say("grams", "Give the finished amount: 100, 250 g.");
  const months = readNumber(typed.months);
  if (!months.ok) return say("months", "Give the months as a number, usually 3.");
  try {
    const plan = planStock({
      solute: saidWithin(shownMaterial(solute).name),
      kind: solute.acidBase === null ? null : solute.acidBase.equivalentsModel === "base" ? "base" : "acid",
      strengthPercent: strength.value,
      percentOfMaterial: soluteContentPercent(solute),
      grams: mass.value,
      madeOn: today,
      monthsToKeep: months.value,
    });
    return { ok: true, solute, strengthPercent: strength.value, grams: mass.value, plan };
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return say(error.message.includes("months") ? "months" : "strength", `${error.message} ${error.remedy}`);
  }
}

/** A name within a sentence: "Citric acid" becomes "citric acid", "PEG-150" stays. */
function saidWithin(name: string): string {
  return /^[A-Z][a-z]/.test(name) ? `${name.charAt(0).toLowerCase()}${name.slice(1)}` : name;
}

/** The least the finest scale weighs well, and what of the solute is in it. */
function leastOf(scales: readonly Scale[], share: number) {
  const finest = finestFirst(scales)[0];
  if (finest === undefined) return null;
  const grams = FEWEST_STEPS * finest.readabilityGrams;
  return { scale: finest.name, grams, soluteGrams: grams * share };
}

async function bench() {
  const db = database();
  const makerId = currentMakerId();
  const [all, own, lots, scales] = await Promise.all([
    listChoosable(db, makerId),
    listOwnMaterials(db, makerId),
    listLots(db, makerId),
    listScales(db, makerId),
  ]);
  return { all, own, lots, scales, solutes: all.map(({ facts }) => facts).filter(isDissolvable) };
}

/** A stock solution as planned, what stands of it and of others, and from which lot it can be made. */
export async function openSolution(typed: TypedSolution) {
  const { all, own, lots, scales, solutes } = await bench();
  const today = isoToday();
  const wish = wishOf(typed, solutes, today);
  const isAsked = typed.of !== "";
  const soluteId = all.find(({ facts }) => facts.slug === typed.of)?.id;
  const made = new Set(own.filter(({ madeAs }) => madeAs === "solution").map(({ id }) => id));
  const names = new Map(solutes.map((solute) => [solute.slug, shownMaterial(solute).name]));
  return {
    typed,
    ids: { id: crypto.randomUUID(), movementId: crypto.randomUUID() },
    solutes: [...names].map(([slug, name]) => ({ slug, name })),
    lots: lots
      .filter(({ materialId, freeGrams }) => materialId === soluteId && freeGrams > 0)
      .map(({ id, code, freeGrams }) => ({ id, code, freeGrams })),
    plan: wish.ok
      ? {
          ...wish.plan,
          name: names.get(typed.of) ?? "",
          said: saidWithin(names.get(typed.of) ?? ""),
          strengthPercent: wish.strengthPercent,
          grams: wish.grams,
          made: writtenDay(today),
          discard: writtenDay(wish.plan.discardOn),
          least: leastOf(scales, wish.plan.soluteGrams / wish.grams),
        }
      : null,
    problems: wish.ok || !isAsked ? [] : wish.problems,
    standing: lots
      .filter(({ materialId, leftGrams }) => made.has(materialId) && leftGrams > 0)
      .map((lot) => ({
        id: lot.id,
        slug: lot.facts.slug,
        name: lot.facts.name,
        code: lot.code,
        leftGrams: lot.leftGrams,
        packGrams: lot.packGrams,
        made: lot.openedOn === null ? "" : writtenDay(lot.openedOn),
        discard: lot.endsOn === null ? "" : writtenDay(lot.endsOn),
        isPast: lot.endsOn !== null && lot.endsOn < today,
      })),
  };
}

export type OpenSolution = Awaited<ReturnType<typeof openSolution>>;

/** Puts a solution that was made on the shelf, and takes its solute off the lot it came from. Returns its lot, or what is wrong. */
export async function makeSolution(
  typed: TypedSolution,
  ids: { readonly id: string; readonly movementId: string },
): Promise<{ readonly lotId: string } | readonly FieldProblem[]> {
  const [db, makerId] = [database(), currentMakerId()];
  const { all, own, solutes } = await bench();
  const today = isoToday();
  const wish = wishOf(typed, solutes, today);
  if (!wish.ok) return wish.problems;
  if ((await findLot(db, makerId, ids.id)) !== undefined) return { lotId: ids.id };
  const { solute, strengthPercent, grams, plan } = wish;
  const wanted = slugOf(`${solute.slug} ${strengthPercent} percent`, new Set());
  const there = own.find(({ facts, madeAs }) => madeAs === "solution" && facts.slug === wanted);
  const slug = there?.facts.slug ?? slugOf(wanted, new Set(all.map(({ facts }) => facts.slug)));
  const facts = stockMaterial(solute, strengthPercent, slug);
  const material = there === undefined ? ({ id: crypto.randomUUID(), facts, basedOnId: null, madeAs: "solution" } as const) : null;
  const code = madeCode("S", today, await codesOfLots(db, makerId, startOfCode("S", today)));
  const lot = {
    id: ids.id,
    materialId: there?.id ?? material?.id ?? "",
    code,
    supplier: "",
    assayPercent: null,
    packGrams: grams,
    price: null,
    openedOn: today,
    endsOn: plan.discardOn,
    note: `${plan.soluteGrams.toFixed(2)} g in ${plan.waterGrams.toFixed(2)} g of water`,
  };
  const note = `solution ${code}`;
  const taken =
    typed.lot === ""
      ? []
      : [
          {
            lotId: typed.lot,
            movementId: crypto.randomUUID(),
            work: (held: { freeGrams: number; leftGrams: number }) => movementOf({ kind: "use", note }, plan.soluteGrams, held),
          },
        ];
  try {
    const isStored = await shelveMadeLot(database(), currentMakerId(), { material, lot, movementId: ids.movementId, taken });
    if (!isStored) return [{ field: "lot", message: "This lot is not on the shelf any more." }];
    return { lotId: ids.id };
  } catch (error) {
    if (error instanceof Refusal) return [{ field: "lot", message: `${error.message} ${error.remedy}` }];
    throw error;
  }
}
