import { movementsAfter } from "../../../db/inventory/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { here } from "../../frame/dates.server";
import { csvAnswer, type CsvRow } from "../../frame/csvAnswer.server";

const AT_ONCE = 2_000;

/** The whole stock ledger as a table for a spreadsheet, in the order it was entered, sent as it is read. */
export function movementsCsv(): Response {
  const [db, makerId] = [database(), currentMakerId()];
  async function* rows(): AsyncGenerator<readonly CsvRow[]> {
    for (let position = 0; ;) {
      const some = await movementsAfter(db, makerId, position, AT_ONCE);
      yield some.map(({ madeAt, slug, name, code, kind, grams, batch, note }) => ({
        ...{
          date: here(madeAt).format("YYYY-MM-DD HH:mm"),
          material: name,
          slug,
          lot: code,
          what: kind,
          "grams, g": grams,
          batch: batch ?? "",
          note,
        },
      }));
      const last = some.at(-1);
      if (last === undefined || some.length < AT_ONCE) return;
      position = last.position;
    }
  }
  return csvAnswer("movements.csv", ["date", "material", "slug", "lot", "what", "grams, g", "batch", "note"], rows());
}
