import type { FoundMaterial } from "@tensidrum/core/search";
import { writtenMass } from "@tensidrum/core/quantities";
import { knownMaterials, type KnownMaterial } from "../knownMaterials";
import { readLot, type LotField, type TypedLot } from "../readLot";
import { lotColumns, type ColumnChoice } from "./columns";
import type { ImportRow } from "./importRow";
import { plainCell } from "./plainCell";
import type { Table } from "./readTable.server";

/** Lots that stand on the shelf already, as "slug of the material, code". */
export type TakenCodes = ReadonlySet<string>;

export const codeKey = (slug: string, code: string): string => `${slug} ${code}`;

export const lotHeads: readonly string[] = ["material", "lot", "pack", "assay, %", "price", "expires"];

/** What each row of a table makes, and what is wrong with it. */
export function lotRows(
  { rows }: Table,
  columns: ColumnChoice,
  around: { readonly materials: readonly FoundMaterial[]; readonly taken: TakenCodes; readonly currency: string },
): readonly ImportRow[] {
  const known = knownMaterials(around.materials);
  const seen = new Map<string, number>();
  return rows.map((cells, row): ImportRow => {
    const cell = (field: LotField): string => (columns[field] === undefined ? "" : plainCell(cells[columns[field]] ?? ""));
    const typed = Object.fromEntries(lotColumns.map(({ field }) => [field, cell(field)])) as unknown as TypedLot;
    const { lot, problems } = readLot(typed, around.currency);
    const material = known(typed.material);
    const said = problems.map(({ message }) => message);
    if (material === null) said.unshift(typed.material === "" ? "No material is named." : `“${typed.material}” is not in the library.`);
    else said.push(...twiceProblem(material, lot.code, row, { ...around, seen }));
    return {
      row,
      shown: [
        material?.name ?? typed.material,
        typed.code,
        lot.packGrams > 0 ? writtenMass(lot.packGrams) : typed.grams,
        typed.assay,
        typed.price,
        typed.endsOn,
      ],
      guess: material?.isGuess === true ? `a guess for “${typed.material}”` : null,
      problems: said,
      item: said.length > 0 || material === null ? null : { kind: "lot", material: material.slug, lot, leftGrams: lot.packGrams },
    };
  });
}

function twiceProblem(
  material: KnownMaterial,
  code: string,
  row: number,
  { taken, seen }: { readonly taken: TakenCodes; readonly seen: Map<string, number> },
): readonly string[] {
  if (code === "") return [];
  const key = codeKey(material.slug, code);
  if (taken.has(key)) return [`A lot ${code} of this material stands on the shelf already.`];
  const earlier = seen.get(key);
  if (earlier !== undefined) return [`Row ${earlier + 1} names the same lot.`];
  seen.set(key, row);
  return [];
}
