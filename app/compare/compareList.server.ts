import { shownFormulaName } from "@tensidrum/core/formula";
import { listProducts } from "../../db/comparison/queries.server";
import { listFormulas, listNewestVersions } from "../../db/formulas/queries.server";
import { listWatchable } from "../../db/watch/queries.server";
import { currentMakerId, database } from "../../db/workplace.server";
import { group, idOrNone } from "../frame/fields.server";
import { askedFor, partOf } from "../frame/listParts.server";
import { writtenShortDay } from "../frame/dates.server";

/** Behind which formula and which batch the lists go on. */
export const compareQuestions = group({ formulas: idOrNone(), batches: idOrNone() });

const [MOST_FORMULAS, MOST_VERSIONS, MOST_BATCHES] = [12, 6, 12];

/** Everything that can stand beside each other: versions, finished batches, products to come close to. */
export async function openCompare({ formulas: behindFormula, batches: behindBatch } = { formulas: "", batches: "" }) {
  const [db, makerId] = [database(), currentMakerId()];
  const [someFormulas, someBatches, products] = await Promise.all([
    listFormulas(db, makerId, { most: askedFor(MOST_FORMULAS), behind: behindFormula }),
    listWatchable(db, makerId, { most: askedFor(MOST_BATCHES), behind: behindBatch }),
    listProducts(db, makerId),
  ]);
  const formulas = partOf(someFormulas, MOST_FORMULAS);
  const batches = partOf(someBatches, MOST_BATCHES);
  const shown = formulas.shown.map(({ id }) => id);
  const newest = await listNewestVersions(db, makerId, shown, MOST_VERSIONS);
  return {
    behind: { formulas: behindFormula, batches: behindBatch },
    older: { formulas: formulas.older, batches: batches.older },
    formulas: formulas.shown.map(({ id, name }) => {
      const versions = newest.filter(({ formulaId }) => formulaId === id);
      return {
        ...{ id, name: shownFormulaName(name), count: versions[0]?.inAll ?? 0 },
        versions: versions.toReversed().map(({ number, state }) => ({ number, isDraft: state === "draft" })),
      };
    }),
    batches: batches.shown.map(({ id, code, name, finishedAt }) => ({
      ...{ id, code, name: shownFormulaName(name) },
      finished: finishedAt === null ? "" : writtenShortDay(finishedAt),
    })),
    products: products.map(({ id, name, printed, ph, slip, foamAtOnceMm }) => ({
      ...{ id, name, hasList: printed.trim() !== "" },
      isMeasured: [ph, slip, foamAtOnceMm].some((value) => value !== null),
    })),
  };
}

export type OpenCompare = Awaited<ReturnType<typeof openCompare>>;
