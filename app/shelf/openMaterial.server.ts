import { Refusal } from "@tensidrum/core/formula";
import { roleOf, shownInci, shownMaterial } from "@tensidrum/core/library";
import { writtenShort } from "@tensidrum/core/quantities";
import dayjs from "dayjs";
import { database } from "../../db/client.server";
import { usesOfMaterial } from "../../db/formulas/queries.server";
import { materialsBySlug } from "../../db/materials/queries.server";
import { lotsOfMaterial, movementsOfMaterial } from "../../db/stock/queries.server";
import { currentMakerId } from "../frame/maker.server";
import { boardOf } from "./boards";
import { factRows } from "./facts";

const MOST_MOVEMENTS = 60;
const MOST_USES = 40;

/** One material: its facts, its lots with their books, and where it is. */
export async function openMaterial(slug: string) {
  const db = database();
  const makerId = currentMakerId();
  const material = (await materialsBySlug(db, makerId, [slug])).at(-1);
  if (material === undefined) {
    throw new Refusal("not-found", "No material stands at this address.", "Go to the shelf and look for it there.");
  }
  const [lots, movements, uses] = await Promise.all([
    lotsOfMaterial(db, makerId, material.id),
    movementsOfMaterial(db, makerId, material.id, MOST_MOVEMENTS),
    usesOfMaterial(db, makerId, material.id, MOST_USES),
  ]);
  const { facts } = material;
  const codeOf = new Map(lots.map(({ id, code }) => [id, code]));
  const day = (text: string | null): string | null => (text === null ? null : dayjs(text).format("D MMM YYYY"));
  return {
    slug: facts.slug,
    name: shownMaterial(facts).name,
    inci: shownInci(facts),
    role: roleOf(facts),
    form: facts.form,
    charge: facts.charge,
    isScent: facts.role === "fragrance",
    tint: boardOf(facts.role).tint,
    facts: factRows(facts),
    phSupplied: facts.phSupplied,
    phStable: facts.phStable,
    use: facts.use,
    handling: facts.handling,
    caution: facts.caution,
    restrictions: facts.restrictions,
    flags: facts.flags,
    leftGrams: lots.reduce((sum, lot) => sum + lot.leftGrams, 0),
    packGrams: lots.filter(({ leftGrams }) => leftGrams > 0).reduce((sum, lot) => sum + lot.packGrams, 0),
    lots: lots.map((lot) => ({
      id: lot.id,
      code: lot.code,
      supplier: lot.supplier,
      note: lot.note,
      assay: lot.assayPercent === null ? null : `${writtenShort(lot.assayPercent, 2)} %`,
      lacksCertificate: lot.assayPercent === null && facts.countsAsActive === true,
      price: lot.price === null ? null : `${((1000 * lot.price) / lot.packGrams).toFixed(2)} a kilogram`,
      packGrams: lot.packGrams,
      opened: day(lot.openedOn),
      ends: day(lot.endsOn),
      leftGrams: lot.leftGrams,
      promisedGrams: lot.leftGrams - lot.freeGrams,
      movementId: crypto.randomUUID(),
      isUntouched: lot.isUntouched,
    })),
    movements: movements.map(({ id, lotId, kind, grams, note, madeAt, restGrams }) => ({
      id,
      kind,
      grams,
      note,
      restGrams,
      lot: codeOf.get(lotId) ?? "",
      day: dayjs(madeAt).format("D MMM YYYY"),
    })),
    uses,
  };
}

export type OpenMaterial = Awaited<ReturnType<typeof openMaterial>>;
