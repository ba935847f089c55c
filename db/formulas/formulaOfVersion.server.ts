import { draftPhase, formulaOfDraft, profileOf, withProcess, type Formula, shownFormulaName } from "@tensidrum/core/formula";
import { Refusal } from "@tensidrum/core/quantities";
import type { MaterialsBySlug } from "@tensidrum/core/library";
import type { Executor } from "../client.server";
import { withParts } from "../materials/withParts.server";
import { listScales } from "../scales/queries.server";
import { findVersion, listLines, listPhases } from "./queries.server";
import { materialsOf } from "@tensidrum/core/process";

/** A version as it could be made: a final one as it was finalised, a draft as it was saved last; on the scales there are now. */
export async function formulaOfVersion(
  db: Executor,
  makerId: string,
  wanted: { readonly formulaId: string; readonly number: number },
): Promise<{ readonly formula: Formula; readonly materials: MaterialsBySlug }> {
  const found = await findVersion(db, makerId, wanted);
  if (found === undefined)
    throw new Refusal("not-found", "No version lies at this address.", "Go back to Today and open the formula from there.");
  const { version, aim, formulaName } = found;
  const scales = await listScales(db, makerId);
  if (version.snapshot !== null) return { formula: { ...version.snapshot, scales }, materials: materialsOf(version.snapshot) };
  const [phases, lines] = await Promise.all([listPhases(db, makerId, version.id), listLines(db, makerId, version.id)]);
  const { bySlug } = await withParts(db, makerId, new Map(lines.map(({ materialId, facts }) => [materialId, facts])));
  const profile = profileOf(version.profile);
  if (profile === undefined) throw new Error(`a version has the profile ${version.profile}`);
  const formula = formulaOfDraft({
    name: shownFormulaName(formulaName),
    profile: profile.slug,
    batchGrams: version.batchGrams,
    aim,
    method: version.method,
    scales,
    phases: phases.map(draftPhase),
    lines: lines.map((line) => ({ ...line, phase: line.phaseLetter, material: line.facts.slug })),
  });
  return { formula: withProcess(formula, version.process), materials: bySlug };
}
