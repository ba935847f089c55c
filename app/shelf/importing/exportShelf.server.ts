import { shownMaterial, withOwnFacts } from "@tensidrum/core/library";
import { referenceLibraryVersion } from "@tensidrum/core/reference";
import Papa from "papaparse";
import { currentMakerId, database } from "../../../db/workplace.server";
import { findMaterial, listOwnFacts, listOwnMaterials } from "../../../db/materials/queries.server";
import { listLots } from "../../../db/inventory/queries.server";
import { findMaker } from "../../../db/makers/queries.server";
import { numberKey, spanKey, numberFields, spanFields, typedMaterial } from "../owning/materialFields";
import { materialColumns } from "./columns";

const AS_TEXT = { escapeFormulae: true, newline: "\r\n" } as const;

/** Every lot as a table, with units in its heads; an import reads them again. Cells that begin like a formula of a spreadsheet stay text. */
async function lotsCsv(): Promise<string> {
  const [lots, maker] = await Promise.all([listLots(database(), currentMakerId()), findMaker(database(), currentMakerId())]);
  const price = maker === undefined || maker.currency === "" ? "price" : `price, ${maker.currency}`;
  const rows = lots.map((lot) => ({
    material: shownMaterial(lot.facts).name,
    lot: lot.code,
    "pack, g": lot.packGrams,
    "assay, %": lot.assayPercent ?? "",
    [price]: lot.price ?? "",
    expires: lot.printedEndsOn ?? "",
    opened: lot.openedOn ?? "",
    "after opening, days": lot.afterOpeningDays ?? "",
    supplier: lot.supplier,
    note: lot.note,
    "left, g": lot.leftGrams,
    slug: lot.facts.slug,
  }));
  const fields = [
    "material",
    "lot",
    "pack, g",
    "assay, %",
    price,
    "expires",
    "opened",
    "after opening, days",
    "supplier",
    "note",
    "left, g",
    "slug",
  ];
  return Papa.unparse({ fields, data: rows }, AS_TEXT);
}

/** The maker's own materials as a table, in the columns an import asks for. */
async function materialsCsv(): Promise<string> {
  const own = await listOwnMaterials(database(), currentMakerId());
  const rows = own.map(({ facts }) => {
    const { active, numbers, spans, ...words } = typedMaterial(facts);
    return {
      ...words,
      inci: words.inci.replaceAll("\n", "; "),
      parts: words.parts.replaceAll("\n", "; "),
      activeTypical: active.typical,
      activeLow: active.low,
      activeHigh: active.high,
      ...Object.fromEntries(numberFields.map(({ field }) => [numberKey(field), numbers[field]])),
      ...Object.fromEntries(
        spanFields.flatMap(({ field }) => [
          [spanKey(field, "low"), spans[field].low],
          [spanKey(field, "high"), spans[field].high],
        ]),
      ),
    };
  });
  return Papa.unparse({ fields: materialColumns.map(({ field }) => field), data: rows }, AS_TEXT);
}

/** Everything on the shelf that is the maker's own, as a tensidrum-materials/1 file. */
async function materialsFile(): Promise<string> {
  const db = database();
  const makerId = currentMakerId();
  const [own, held, lots] = await Promise.all([listOwnMaterials(db, makerId), listOwnFacts(db, makerId), listLots(db, makerId)]);
  const overridden = await Promise.all(
    held.map(async ({ slug, facts }) => {
      const found = await findMaterial(db, makerId, slug);
      return found === undefined ? [] : [withOwnFacts(found.facts, facts)];
    }),
  );
  const madeHere = Object.fromEntries(own.flatMap(({ facts, madeAs }) => (madeAs === null ? [] : [[facts.slug, madeAs]])));
  const file = {
    format: "tensidrum-materials/1",
    libraryVersion: referenceLibraryVersion,
    materials: [...own.map(({ facts }) => facts), ...overridden.flat()],
    madeHere,
    lots: lots.map((lot) => ({
      id: lot.id,
      material: lot.facts.slug,
      code: lot.code,
      note: lot.note,
      assayPercent: lot.assayPercent,
      supplier: lot.supplier === "" ? null : lot.supplier,
      // A file says what is there; less than nothing is not.
      gramsLeft: Math.max(0, lot.leftGrams),
      packGrams: lot.packGrams,
      packPrice: lot.price,
      openedOn: lot.openedOn,
      expiresOn: lot.printedEndsOn,
      daysAfterOpening: lot.afterOpeningDays,
    })),
  };
  return `${JSON.stringify(file, null, 2)}\n`;
}

const FILES = {
  "lots.csv": { type: "text/csv", write: lotsCsv },
  "materials.csv": { type: "text/csv", write: materialsCsv },
  "materials.json": { type: "application/json", write: materialsFile },
} as const;

/** What stands on the shelf as a file. */
export async function shelfFile(name: keyof typeof FILES): Promise<Response> {
  const { type, write } = FILES[name];
  return new Response(await write(), {
    headers: {
      "Content-Type": `${type}; charset=utf-8`,
      "Content-Disposition": `attachment; filename="${name}"`,
      "Cache-Control": "private, no-store",
    },
  });
}
