import { largestBatch } from "@tensidrum/core/inventory";
import { shownFormulaName } from "@tensidrum/core/formula";
import { nameOfSlug } from "@tensidrum/core/library";
import { formulaOfVersion } from "../../../db/formulas/formulaOfVersion.server";
import { listFormulas } from "../../../db/formulas/queries.server";
import { listLots } from "../../../db/inventory/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { isoToday } from "../../frame/dates.server";

/** Formulas that are looked at, the one changed last first. */
const MOST = 60;

/** What the shelf makes now: of each formula the largest batch, and what it is used up by. */
export async function openOutlook() {
  const [db, makerId] = [database(), currentMakerId()];
  const today = isoToday();
  const [lots, formulas] = await Promise.all([listLots(db, makerId), listFormulas(db, makerId, { limit: MOST, offset: 0 })]);
  const free = new Map<string, number>();
  for (const { facts, freeGrams, onHold, endsOn } of lots) {
    if (onHold === "" && (endsOn === null || endsOn >= today)) free.set(facts.slug, (free.get(facts.slug) ?? 0) + Math.max(0, freeGrams));
  }
  const rows = await Promise.all(
    formulas.map(async ({ id, name, number, state, batchGrams }) => {
      const { formula, materials } = await formulaOfVersion(db, makerId, { formulaId: id, number });
      const { grams, limitedBy } = largestBatch(formula, free, materials);
      return {
        ...{ id, number, grams, batchGrams, isFinal: state === "final", name: shownFormulaName(name) },
        limitedBy: limitedBy.map((slug) => ({ slug, name: nameOfSlug(slug, materials) })),
      };
    }),
  );
  const isEnough = ({ grams, batchGrams }: (typeof rows)[number]): boolean => grams === null || grams >= batchGrams;
  return {
    enough: rows.filter(isEnough),
    less: rows.filter((row) => !isEnough(row) && (row.grams ?? 0) > 0),
    lacking: rows.filter(({ grams }) => grams === 0),
  };
}

export type OpenOutlook = Awaited<ReturnType<typeof openOutlook>>;
