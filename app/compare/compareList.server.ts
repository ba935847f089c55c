import { shownFormulaName } from "@tensidrum/core/formula";
import { listProducts } from "../../db/comparison/queries.server";
import { listFormulas, listVersions } from "../../db/formulas/queries.server";
import { listWatchable } from "../../db/watch/queries.server";
import { currentMakerId, database } from "../../db/workplace.server";
import { writtenShortDay } from "../frame/dates.server";

const [MOST_FORMULAS, MOST_VERSIONS, MOST_BATCHES] = [20, 6, 12];

/** Everything that can stand beside each other: versions, finished batches, products to come close to. */
export async function openCompare() {
  const [db, makerId] = [database(), currentMakerId()];
  const [formulas, batches, products] = await Promise.all([
    listFormulas(db, makerId, { limit: MOST_FORMULAS, offset: 0 }),
    listWatchable(db, makerId, MOST_BATCHES),
    listProducts(db, makerId),
  ]);
  return {
    formulas: await Promise.all(
      formulas.map(async ({ id, name }) => {
        const versions = await listVersions(db, makerId, id);
        return {
          ...{ id, name: shownFormulaName(name), count: versions.length },
          versions: versions
            .slice(0, MOST_VERSIONS)
            .toReversed()
            .map(({ number, state }) => ({ number, isDraft: state === "draft" })),
        };
      }),
    ),
    batches: batches.map(({ id, code, name, finishedAt }) => ({
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
