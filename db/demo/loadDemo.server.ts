import { assess, coreVersion } from "@tensidrum/core/assessment";
import { completeSnapshot, formulaOfDraft, noAim, nothingMeasured, type DraftLine } from "@tensidrum/core/formula";
import type { MaterialsBySlug } from "@tensidrum/core/library";
import type { Scale } from "@tensidrum/core/quantities";
import type { Executor } from "../client.server";
import { deleteFormula, insertDraftFrom, insertFormula, saveDraft, finaliseDraft, type DraftContent } from "../formulas/writes.server";
import { listMaterials } from "../materials/queries.server";
import { listScales } from "../scales/queries.server";
import { demoFormulas, type DemoFormula, type DemoVersion } from "./formulas";
import { demoSaltPeaks, loadSaltSamples } from "./loadSaltSamples.server";
import { loadLots } from "./loadLots.server";
import { loadMadeHere } from "./loadPreparations.server";
import { demoLots } from "./lots";
import { stableUuid } from "./stableUuid";
import { workshop } from "./workshop";

export interface Bench {
  readonly idOfSlug: ReadonlyMap<string, string>;
  readonly materials: MaterialsBySlug;
  readonly scales: readonly Scale[];
}

const DAY = 86_400_000;

/** Lays the demo formulas in as they were on the first day, and lots on the shelf; what the maker has of their own stays. */
export async function loadDemo(db: Executor): Promise<void> {
  const bench = await benchOf(db);
  await db.transaction(async (tx) => {
    for (const formula of demoFormulas) {
      await deleteFormula(tx, workshop.id, formula.id);
      await layIn(tx, formula, bench);
    }
    await loadLots(tx, bench.idOfSlug, demoLots);
    await loadMadeHere(tx, bench);
  });
}

/** What the demo is laid in with. */
export async function benchOf(db: Executor, makerId: string = workshop.id): Promise<Bench> {
  const stored = await listMaterials(db, makerId);
  return {
    idOfSlug: new Map(stored.map(({ id, facts }) => [facts.slug, id])),
    materials: new Map(stored.map(({ facts }) => [facts.slug, facts])),
    scales: await listScales(db, makerId),
  };
}

async function layIn(db: Executor, formula: DemoFormula, bench: Bench): Promise<void> {
  let parentId: string | undefined;
  for (const version of formula.versions) {
    const { content, snapshot } = contentOf(formula, version, bench);
    let revision = 0;
    if (parentId === undefined) {
      await insertFormula(db, workshop.id, { formulaId: formula.id, versionId: version.id }, content);
    } else {
      await insertDraftFrom(db, workshop.id, { parentId, versionId: version.id });
      revision = (await saveDraft(db, workshop.id, { versionId: version.id, revision: 0 }, content)) ?? 0;
    }
    if (version.note !== undefined) {
      const finalisedAt = new Date(Date.now() - (version.daysAgo ?? 0) * DAY);
      const record = { note: version.note, snapshot, assessment: content.assessment, coreVersion, finalisedAt };
      await finaliseDraft(db, workshop.id, { versionId: version.id, revision }, record);
    }
    parentId = version.id;
    if (version.note !== undefined) await loadSaltSamples(db, snapshot, bench.materials);
  }
}

export function contentOf(formula: DemoFormula, version: DemoVersion, bench: Bench) {
  const lines = version.lines.map(([phase, material, percent]): DraftLine => ({
    id: stableUuid(`${formula.name} ${material}`),
    phase,
    material,
    percent: percent === "q.s." ? null : percent,
    takesTheRest: percent === "q.s.",
    assayPercent: null,
  }));
  const phases = Object.entries(formula.phases).map(([letter, title]) => ({
    letter,
    title,
    temperatureC: formula.temperatures?.[letter] ?? null,
  }));
  const measured = { ...nothingMeasured, ph: version.measuredPh ?? null };
  const aim = { ...noAim, ...formula.aim };
  const { name, profile, batchGrams } = formula;
  const file = formulaOfDraft({
    name,
    profile,
    batchGrams,
    scales: bench.scales,
    aim,
    measured,
    phases: phases.map(({ letter, title, temperatureC }) => ({ id: letter, title, ...(temperatureC === null ? {} : { temperatureC }) })),
    lines,
  });
  const content: DraftContent = {
    name,
    profile,
    batchGrams,
    aim,
    measured,
    phases,
    lines: lines.map(({ id, phase, material, percent, takesTheRest, assayPercent }) => ({
      id,
      phaseLetter: phase,
      materialId: bench.idOfSlug.get(material) ?? missing(material),
      percent,
      takesTheRest,
      assayPercent,
    })),
    assessment: assess(file, bench.materials, { saltPeaks: demoSaltPeaks(file, bench.materials) }),
    coreVersion,
  };
  return { content, snapshot: completeSnapshot(file, bench.materials) };
}

function missing(material: string): never {
  throw new Error(`The demo uses "${material}", which the library does not hold`);
}
