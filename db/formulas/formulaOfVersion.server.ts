import { draftPhase, formulaOfDraft, profileOf, withProcess, type Formula, shownFormulaName } from "@tensidrum/core/formula";
import { Refusal } from "@tensidrum/core/quantities";
import type { MaterialsBySlug } from "@tensidrum/core/library";
import type { Executor } from "../client.server";
import { withParts } from "../materials/withParts.server";
import { listScales } from "../scales/queries.server";
import { findVersions, listContents } from "./queries.server";
import { materialsOf } from "@tensidrum/core/process";

interface Wanted {
  readonly formulaId: string;
  readonly number: number;
}

interface Made {
  readonly formula: Formula;
  readonly materials: MaterialsBySlug;
}

/** A version as it could be made: a final one as it was finalised, a draft as it was saved last; on the scales there are now. */
export async function formulaOfVersion(db: Executor, makerId: string, wanted: Wanted): Promise<Made> {
  const [made] = await formulasOfVersions(db, makerId, [wanted]);
  if (made === undefined)
    throw new Refusal("not-found", "No version lies at this address.", "Go back to Today and open the formula from there.");
  return made;
}

/** Several versions as they could be made, in the order they are wanted in; one that is not there is left out. */
export async function formulasOfVersions(db: Executor, makerId: string, wanted: readonly Wanted[]): Promise<readonly (Wanted & Made)[]> {
  const found = await findVersions(db, makerId, wanted);
  const drafts = found.filter(({ version }) => version.snapshot === null).map(({ version }) => version.id);
  const [scales, contents] = await Promise.all([listScales(db, makerId), drafts.length === 0 ? [] : listContents(db, makerId, drafts)]);
  const inDrafts = contents.flatMap(({ lines }) => lines.map(({ materialId, facts }) => [materialId, facts] as const));
  const { bySlug } = await withParts(db, makerId, new Map(inDrafts));
  return wanted.flatMap((address) => {
    const row = found.find(({ formulaId, version }) => formulaId === address.formulaId && version.number === address.number);
    if (row === undefined) return [];
    const { version, aim, formulaName } = row;
    if (version.snapshot !== null)
      return [{ ...address, formula: { ...version.snapshot, scales }, materials: materialsOf(version.snapshot) }];
    const { phases = [], lines = [] } = contents.find(({ versionId }) => versionId === version.id) ?? {};
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
    return [{ ...address, formula: withProcess(formula, version.process), materials: bySlug }];
  });
}
