import { withProcess, type Formula } from "@tensidrum/core/formula";
import type { MaterialsBySlug } from "@tensidrum/core/library";
import type { Database } from "../../../db/client.server";
import { listScales } from "../../../db/scales/queries.server";
import { formulaOfSheet } from "../draftContent";
import { withParts } from "../../../db/materials/withParts.server";
import { typedVersion, type SheetAddress } from "../openSheet.server";
import { readTyped } from "../typed/readTyped";

export interface VersionFormula {
  readonly number: number;
  readonly isDraft: boolean;
  readonly formula: Formula;
  readonly materials: MaterialsBySlug;
}

/** A version as the formula it stands for: a final one as it was finalised, a draft as it was saved last. */
export async function versionFormula(db: Database, makerId: string, address: SheetAddress): Promise<VersionFormula> {
  const { version, typed, materials: ofLines } = await typedVersion(db, makerId, address);
  const { number, snapshot } = version;
  if (snapshot !== null) {
    const { materials = [], ...formula } = snapshot;
    return { number, isDraft: false, formula, materials: new Map(materials.map((material) => [material.slug, material])) };
  }
  const [used, scales] = await Promise.all([withParts(db, makerId, ofLines), listScales(db, makerId)]);
  const { sheet } = readTyped(typed, version.batchGrams);
  const formula = withProcess(formulaOfSheet(sheet, { materials: used.byId, scales }), version.process);
  return { number, isDraft: true, formula, materials: used.bySlug };
}
