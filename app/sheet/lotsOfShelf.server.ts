import type { Database } from "../../db/client.server";
import { lotsById } from "../../db/inventory/queries.server";
import { assayField } from "./typed/readTyped";
import type { FieldProblem } from "../frame/formAnswer";
import type { TypedLine, TypedSheet } from "./typed/typedSheet";

/** The sheet with what the shelf knows of the lots its lines name; a lot that is gone or holds something else is a problem. */
export async function withLotsOfShelf(
  db: Database,
  makerId: string,
  typed: TypedSheet,
): Promise<{ readonly typed: TypedSheet; readonly problems: readonly FieldProblem[] }> {
  const ids = new Set(typed.lines.flatMap(({ lots = [] }) => lots.map(({ lotId }) => lotId)));
  if (ids.size === 0) return { typed, problems: [] };
  const stored = new Map((await lotsById(db, makerId, [...ids])).map((lot) => [lot.id, lot]));
  const problems: FieldProblem[] = [];
  const known = (line: TypedLine) =>
    (line.lots ?? []).flatMap(({ lotId, grams }) => {
      const lot = stored.get(lotId);
      if (lot?.materialId !== line.materialId) {
        problems.push({ field: assayField(line.id), message: "A lot of this line is not on the shelf any more. Choose another." });
        return [];
      }
      const pricePerGram = lot.price === null ? null : lot.price / lot.packGrams;
      return [{ lotId, code: lot.code, grams, assayPercent: lot.assayPercent, pricePerGram }];
    });
  return { typed: { ...typed, lines: typed.lines.map((line) => ({ ...line, lots: known(line) })) }, problems };
}
