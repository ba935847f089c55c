import { shownInci, shownMaterial, roleOf, type Material } from "@tensidrum/core/library";
import { materialFinder } from "@tensidrum/core/search";
import { needsAttention } from "@tensidrum/core/inventory";
import { currentMakerId, database } from "../../db/workplace.server";
import { listChoosable, listOwnMaterials } from "../../db/materials/queries.server";
import { listLots } from "../../db/inventory/queries.server";
import { allShelfGroups, shelfGroupFor } from "./shelfGroups";
import { soughtFlags, type ShelfFilter } from "./forms.server";
import { here, isoToday, writtenDay } from "../frame/dates.server";

type StandingLot = Awaited<ReturnType<typeof listLots>>[number];

const LIQUIDS: ReadonlySet<string> = new Set(["liquid", "oil", "gel"]);
/** More rows than this are no list to read; the sentence narrows it. */
const MOST_ROWS = 200;
const MOST_FOUND = 60;

/** The shelf as it is asked for: boards of what stands there, or the rows of the whole library. */
export async function openShelf(filter: ShelfFilter) {
  const db = database();
  const makerId = currentMakerId();
  const [lots, all, own] = await Promise.all([listLots(db, makerId), listChoosable(db, makerId), listOwnMaterials(db, makerId)]);
  const made: ReadonlySet<string> = new Set(own.filter(({ madeAs }) => madeAs !== null).map(({ id }) => id));
  const today = isoToday();
  // A lot of which more was used than it held is not hidden: something about it is wrong.
  const standing = lots.filter(({ leftGrams }) => leftGrams !== 0);
  const lotsOf = new Map(standing.map(({ materialId }) => [materialId, standing.filter((lot) => lot.materialId === materialId)]));
  const wanted = chosen(all, filter, { standing, made });
  const concerns = needsAttention(
    standing.map((lot) => ({ ...lot, isMadeHere: lot.madeAs !== null })),
    today,
  );
  const rows = wanted.slice(0, MOST_ROWS).map(({ id, facts }) => {
    const own = lotsOf.get(id) ?? [];
    const board = shelfGroupFor(facts, made.has(id));
    return {
      slug: facts.slug,
      name: shownMaterial(facts).name,
      inci: shownInci(facts),
      role: roleOf(facts),
      form: facts.form,
      charge: facts.charge,
      board: board.slug,
      isScent: facts.role === "fragrance",
      leftGrams: sumOf(own, ({ leftGrams }) => leftGrams),
      packGrams: sumOf(own, ({ packGrams }) => packGrams),
      concern: concerns.find(({ lot }) => lot.materialId === id)?.concern ?? null,
      ends: endOf(own.find(({ endsOn }) => endsOn !== null)?.endsOn ?? null, made.has(id)),
    };
  });
  return {
    filter,
    today: here().format("ddd D MMMM YYYY"),
    libraryCount: all.length,
    standingCount: lotsOf.size,
    standing: [...new Set(standing.map(({ facts }) => facts.slug))],
    found: wanted.length,
    rows,
    flags: soughtFlags,
    shelfGroups: allShelfGroups
      .map((board) => ({ slug: board.slug, name: board.name, tint: board.tint, things: rows.filter((row) => row.board === board.slug) }))
      .filter(({ things }) => things.length > 0),
    concerns: concerns.map(({ lot, concern, days }) => ({
      lotId: lot.id,
      slug: lot.facts.slug,
      name: shownMaterial(lot.facts).name,
      code: lot.code,
      leftGrams: lot.leftGrams,
      concern,
      days,
      ends: lot.endsOn === null ? "" : writtenDay(lot.endsOn),
    })),
  };
}

export type OpenShelf = Awaited<ReturnType<typeof openShelf>>;

/** What is bought ends with a month, what was made here on a day. */
function endOf(day: string | null, isMadeHere: boolean): string | null {
  return day === null ? null : here(day).format(isMadeHere ? "D MMM" : "MMM YY");
}

function sumOf<Item>(items: readonly Item[], of: (item: Item) => number): number {
  return items.reduce((sum, item) => sum + of(item), 0);
}

type Stored = Awaited<ReturnType<typeof listChoosable>>[number];

/** The materials the sentence asks for; a name or INCI name is looked for with mistakes, a lot by its code. */
function chosen(
  all: readonly Stored[],
  { board, charge, form, flag, where, find }: ShelfFilter,
  { standing, made }: { readonly standing: readonly StandingLot[]; readonly made: ReadonlySet<string> },
): readonly Stored[] {
  const onShelf = new Set(standing.map(({ materialId }) => materialId));
  const fits = ({ id, facts }: Stored): boolean =>
    (board === "all" || shelfGroupFor(facts, made.has(id)).slug === board) &&
    (charge === "any" || facts.charge === charge) &&
    (form === "any" || isOfForm(facts, form)) &&
    (flag === "any" || facts.flags.includes(flag));
  const there = all.filter((material) => (where === "library" || onShelf.has(material.id)) && fits(material));
  if (find.trim() === "") return there;
  const code = find.trim().toLowerCase();
  const byLot = new Set(standing.filter((lot) => lot.code.toLowerCase().includes(code)).map(({ materialId }) => materialId));
  const byName = materialFinder(there, MOST_FOUND)(find).map(({ id }) => id);
  const order = new Map(byName.map((id, at) => [id, at]));
  return there
    .filter(({ id }) => order.has(id) || byLot.has(id))
    .toSorted((a, b) => (order.get(a.id) ?? Infinity) - (order.get(b.id) ?? Infinity));
}

function isOfForm(facts: Material, form: "liquid" | "solid"): boolean {
  return facts.form !== null && LIQUIDS.has(facts.form) === (form === "liquid");
}
