import { doneFormula } from "@tensidrum/core/process";
import { percentText, Refusal } from "@tensidrum/core/quantities";
import { nameOfSlug } from "@tensidrum/core/library";
import { shownFormulaName } from "@tensidrum/core/formula";
import { currentMakerId, database } from "../../../db/workplace.server";
import { listVersions } from "../../../db/formulas/queries.server";
import { insertDraftFrom, saveDraft } from "../../../db/formulas/writes.server";
import { materialsBySlug } from "../../../db/materials/queries.server";
import { contentOf } from "../saveSheet.server";
import { saltPeaks } from "../saltPeaks.server";
import { typedVersion } from "../openSheet.server";
import { NOTE_LENGTH, type TypedLine, type TypedSheet } from "../typed/typedSheet";
import { comparisonOf } from "./comparison.server";
import { closedBatches } from "./madeBatches.server";
import { resultWords } from "./resultWords";
import { versionFormula } from "./versionFormula.server";

export interface BatchAddress {
  readonly formulaId: string;
  readonly batch: string;
}

/** A version as it was really made in a batch: in the cells, and what of it no material of the library stands for. */
async function asMade({ formulaId, batch: batchId }: BatchAddress) {
  const db = database();
  const makerId = currentMakerId();
  const [batch] = await closedBatches(db, makerId, formulaId, batchId);
  if (batch === undefined || batch.result.account.yieldGrams === null) {
    throw new Refusal("not-found", "No closed batch of this formula lies at this address.", "Close the batch at the bench first.");
  }
  const { typed } = await typedVersion(db, makerId, { formulaId, number: batch.number });
  const done = doneFormula(batch.plan, batch.entries);
  const ofParts = (done.splits ?? []).flatMap((split) => split.lines);
  const percentOf = new Map([...done.lines, ...ofParts].map(({ id, percent }) => [id, percent]));
  const known = new Set(typed.lines.map(({ id }) => id));
  const added = done.lines.filter(({ id }) => !known.has(id));
  const idOf = new Map(
    (
      await materialsBySlug(
        db,
        makerId,
        added.map(({ material }) => material),
      )
    ).map(({ id, facts }) => [facts.slug, id]),
  );
  const parts = new Set(typed.phases.flatMap(({ letter, part }) => (part === undefined ? [] : [letter])));
  const phase = typed.lines.findLast((line) => !parts.has(line.phase))?.phase ?? "A";
  const lines: readonly TypedLine[] = [
    ...typed.lines.flatMap((line): readonly TypedLine[] => {
      if (line.id === typed.restLineId) return [line];
      const percent = percentOf.get(line.id);
      return percent === undefined ? [] : [{ ...line, percent: percentText(percent) }];
    }),
    ...added.flatMap(({ material, percent = 0 }): readonly TypedLine[] => {
      const materialId = idOf.get(material);
      if (materialId === undefined || percent <= 0) return [];
      return [{ id: crypto.randomUUID(), phase, materialId, percent: percentText(percent), assay: "", lots: [] }];
    }),
  ];
  const ph = done.measured?.ph;
  const sheet: TypedSheet = { ...typed, lines, measured: { ...typed.measured, ph: ph === undefined ? typed.measured.ph : String(ph) } };
  const read = await contentOf(db, makerId, sheet);
  if (read.kind === "problems") {
    throw new Refusal(
      "not-possible",
      read.problems[0]?.message ?? "This batch makes no sheet.",
      "Make a new draft from its version instead.",
    );
  }
  const leftOut = added.filter(({ material }) => !idOf.has(material)).map(({ material }) => nameOfSlug(material, batch.plan.materials));
  return { batch, read, leftOut, note: noteOf(batch.code, batch.result) };
}

/** What the new draft is offered to say of where it comes from, and what was noted at the bench. */
function noteOf(
  code: string,
  { ph, thickness, clarity, account, notes }: Awaited<ReturnType<typeof closedBatches>>[number]["result"],
): string {
  const came = resultWords({ ph, thickness, clarity, yieldPercent: account.yieldPercent });
  return [`As made in ${code}${came === "" ? "" : `: ${came}`}.`, ...notes].join("\n").slice(0, NOTE_LENGTH);
}

/** What a new draft with what was done would change, before it is made. */
export async function openAsMade(address: BatchAddress) {
  const db = database();
  const makerId = currentMakerId();
  const [{ batch, read, leftOut, note }, versions, peaks] = await Promise.all([
    asMade(address),
    listVersions(db, makerId, address.formulaId),
    saltPeaks(db, makerId),
  ]);
  const before = await versionFormula(db, makerId, { formulaId: address.formulaId, number: batch.number });
  return {
    formulaId: address.formulaId,
    batchId: batch.id,
    code: batch.code,
    number: batch.number,
    name: shownFormulaName(before.formula.name),
    draftNumber: versions.find(({ state }) => state === "draft")?.number ?? null,
    leftOut,
    note,
    comparison: comparisonOf(before, { formula: read.formula, materials: read.materials }, peaks),
  };
}

export type OpenAsMade = Awaited<ReturnType<typeof openAsMade>>;

/** Makes the new draft with what was done. */
export async function draftAsMade(address: BatchAddress): Promise<void> {
  const db = database();
  const makerId = currentMakerId();
  const [{ batch, read, note }, versions] = await Promise.all([asMade(address), listVersions(db, makerId, address.formulaId)]);
  const draft = versions.find(({ state }) => state === "draft");
  if (draft !== undefined) {
    throw new Refusal("conflict", `There is a draft already, version ${draft.number}.`, "Finalise or delete it first, then make this one.");
  }
  await db.transaction(async (tx) => {
    const versionId = crypto.randomUUID();
    await insertDraftFrom(tx, makerId, { parentId: batch.versionId, versionId }, note);
    await saveDraft(tx, makerId, { versionId, revision: 0 }, read.content);
  });
}
