import { daysLeft, madeUpWater, type MadeUpWater, type WaterRecipe } from "@tensidrum/core/formula";
import { Refusal } from "@tensidrum/core/quantities";
import { saysTheSame, slugOf } from "@tensidrum/core/library";
import { isBlank, readMassGrams, readNumber } from "@tensidrum/core/quantities";
import { currentMakerId, database } from "../../../db/workplace.server";
import { listMaterials, listOwnMaterials } from "../../../db/materials/queries.server";
import { codesOfLots, findLot, listLots } from "../../../db/inventory/queries.server";
import { shelveMadeLot } from "../../../db/inventory/writes.server";
import { LEAST_GRAMS } from "../readLot";
import { madeCode, startOfCode } from "./preparationCode";
import type { FieldProblem } from "../../frame/formAnswer";
import type { TypedWater } from "./waterForm.server";
import { daysBetween, here, isoToday, writtenShortDay } from "../../frame/dates.server";

type Wish =
  | { readonly ok: true; readonly recipe: Omit<WaterRecipe, "slug">; readonly water: MadeUpWater }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] };

function wishOf(typed: TypedWater): Wish {
  const say = (field: keyof TypedWater, message: string): Wish => ({ ok: false, problems: [{ field, message }] });
  if (isBlank(typed.name)) return say("name", "Give the water a name: Birch leaf water.");
  if (isBlank(typed.inci)) return say("inci", "Give the INCI name of what comes out of the plant: Betula Alba Leaf Extract.");
  const plant = readMassGrams(typed.plant);
  if (!plant.ok) return say("plant", "Give the grams of the plant.");
  const water = readMassGrams(typed.water);
  if (!water.ok) return say("water", "Give the grams of water.");
  const left = typed.yield === "" ? null : readMassGrams(typed.yield);
  if (left !== null && (!left.ok || left.value < LEAST_GRAMS))
    return say("yield", "Give what was left after straining, or leave it empty.");
  const days = readNumber(typed.days);
  if (!days.ok || days.value < 1) return say("days", "Give at least one day.");
  const recipe = {
    name: typed.name,
    extractInci: typed.inci,
    plantGrams: plant.value,
    waterGrams: water.value,
    ...(left === null ? {} : { yieldGrams: left.value }),
    daysOfLife: Math.floor(days.value),
    isChallengeTested: typed.tested === "on",
  };
  try {
    return { ok: true, recipe, water: madeUpWater({ ...recipe, slug: "water" }) };
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return say("days", `${error.message} ${error.remedy}`);
  }
}

async function bench() {
  const db = database();
  const makerId = currentMakerId();
  const [own, lots] = await Promise.all([listOwnMaterials(db, makerId), listLots(db, makerId)]);
  return { own, lots };
}

/** A water as planned, and the waters that stand, with the days each has left. */
export async function openWater(typed: TypedWater) {
  const { own, lots } = await bench();
  const wish = wishOf(typed);
  const today = here().startOf("day");
  const waters = new Set(own.filter(({ madeAs }) => madeAs === "water").map(({ id }) => id));
  return {
    typed,
    ids: { id: crypto.randomUUID(), movementId: crypto.randomUUID() },
    plan: wish.ok
      ? {
          name: wish.recipe.name,
          steps: wish.water.steps,
          yieldGrams: wish.water.yieldGrams,
          isYieldKnown: wish.recipe.yieldGrams !== undefined,
          days: wish.water.daysOfLife,
          discard: today.add(wish.water.daysOfLife, "day").format("ddd D MMM YYYY"),
          composition: wish.water.material.inci,
          caution: wish.water.material.caution,
        }
      : null,
    problems: wish.ok || Object.values({ ...typed, days: "" }).every((text) => text === "") ? [] : wish.problems,
    standing: lots
      .filter(({ materialId, leftGrams }) => waters.has(materialId) && leftGrams > 0)
      .map((lot) => ({
        id: lot.id,
        slug: lot.facts.slug,
        name: lot.facts.name,
        code: lot.code,
        leftGrams: lot.leftGrams,
        packGrams: lot.packGrams,
        made: lot.openedOn === null ? "" : writtenShortDay(lot.openedOn),
        daysLeft:
          lot.openedOn === null || lot.endsOn === null
            ? null
            : daysLeft({ daysOfLife: daysBetween(lot.openedOn, lot.endsOn) }, daysBetween(lot.openedOn, isoToday())),
      })),
  };
}

export type OpenWater = Awaited<ReturnType<typeof openWater>>;

/** Puts a water that was cooked on the shelf with its days of life. Returns its lot, or what is wrong. */
export async function makeWater(
  typed: TypedWater,
  ids: { readonly id: string; readonly movementId: string },
): Promise<{ readonly lotId: string } | readonly FieldProblem[]> {
  const wish = wishOf(typed);
  if (!wish.ok) return wish.problems;
  if (wish.recipe.yieldGrams === undefined) return [{ field: "yield", message: "Weigh what was left after straining." }];
  const { own } = await bench();
  const db = database();
  const makerId = currentMakerId();
  if ((await findLot(db, makerId, ids.id)) !== undefined) return { lotId: ids.id };
  // The same plant cooked the same way is another lot of the same water.
  const there = own.find(
    ({ facts, madeAs }) => madeAs === "water" && facts.name === typed.name && saysTheSame(facts.inci, wish.water.material.inci),
  );
  const taken = new Set((await listMaterials(db, makerId)).map(({ facts }) => facts.slug));
  const { material } = madeUpWater({ ...wish.recipe, slug: slugOf(typed.name, taken) });
  const facts = { ...material, handling: `${wish.water.steps.join(" ")} ${material.handling}` };
  const made = there === undefined ? ({ id: crypto.randomUUID(), facts, basedOnId: null, madeAs: "water" } as const) : null;
  const today = here();
  const day = today.format("YYYY-MM-DD");
  await shelveMadeLot(db, makerId, {
    material: made,
    lot: {
      id: ids.id,
      materialId: there?.id ?? made?.id ?? "",
      code: madeCode("W", day, await codesOfLots(db, makerId, startOfCode("W", day))),
      supplier: "",
      assayPercent: null,
      packGrams: wish.recipe.yieldGrams,
      price: null,
      openedOn: today.format("YYYY-MM-DD"),
      endsOn: today.add(wish.water.daysOfLife, "day").format("YYYY-MM-DD"),
      note: `${wish.recipe.plantGrams} g of the plant in ${wish.recipe.waterGrams} g of water`,
    },
    movementId: ids.movementId,
    taken: [],
  });
  return { lotId: ids.id };
}
