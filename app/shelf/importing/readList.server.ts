import Papa from "papaparse";
import { currentMakerId, database } from "../../../db/workplace.server";
import { listChoosable, listOwnMaterials } from "../../../db/materials/queries.server";
import { findMaker } from "../../../db/makers/queries.server";
import { listLots } from "../../../db/inventory/queries.server";
import { guessColumns, looksLikeMaterials, lotColumns, materialColumns, type ColumnChoice } from "./columns";
import { fileHeads, fileRows } from "./fileRows.server";
import type { ImportKind, ReadList } from "./importRow";
import { codeKey, lotHeads, lotRows } from "./lotRows.server";
import { materialHeads, materialRows } from "./materialRows.server";
import { decodedText, readTable } from "./readTable.server";

/** What a list is read as; what is not said is found out. */
export interface ListChoice {
  readonly kind: ImportKind | null;
  readonly columns: ColumnChoice | null;
}

/**
 * Reads a table of lots or of materials, or a file of both, row by row.
 * @throws Refusal when it is too long, empty, or not such a thing at all.
 */
export async function readList(content: Uint8Array | string, choice: ListChoice): Promise<ReadList> {
  const db = database();
  const makerId = currentMakerId();
  const [materials, standing, own, maker] = await Promise.all([
    listChoosable(db, makerId),
    listLots(db, makerId),
    listOwnMaterials(db, makerId),
    findMaker(db, makerId),
  ]);
  const taken = new Set(standing.map(({ facts, code }) => codeKey(facts.slug, code)));
  const text = decodedText(content);
  if (choice.kind === "file" || (choice.kind === null && /^\s*\{/.test(text))) {
    const rows = fileRows(text, { materials, taken, own: new Set(own.map(({ facts }) => facts.slug)) });
    return { kind: "file", text, heads: [], columns: {}, shownHeads: fileHeads, rows };
  }
  const table = readTable(text);
  const kind = choice.kind ?? (looksLikeMaterials(table.heads) ? "materials" : "lots");
  const columns = choice.columns ?? guessColumns(table.heads, kind === "lots" ? lotColumns : materialColumns);
  // Sent again with one mark between the cells, whatever it came with.
  const again = typeof content === "string" ? text : Papa.unparse([[...table.heads], ...table.rows.map((cells) => [...cells])]);
  const of = { text: again, heads: table.heads, columns };
  return kind === "lots"
    ? { ...of, kind, shownHeads: lotHeads, rows: lotRows(table, columns, { materials, taken, currency: maker?.currency ?? "" }) }
    : { ...of, kind, shownHeads: materialHeads, rows: materialRows(table, columns, materials) };
}
