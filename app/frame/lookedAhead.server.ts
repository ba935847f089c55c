import { needsOf, outlookOf } from "@tensidrum/core/inventory";
import { nameOfSlug, type MaterialsBySlug } from "@tensidrum/core/library";
import { formulasOfVersions } from "../../db/formulas/formulaOfVersion.server";
import { listLots } from "../../db/inventory/queries.server";
import { listPlannedBatches } from "../../db/planning/queries.server";
import { currentMakerId, database } from "../../db/workplace.server";
import { here, isoToday } from "./dates.server";

/** What ends within so many days is told, or until the last planned batch. Ours: two months, as the shelf itself does. */
const AHEAD_DAYS = 60;

type Plan = Awaited<ReturnType<typeof listPlannedBatches>>[number];
type Lot = Awaited<ReturnType<typeof listLots>>[number];

export const mayBeTaken = (lot: Lot): boolean => lot.onHold === "" && lot.freeGrams > 0;

/** What is planned, what that takes, and what of it the shelf does not have. */
export async function lookedAhead(planned?: readonly Plan[]) {
  const [db, makerId] = [database(), currentMakerId()];
  const today = isoToday();
  const [lots, plans] = await Promise.all([listLots(db, makerId), planned ?? listPlannedBatches(db, makerId)]);
  const versions = await formulasOfVersions(db, makerId, plans);
  const needed = plans.map(({ formulaId, number, grams }) => {
    const version = versions.find((one) => one.formulaId === formulaId && one.number === number);
    const percents = version === undefined ? [] : [...needsOf(version.formula, version.materials)];
    return new Map(percents.map(([slug, percent]) => [slug, (grams * percent) / 100]));
  });
  const names: MaterialsBySlug = new Map([
    ...versions.flatMap(({ materials }) => [...materials]),
    ...lots.map(({ facts }) => [facts.slug, facts] as const),
  ]);
  const ahead = here().add(AHEAD_DAYS, "day").format("YYYY-MM-DD");
  const last = plans.at(-1)?.plannedOn ?? today;
  const found = outlookOf(
    plans.map(({ id, plannedOn }, at) => ({ id, on: plannedOn < today ? today : plannedOn, needs: needed[at] ?? new Map() })),
    lots.filter(mayBeTaken).map(({ id, facts, freeGrams, endsOn }) => ({ id, material: facts.slug, freeGrams, endsOn })),
    last > ahead ? last : ahead,
  );
  const named = (slug: string) => ({ slug, name: nameOfSlug(slug, names), isMixture: names.get(slug)?.parts !== undefined });
  return { today, lots, plans, found, named };
}

export type Ahead = Awaited<ReturnType<typeof lookedAhead>>;
