import { Refusal } from "@tensidrum/core/quantities";
import { readJson, readMaterialsFile, type LotOfFile, type MaterialsFile } from "@tensidrum/core/formats";
import { factDifferences, ownableFacts, type Material, type OwnFacts } from "@tensidrum/core/library";
import { writtenMass } from "@tensidrum/core/quantities";
import type { FoundMaterial } from "@tensidrum/core/search";
import type { ImportItem, ImportRow } from "./importRow";
import { codeKey, type TakenCodes } from "./lotRows.server";
import { checkedMaterials, materialCells } from "./materialRows.server";

export const fileHeads: readonly string[] = ["material or lot", "slug or code", "role or pack", "charge", "active, %"];

/** What a file of materials and lots is read against. */
interface FileAround {
  readonly materials: readonly FoundMaterial[];
  /** Slugs of the maker's own materials. */
  readonly own: ReadonlySet<string>;
  readonly taken: TakenCodes;
}

/**
 * What each entry of a tensidrum-materials/1 file makes: an own material, facts held against the library where only such
 * differ, or a lot.
 * @throws Refusal when the file is not JSON or not of this format.
 */
export function fileRows(text: string, { materials, own, taken }: FileAround): readonly ImportRow[] {
  const file = readJson(text);
  const written = listOf(file, "materials");
  const lots = listOf(file, "lots");
  const library = new Map(materials.map(({ facts }) => [facts.slug, facts]));
  const idOf = new Map(materials.map(({ id, facts }) => [facts.slug, id]));
  // The envelope first: its format, and keys nobody knows.
  const { madeHere } = readMaterialsFile({ ...(file as object), materials: [], lots: [] }, library);
  const checked = checkedMaterials(written, library);
  const rows = checked.map(({ material, problems }, row): ImportRow => {
    const raw = written[row] as { readonly name?: unknown; readonly slug?: unknown };
    const typed = {
      name: String(raw.name ?? ""),
      slug: String(raw.slug ?? ""),
      role: "",
      charge: "",
      active: { typical: "", low: "", high: "" },
    };
    const shown = materialCells(material, typed);
    if (material === null) return { row, shown, guess: null, problems, item: null };
    const made = itemOf(material, { library, idOf, own, madeHere });
    return { row, shown, guess: null, problems: made.problem === null ? [] : [made.problem], item: made.item };
  });
  const known = new Set([...library.keys(), ...rows.flatMap(({ item }) => (item?.kind === "material" ? [item.facts.slug] : []))]);
  const codes = new Map<string, number>();
  return [...rows, ...lots.map((lot, at) => lotRow(lot, rows.length + at, { library, known, taken, codes, names: nameOfRows(rows) }))];
}

function nameOfRows(rows: readonly ImportRow[]): ReadonlyMap<string, string> {
  return new Map(rows.flatMap(({ item }) => (item?.kind === "material" ? [[item.facts.slug, item.facts.name] as const] : [])));
}

function listOf(file: unknown, key: "materials" | "lots"): readonly object[] {
  const list = (file as Readonly<Record<string, unknown>> | null)?.[key] ?? [];
  if (!Array.isArray(list) || list.some((entry) => entry === null || typeof entry !== "object")) {
    throw new Refusal("not-valid", `${key} is not a list of ${key}.`, "Give a file of the format tensidrum-materials/1.");
  }
  return list as readonly object[];
}

const OWNABLE: ReadonlySet<string> = new Set(ownableFacts);

function itemOf(
  material: Material,
  around: {
    readonly library: ReadonlyMap<string, Material>;
    readonly idOf: ReadonlyMap<string, string>;
    readonly own: ReadonlySet<string>;
    readonly madeHere: MaterialsFile["madeHere"];
  },
): { readonly item: ImportItem | null; readonly problem: string | null } {
  const { slug } = material;
  const there = around.library.get(slug);
  if (there === undefined) return { item: { kind: "material", facts: material, madeAs: around.madeHere[slug] ?? null }, problem: null };
  const differences = factDifferences(there, material).filter(({ fact }) => fact !== "measured");
  if (differences.length === 0) return { item: null, problem: "It is in the library as it is." };
  if (around.own.has(slug))
    return { item: null, problem: `You have a material “${slug}” already. Delete that one first, or rename this one.` };
  const beyond = differences.filter(({ fact }) => !OWNABLE.has(fact));
  if (beyond.length > 0) {
    const what = beyond.map(({ fact }) => fact).join(", ");
    return { item: null, problem: `It differs from the library in ${what}, which only the library sets. Give it another slug.` };
  }
  const facts = Object.fromEntries(differences.map(({ fact, after }) => [fact, after])) as OwnFacts;
  return { item: { kind: "facts", materialId: around.idOf.get(slug) ?? "", facts }, problem: null };
}

function lotRow(
  written: object,
  row: number,
  around: {
    readonly library: ReadonlyMap<string, Material>;
    readonly known: ReadonlySet<string>;
    readonly taken: TakenCodes;
    readonly codes: Map<string, number>;
    readonly names: ReadonlyMap<string, string>;
  },
): ImportRow {
  const problems: string[] = [];
  const raw = written as LotOfFile;
  try {
    // Its material may stand in the same file, so only its shape is checked here.
    readMaterialsFile(
      { format: "tensidrum-materials/1", materials: [], lots: [{ ...raw, material: [...around.library.keys()][0] }] },
      around.library,
    );
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    problems.push(...error.faults.map(({ message }) => message.replace(/^lots\[0\]\.?/, "")));
  }
  const code = (raw.code ?? raw.id ?? "").toString().slice(0, 60);
  if (!around.known.has(raw.material)) problems.push(`“${String(raw.material)}” is neither in the library nor in the file.`);
  const packGrams = raw.packGrams ?? raw.gramsLeft ?? null;
  if (packGrams == null || packGrams <= 0) problems.push("It does not say how much came in the pack.");
  const key = codeKey(raw.material, code);
  const earlier = around.codes.get(key);
  if (around.taken.has(key)) problems.push(`A lot ${code} of this material stands on the shelf already.`);
  else if (earlier !== undefined) problems.push(`Row ${earlier + 1} names the same lot.`);
  else around.codes.set(key, row);
  const name = around.library.get(raw.material)?.name ?? around.names.get(raw.material) ?? String(raw.material);
  const shown = [name, code, packGrams == null ? "" : writtenMass(packGrams), "", raw.assayPercent == null ? "" : String(raw.assayPercent)];
  if (problems.length > 0 || packGrams == null) return { row, shown, guess: null, problems, item: null };
  const lot = {
    code,
    packGrams,
    assayPercent: raw.assayPercent ?? null,
    price: raw.packPrice ?? null,
    supplier: raw.supplier ?? "",
    openedOn: raw.openedOn ?? null,
    endsOn: raw.expiresOn ?? null,
    afterOpeningDays: raw.daysAfterOpening ?? null,
    note: raw.note ?? "",
  };
  return { row, shown, guess: null, problems, item: { kind: "lot", material: raw.material, lot, leftGrams: raw.gramsLeft ?? packGrams } };
}
