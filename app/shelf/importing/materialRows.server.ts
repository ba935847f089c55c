import { Refusal } from "@tensidrum/core/quantities";
import { readMaterialsFile } from "@tensidrum/core/formats";
import { roleOf, type Material, type MaterialsBySlug } from "@tensidrum/core/library";
import type { FoundMaterial } from "@tensidrum/core/search";
import { writtenShort } from "@tensidrum/core/quantities";
import { knownMaterials } from "../knownMaterials";
import { numberFields, numberKey, spanFields, spanKey, typedMaterial, type TypedMaterial } from "../owning/materialFields";
import { messageOfMaterial, writtenMaterial } from "../owning/readMaterial.server";
import type { ColumnChoice } from "./columns";
import type { ImportRow } from "./importRow";
import { plainCell } from "./plainCell";
import type { Table } from "./readTable.server";

export const materialHeads: readonly string[] = ["material", "slug", "role", "charge", "active, %"];

/** What each row of a table of materials makes, and what is wrong with it. */
export function materialRows({ rows }: Table, columns: ColumnChoice, materials: readonly FoundMaterial[]): readonly ImportRow[] {
  const library = new Map(materials.map(({ facts }) => [facts.slug, facts]));
  const known = knownMaterials(materials);
  const seen = new Map<string, number>();
  const read = rows.map((cells, row) => {
    const typed = typedRow((field) => (columns[field] === undefined ? "" : plainCell(cells[columns[field]] ?? "")));
    const made = writtenMaterial(typed, { known, base: null, taken: new Set() });
    if ("problems" in made) return { typed, written: null, problems: made.problems.map(({ message }) => message) };
    const { slug } = made.written;
    const earlier = seen.get(slug);
    if (library.has(slug)) return { typed, written: null, problems: [`The library has “${slug}” already. Give this one another name.`] };
    if (earlier !== undefined) return { typed, written: null, problems: [`Row ${earlier + 1} has the same slug, ${slug}.`] };
    seen.set(slug, row);
    return { typed, written: made.written, problems: [] };
  });
  const checked = checkedMaterials(
    read.map(({ written }) => written),
    library,
  );
  return read.map(({ typed, problems }, row): ImportRow => {
    const { material, problems: beyond } = checked[row] ?? { material: null, problems: [] };
    return shownMaterialRow(row, { typed, material, problems: [...problems, ...beyond] });
  });
}

function shownMaterialRow(
  row: number,
  {
    typed,
    material,
    problems,
  }: { readonly typed: TypedMaterial; readonly material: Material | null; readonly problems: readonly string[] },
): ImportRow {
  return {
    row,
    shown: materialCells(material, typed),
    guess: null,
    problems,
    item:
      material === null || problems.length > 0
        ? null
        : { kind: "material", facts: material, madeAs: material.parts === undefined ? null : "blend" },
  };
}

/** The cells of the preview: as read, or as typed where that failed. */
export function materialCells(material: Material | null, typed: Pick<TypedMaterial, "name" | "slug" | "role" | "charge" | "active">) {
  if (material === null) return [typed.name, typed.slug, typed.role, typed.charge, typed.active.typical];
  const { name, slug, charge, active } = material;
  return [name, slug, roleOf(material), charge ?? "", active === null ? "" : writtenShort(active.typical, 2)];
}

function typedRow(cell: (field: string) => string): TypedMaterial {
  return {
    ...typedMaterial(null),
    ...Object.fromEntries(
      ["name", "slug", "role", "form", "charge", "inci", "parts", "flags", "handling", "caution"].map((field) => [field, cell(field)]),
    ),
    active: { typical: cell("activeTypical"), low: cell("activeLow"), high: cell("activeHigh") },
    numbers: Object.fromEntries(numberFields.map(({ field }) => [field, cell(numberKey(field))])) as TypedMaterial["numbers"],
    spans: Object.fromEntries(
      spanFields.map(({ field }) => [field, { low: cell(spanKey(field, "low")), high: cell(spanKey(field, "high")) }]),
    ) as TypedMaterial["spans"],
  };
}

interface CheckedMaterial {
  readonly material: Material | null;
  readonly problems: readonly string[];
}

/** Rounds of checking: a material that is taken out may have been a part of another. */
const MOST_ROUNDS = 12;

/** Checks written materials together, so that one may be made of another; each gets its own problems. `null` stays out. */
export function checkedMaterials(written: readonly (object | null)[], library: MaterialsBySlug): readonly CheckedMaterial[] {
  const problems = written.map((): string[] => []);
  let left = written.flatMap((one, at) => (one === null ? [] : [{ one, at }]));
  for (let round = 0; round < MOST_ROUNDS && left.length > 0; round += 1) {
    try {
      const { materials } = readMaterialsFile({ format: "tensidrum-materials/1", materials: left.map(({ one }) => one) }, library);
      const read = new Map(left.map(({ at }, place) => [at, materials[place] ?? null]));
      return written.map((_, at) => ({ material: read.get(at) ?? null, problems: problems[at] ?? [] }));
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      const bad = new Set<number>();
      for (const { path, message } of error.faults) {
        const place = Number(/^materials\[(\d+)\]/.exec(path)?.[1] ?? Number.NaN);
        const at = left[place]?.at;
        if (at === undefined) throw error;
        problems[at]?.push(messageOfMaterial(message));
        bad.add(at);
      }
      left = left.filter(({ at }) => !bad.has(at));
    }
  }
  return written.map((_, at) => ({ material: null, problems: problems[at] ?? [] }));
}
