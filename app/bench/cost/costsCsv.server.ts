import { listAllBatches } from "../../../db/batches/queries.server";
import { findMaker } from "../../../db/makers/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { csvAnswer, type CsvRow } from "../../frame/csvAnswer.server";
import { costOfBatch } from "./cost.server";

const round = (money: number): number => Math.round(money * 10_000) / 10_000;

/** What every finished batch cost, as a table for a spreadsheet; each is computed when its row is due. */
export async function costsCsv(): Promise<Response> {
  const [db, makerId] = [database(), currentMakerId()];
  const currency = (await findMaker(db, makerId))?.currency ?? "";
  const unit = currency === "" ? "" : `, ${currency}`;
  const heads = {
    materials: `materials${unit}`,
    containers: `containers${unit}`,
    labels: `labels${unit}`,
    all: `all together${unit}`,
    per100: `100 g of content${unit}`,
    each: `one container${unit}`,
    price: `price with tax${unit}`,
  };
  const finished = (await listAllBatches(db, makerId)).filter(({ finishedAt }) => finishedAt !== null);
  async function* rows(): AsyncGenerator<readonly CsvRow[]> {
    for (const { id, code, name } of finished) {
      const { cost } = await costOfBatch(id);
      const kinds = cost.kinds.length === 0 ? [null] : cost.kinds;
      yield kinds.map((kind) => ({
        ...{ batch: code, formula: name, [heads.materials]: round(cost.materialsTotal), [heads.containers]: round(cost.containersTotal) },
        ...{ [heads.labels]: round(cost.labelsTotal), [heads.all]: round(cost.total) },
        [heads.per100]: cost.per100Grams === null ? "" : round(cost.per100Grams),
        ...{ container: kind?.name ?? "", "content, g": kind?.grams ?? "" },
        ...{ [heads.each]: kind === null ? "" : round(kind.each), [heads.price]: kind === null ? "" : round(kind.priceWithTax) },
        "without a price": cost.unpriced.join("; "),
      }));
    }
  }
  const all = [
    "batch",
    "formula",
    heads.materials,
    heads.containers,
    heads.labels,
    heads.all,
    heads.per100,
    "container",
    "content, g",
    heads.each,
    heads.price,
  ];
  return csvAnswer("costs.csv", [...all, "without a price"], rows());
}
