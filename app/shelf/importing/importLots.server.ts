import { Refusal } from "@tensidrum/core/formula";
import { shownMaterial } from "@tensidrum/core/library";
import Papa from "papaparse";
import { database } from "../../../db/client.server";
import { brokenConstraint } from "../../../db/failures.server";
import { listMaterials } from "../../../db/materials/queries.server";
import { listLots } from "../../../db/stock/queries.server";
import { receiveLots } from "../../../db/stock/writes.server";
import { currentMakerId } from "../../frame/maker.server";
import { guessColumns, lotColumns, type ColumnChoice } from "./columns";
import { codeKey, lotRows, type LotRow } from "./lotRows.server";
import { readTable } from "./readTable.server";

const MOST_SHOWN = 200;

async function readLots(content: Uint8Array | string, columns: ColumnChoice | null) {
  const db = database();
  const makerId = currentMakerId();
  const table = readTable(content);
  const chosen = columns ?? guessColumns(table.heads);
  const [materials, standing] = await Promise.all([listMaterials(db, makerId), listLots(db, makerId)]);
  const taken = new Set(standing.map(({ materialId, code }) => codeKey(materialId, code)));
  return { table, columns: chosen, rows: lotRows(table, chosen, { materials, taken }) };
}

/** What a table of lots would bring: its columns as guessed or chosen, and each row with what is wrong with it. */
export async function previewLots(content: Uint8Array | string, columns: ColumnChoice | null) {
  const { table, columns: chosen, rows } = await readLots(content, columns);
  const good = rows.filter(isGood);
  return {
    text: typeof content === "string" ? content : Papa.unparse([[...table.heads], ...table.rows.map((cells) => [...cells])]),
    heads: table.heads,
    columns: chosen,
    rows: rows
      .slice(0, MOST_SHOWN)
      .map(({ row, typed, material, problems, lot }) => ({ row, typed, material, problems, packGrams: lot.packGrams })),
    rowCount: rows.length,
    goodCount: good.length,
    goodBelow: good.filter(({ row }) => row >= MOST_SHOWN).length,
  };
}

export type LotsPreview = Awaited<ReturnType<typeof previewLots>>;

function isGood({ problems }: LotRow): boolean {
  return problems.length === 0;
}

export interface ChosenRows {
  readonly rows: ReadonlySet<number>;
  /** Also those below the ones that were shown. */
  readonly below: boolean;
}

/** Puts the chosen rows on the shelf, all or none. Returns how many. */
export async function importLots(text: string, columns: ColumnChoice, chosen: ChosenRows): Promise<number> {
  const { rows } = await readLots(text, columns);
  const wanted = rows.filter((row) => (row.row < MOST_SHOWN ? chosen.rows.has(row.row) : chosen.below && isGood(row)));
  const broken = wanted.find((row) => !isGood(row));
  if (broken !== undefined) {
    throw new Refusal(
      "not-valid",
      `Row ${broken.row + 1}: ${broken.problems[0] ?? "it cannot be read"}`,
      "Nothing was stored. Mend it or leave it out.",
    );
  }
  if (wanted.length === 0) throw new Refusal("not-valid", "No row is chosen.", "Tick the rows to bring in.");
  try {
    await receiveLots(
      database(),
      currentMakerId(),
      wanted.map(({ lot, material }) => ({
        lot: { ...lot, id: crypto.randomUUID(), materialId: material?.id ?? "" },
        movementId: crypto.randomUUID(),
      })),
    );
  } catch (error) {
    if (brokenConstraint(error) !== "taken") throw error;
    throw new Refusal("conflict", "One of these lots came to the shelf in the meantime.", "Nothing was stored. Read the list again.");
  }
  return wanted.length;
}

/** Every lot as a table; cells that begin like a formula of a spreadsheet stay text. */
export async function lotsCsv(): Promise<string> {
  const lots = await listLots(database(), currentMakerId());
  const rows = lots.map((lot) => ({
    material: shownMaterial(lot.facts).name,
    code: lot.code,
    grams: lot.packGrams,
    assay: lot.assayPercent ?? "",
    price: lot.price ?? "",
    endsOn: lot.endsOn ?? "",
    openedOn: lot.openedOn ?? "",
    supplier: lot.supplier,
    note: lot.note,
    left: lot.leftGrams,
    slug: lot.facts.slug,
  }));
  const fields = [...lotColumns.map(({ field }) => field), "left", "slug"];
  return Papa.unparse({ fields, data: rows }, { escapeFormulae: true, newline: "\r\n" });
}
