import type { FoundMaterial } from "@tensidrum/core/search";
import { knownMaterials, type KnownMaterial } from "../knownMaterials";
import { readLot, type LotField, type ReadLot, type TypedLot } from "../readLot";
import { lotColumns, type ColumnChoice } from "./columns";
import type { Table } from "./readTable.server";

export interface LotRow {
  /** Its place in the table, from 0. */
  readonly row: number;
  readonly typed: TypedLot;
  readonly lot: ReadLot;
  readonly material: KnownMaterial | null;
  readonly problems: readonly string[];
}

/** Lots that stand on the shelf already, as "material id, code". */
export type TakenCodes = ReadonlySet<string>;

export const codeKey = (materialId: string, code: string): string => `${materialId} ${code}`;

/** What each row of a table makes, and what is wrong with it. */
export function lotRows(
  { rows }: Table,
  columns: ColumnChoice,
  around: { readonly materials: readonly FoundMaterial[]; readonly taken: TakenCodes },
): readonly LotRow[] {
  const known = knownMaterials(around.materials);
  const seen = new Map<string, number>();
  return rows.map((cells, row): LotRow => {
    const cell = (field: LotField): string => (columns[field] === undefined ? "" : plainCell(cells[columns[field]] ?? ""));
    const typed = Object.fromEntries(lotColumns.map(({ field }) => [field, cell(field)])) as unknown as TypedLot;
    const { lot, problems } = readLot(typed);
    const material = known(typed.material);
    const said = problems.map(({ message }) => message);
    if (material === null) said.unshift(typed.material === "" ? "No material is named." : `“${typed.material}” is not in the library.`);
    else if (lot.code !== "") {
      const key = codeKey(material.id, lot.code);
      const earlier = seen.get(key);
      if (around.taken.has(key)) said.push(`A lot ${lot.code} of this material stands on the shelf already.`);
      else if (earlier !== undefined) said.push(`Row ${earlier + 1} names the same lot.`);
      else seen.set(key, row);
    }
    return { row, typed, lot, material, problems: said };
  });
}

/** A cell as it was meant: tables of ours put a mark before what a spreadsheet would take for a formula. */
function plainCell(cell: string): string {
  return cell.trim().replace(/^'(?=[=+\-@])/, "");
}
