import { Refusal } from "@tensidrum/core/quantities";
import { currentMakerId, database } from "../../../db/workplace.server";
import { brokenConstraint } from "../../../db/failures.server";
import { listMaterials } from "../../../db/materials/queries.server";
import { importShelf } from "../../../db/inventory/importShelf.server";
import type { ColumnChoice } from "./columns";
import type { ImportItem, ImportKind, ImportRow } from "./importRow";
import { readList, type ListChoice } from "./readList.server";

const MOST_SHOWN = 200;

/** What a list would bring: its columns as guessed or chosen, and each row with what is wrong with it. */
export async function previewList(content: Uint8Array | string, choice: ListChoice) {
  const { rows, ...list } = await readList(content, choice);
  const good = rows.filter(isGood);
  return {
    ...list,
    rows: rows.slice(0, MOST_SHOWN).map(({ row, shown, guess, problems }) => ({ row, shown, guess, problems })),
    rowCount: rows.length,
    goodCount: good.length,
    goodBelow: good.filter(({ row }) => row >= MOST_SHOWN).length,
  };
}

export type ListPreview = Awaited<ReturnType<typeof previewList>>;

function isGood({ problems, item }: ImportRow): boolean {
  return problems.length === 0 && item !== null;
}

export interface ChosenRows {
  readonly rows: ReadonlySet<number>;
  /** Also those below the ones that were shown. */
  readonly below: boolean;
}

/** Brings the chosen rows in, all or none. Returns how many. `onProgress` is told how many are stored so far. */
export async function importList(
  text: string,
  { kind, columns, chosen }: { readonly kind: ImportKind; readonly columns: ColumnChoice; readonly chosen: ChosenRows },
  onProgress: (done: number, total: number) => void = () => undefined,
): Promise<number> {
  const { rows } = await readList(text, { kind, columns });
  const wanted = rows.filter((row) => (row.row < MOST_SHOWN ? chosen.rows.has(row.row) : chosen.below && isGood(row)));
  const broken = wanted.find((row) => !isGood(row));
  if (broken !== undefined) {
    throw new Refusal(
      "not-valid",
      `Row ${broken.row + 1}: ${broken.problems[0] ?? "it cannot be read"}`,
      "Nothing was stored. Fix it or leave it out.",
    );
  }
  if (wanted.length === 0) throw new Refusal("not-valid", "No row is chosen.", "Tick the rows to bring in.");
  try {
    await store(
      wanted.flatMap(({ item }) => (item === null ? [] : [item])),
      (done) => onProgress(done, wanted.length),
    );
  } catch (error) {
    if (brokenConstraint(error) !== "taken") throw error;
    throw new Refusal("conflict", "One of these came to the shelf in the meantime.", "Nothing was stored. Read the list again.");
  }
  return wanted.length;
}

async function store(items: readonly ImportItem[], onProgress: (done: number) => void): Promise<void> {
  const db = database();
  const makerId = currentMakerId();
  const materials = items.flatMap((item) =>
    item.kind === "material" ? [{ id: crypto.randomUUID(), facts: item.facts, basedOnId: null, madeAs: item.madeAs }] : [],
  );
  const stored = items.some(({ kind }) => kind === "lot") ? await listMaterials(db, makerId) : [];
  const idOf = new Map([...stored, ...materials].map(({ id, facts }) => [facts.slug, id]));
  const lots = items.flatMap((item) => {
    if (item.kind !== "lot") return [];
    const materialId = idOf.get(item.material);
    if (materialId === undefined) {
      throw new Refusal("not-valid", `Lot ${item.lot.code} is of ${item.material}, which is not ticked.`, "Tick its material too.");
    }
    const lot = { ...item.lot, id: crypto.randomUUID(), materialId };
    return [{ lot, movementId: crypto.randomUUID(), leftGrams: item.leftGrams }];
  });
  const ownFacts = items.flatMap((item) => (item.kind === "facts" ? [item] : []));
  await importShelf(db, makerId, { materials, ownFacts, lots }, onProgress);
}
