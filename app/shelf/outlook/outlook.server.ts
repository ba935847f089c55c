import { shownFormulaName } from "@tensidrum/core/formula";
import { largestBatch, ordersFor, type Offer } from "@tensidrum/core/inventory";
import { nameOfSlug } from "@tensidrum/core/library";
import { formulasOfVersions } from "../../../db/formulas/formulaOfVersion.server";
import { countFormulas, listFormulas } from "../../../db/formulas/queries.server";
import { packsBought } from "../../../db/inventory/queries.server";
import { listPlannable } from "../../../db/planning/queries.server";
import { listOffers } from "../../../db/prices/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { here, writtenDay } from "../../frame/dates.server";
import { lookedAhead, mayBeTaken, type Ahead } from "../../frame/lookedAhead.server";

/** Formulas that are looked at, the one changed last first. */
const MOST = 12;
/** Formulas that are offered to be planned. */
const MOST_PLANNABLE = 30;

type Lot = Ahead["lots"][number];

const plansTold = ({ today, plans, found, named }: Ahead) =>
  plans.map((plan) => ({
    ...plan,
    name: shownFormulaName(plan.name),
    day: here(plan.plannedOn).format("ddd D MMM YYYY"),
    isLate: plan.plannedOn < today,
    lacks: (found.lacks.get(plan.id) ?? []).map(({ material, grams }) => ({ ...named(material), grams })),
  }));

/** What is planned, and what to buy for it. */
export async function openToBuy() {
  const ahead = await lookedAhead();
  return { today: ahead.today, plans: plansTold(ahead), toBuy: await orders(ahead.found.toBuy, ahead.named) };
}

/** What is planned, what it lacks, what to buy for it, and what ends unused. */
export async function openOutlook(called = "") {
  const [db, makerId] = [database(), currentMakerId()];
  const [ahead, versions, formulas] = await Promise.all([
    lookedAhead(),
    listPlannable(db, makerId, { most: MOST_PLANNABLE, called }),
    countFormulas(db, makerId),
  ]);
  const { today, lots, found, named } = ahead;
  return {
    newId: crypto.randomUUID(),
    today,
    called,
    /** There are formulas the list of what may be planned does not show. */
    isNarrowed: formulas > MOST_PLANNABLE,
    versions: versions.map(({ id, name, number, state, batchGrams }) => ({
      id,
      batchGrams,
      name: `${shownFormulaName(name)} v${number}${state === "draft" ? ", draft" : ""}`,
    })),
    plans: plansTold(ahead),
    toBuy: await orders(found.toBuy, named),
    expiring: found.expiring.flatMap(({ lot: id, grams, endsOn }) => {
      const lot = lots.find((one) => one.id === id);
      return lot === undefined
        ? []
        : [{ id, grams, code: lot.code, ...named(lot.facts.slug), ends: writtenDay(endsOn), isPast: endsOn < today }];
    }),
    makeable: { ...(await makeable(lots, today)), of: formulas > MOST ? MOST : null },
  };
}

export type OpenOutlook = Awaited<ReturnType<typeof openOutlook>>;

/** What to order of each material that is lacking: the cheapest pack first, the others beside it. */
async function orders(
  toBuy: readonly { readonly material: string; readonly grams: number; readonly neededOn: string }[],
  named: (slug: string) => { readonly slug: string; readonly name: string; readonly isMixture: boolean },
) {
  const [db, makerId] = [database(), currentMakerId()];
  const [offers, packs] = await Promise.all([
    listOffers(db, makerId, null),
    packsBought(
      db,
      makerId,
      toBuy.map(({ material }) => material),
    ),
  ]);
  return toBuy.map(({ material, grams, neededOn }) => {
    const own = offers.filter((offer) => offer.material === material);
    const bought = packs.filter((pack) => pack.material === material).map(boughtBefore);
    const known = [
      ...own.map((offer) => ({ ...offer, seen: writtenDay(offer.seenAt) })),
      ...bought.filter(({ key }) => !own.some((offer) => keyOf(offer) === key)),
    ];
    const asOffers: readonly Offer[] = known.map(({ id, packGrams, price, leastPacks }) => ({ id, packGrams, price, leastPacks }));
    const found = ordersFor(grams, asOffers).flatMap(({ offer, ...order }) => {
      const of = known.find(({ id }) => id === offer);
      return of === undefined
        ? []
        : [{ ...order, supplier: of.supplier, packGrams: of.packGrams, packPrice: of.price, leastPacks: of.leastPacks, seen: of.seen }];
    });
    return { ...named(material), grams, neededOn, needed: writtenDay(neededOn), order: found[0] ?? null, others: found.slice(1) };
  });
}

const keyOf = ({ supplier, packGrams }: { readonly supplier: string; readonly packGrams: number }): string => `${supplier} ${packGrams}`;

/** A pack that was bought before can be bought again. */
function boughtBefore({ id, supplier, packGrams, price }: Awaited<ReturnType<typeof packsBought>>[number]) {
  return { id, supplier, packGrams, price, leastPacks: 1, seen: null, key: keyOf({ supplier, packGrams }) };
}

/** What the shelf makes now: of each formula the largest batch, and what it is used up by. */
async function makeable(lots: readonly Lot[], today: string) {
  const [db, makerId] = [database(), currentMakerId()];
  const formulas = await listFormulas(db, makerId, { most: MOST });
  const free = new Map<string, number>();
  for (const { facts, freeGrams, endsOn } of lots.filter(mayBeTaken)) {
    if (endsOn === null || endsOn >= today) free.set(facts.slug, (free.get(facts.slug) ?? 0) + freeGrams);
  }
  const made = await formulasOfVersions(
    db,
    makerId,
    formulas.map(({ id, number }) => ({ formulaId: id, number })),
  );
  const rows = made.flatMap(({ formulaId, formula, materials }) => {
    const listed = formulas.find(({ id }) => id === formulaId);
    if (listed === undefined) return [];
    const { id, name, number, state, batchGrams } = listed;
    const { grams, limitedBy } = largestBatch(formula, free, materials);
    const shown = { id, number, grams, batchGrams, isFinal: state === "final", name: shownFormulaName(name) };
    return [{ ...shown, limitedBy: limitedBy.map((slug) => ({ slug, name: nameOfSlug(slug, materials) })) }];
  });
  const isEnough = ({ grams, batchGrams }: (typeof rows)[number]): boolean => grams === null || grams >= batchGrams;
  return {
    enough: rows.filter(isEnough),
    less: rows.filter((row) => !isEnough(row) && (row.grams ?? 0) > 0),
    lacking: rows.filter(({ grams }) => grams === 0),
  };
}
