import { assess, coreVersion } from "@tensidrum/core/assessment";
import { cameTrue, modelEffects, nearTo, nextChanges, type Measurements, type NextChange } from "@tensidrum/core/comparison";
import { draftPhase, formulaOfDraft, shownFormulaName } from "@tensidrum/core/formula";
import { nameOfSlug } from "@tensidrum/core/library";
import { Refusal } from "@tensidrum/core/quantities";
import type { Executor } from "../../../db/client.server";
import { listClosedBatchesOf } from "../../../db/batches/queries.server";
import {
  findProductCalled,
  keepSuggestion,
  listRoundReadings,
  listSuggestions,
  saveRoundReadings,
} from "../../../db/comparison/queries.server";
import { formulaOfVersion } from "../../../db/formulas/formulaOfVersion.server";
import { findVersion, listLineLots, listLines, listOrigins, listPhases, listVersions } from "../../../db/formulas/queries.server";
import { insertDraftFrom, saveDraft } from "../../../db/formulas/writes.server";
import { standingLots } from "../../../db/inventory/queries.server";
import { materialsBySlug } from "../../../db/materials/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { wholeProblem, type FieldProblem } from "../../frame/formAnswer";
import { readReadings, measurementsOf } from "../readings/readReadings";
import { typedReadings } from "../readings/readingForm.server";
import { changedWords, didWords, suggestionWords } from "../roundWords";
import { sideView } from "../side/sideView";
import { nameIn, versionSubject, type Subject } from "../subjects.server";
import type { TypedRounds } from "./roundsForms.server";

/** Rounds that stand in the line, the newest. */
const MOST = 30;
const MOST_SUGGESTIONS = 50;
const MOST_BATCHES = 60;

const nothingHere = () => new Refusal("not-found", "This formula is not here.", "Go to Compare and look for it there.");

async function roundsOf(formulaId: string) {
  const [db, makerId] = [database(), currentMakerId()];
  const versions = (await listVersions(db, makerId, formulaId)).slice(0, MOST).toReversed();
  const newest = versions.at(-1);
  if (newest === undefined) throw nothingHere();
  const [lots, found] = await Promise.all([standingLots(db, makerId), findVersion(db, makerId, { formulaId, number: newest.number })]);
  const subjects = await Promise.all(versions.map(({ number }) => versionSubject(formulaId, number, lots)));
  const closeTo = found?.aim.closeTo ?? "";
  const product = closeTo === "" ? undefined : await findProductCalled(db, makerId, closeTo);
  return {
    lots,
    name: shownFormulaName(found?.formulaName ?? ""),
    closeTo,
    rounds: versions.map((version, at) => ({ version, subject: subjects[at] as Subject })),
    product: product === undefined ? null : { id: product.id, name: product.name, measured: measurementsOf(product) },
  };
}

type Rounds = Awaited<ReturnType<typeof roundsOf>>;

/** What one change would bring the last measured round nearest; none where nothing is to come close to. */
function nextOf({ rounds, product }: Rounds): { readonly from: Rounds["rounds"][number]; readonly changes: readonly NextChange[] } | null {
  const measured = rounds.filter(({ subject }) => Object.keys(subject.measured).length > 0);
  const last = measured.at(-1);
  if (product === null || last?.subject.formula == null) return null;
  const { formula, materials } = last.subject;
  const changes = nextChanges(
    measured.map(({ subject }) => subject),
    product.measured,
    {
      doses: (slug) => materials.get(slug)?.use ?? null,
      model: modelEffects(formula, materials, last.subject.measured),
    },
  );
  return { from: last, changes };
}

/** All versions of a formula from first to last, with what each changed and did, what was learned, and what to try next. */
export async function openRounds(formulaId: string) {
  const [db, makerId] = [database(), currentMakerId()];
  const [all, origins, taken, batches] = await Promise.all([
    roundsOf(formulaId),
    listOrigins(db, makerId, formulaId),
    listSuggestions(db, makerId, MOST_SUGGESTIONS),
    listClosedBatchesOf(db, makerId, formulaId, { most: MOST_BATCHES }),
  ]);
  const { rounds, product } = all;
  const typed = new Map(
    (
      await listRoundReadings(
        db,
        makerId,
        rounds.map(({ version }) => version.id),
      )
    ).map((row) => [row.versionId, row]),
  );
  const nameOf = (slug: string): string => {
    const holder = rounds.find(({ subject }) => subject.materials.has(slug));
    return holder === undefined ? slug : nameOfSlug(slug, holder.subject.materials);
  };
  const trials = await trialsOf(origins, formulaId, all);
  const begunFrom = origins.find(({ to }) => to.formulaId === formulaId && to.isFirst)?.from;
  const next = nextOf(all);
  const hits = taken.filter((one) => one.formulaId === formulaId).map((one) => hitOf(one, rounds));
  const { together } = sideView(
    rounds.map(({ subject }) => ({ ...subject, isProduct: false, isPlan: false })),
    nameOf,
  );
  return {
    formulaId,
    name: all.name,
    closeTo: all.closeTo,
    product: product === null ? null : { id: product.id, name: product.name },
    /** The version of another formula it is a trial of. */
    trialOf: begunFrom === undefined ? null : { ...begunFrom, name: shownFormulaName(begunFrom.name) },
    rounds: rounds.map(({ version, subject }, at) => {
      const parent = rounds.find((one) => one.version.id === version.parentId);
      const before = parent ?? rounds[at - 1];
      const brought = origins.find(({ to }) => to.id === version.id && !to.isFirst)?.from;
      return {
        ...{ id: version.id, number: version.number, note: version.note, isDraft: version.state === "draft", when: subject.when },
        /** Where it came from, when that is not the one before. */
        from: parent !== undefined && parent !== rounds[at - 1] ? parent.version.number : null,
        /** The trial it was brought back from. */
        brought: brought === undefined ? null : { ...brought, name: shownFormulaName(brought.name) },
        trials: trials.filter((trial) => trial.fromNumber === version.number),
        ...(before === undefined ? { changed: "The first round.", did: "" } : stepWords(before.subject, subject, nameOf)),
        near: nearWords(subject, product),
        learned: typed.get(version.id)?.learned ?? "",
        readings: typedReadings(typed.get(version.id)),
        batches: batches.filter(({ number }) => number === version.number).map(({ id, code }) => ({ id, code })),
        suggestion: taken.find(({ versionId }) => versionId === version.id)?.sentence ?? null,
      };
    }),
    together: together.slice(0, 3),
    next:
      next === null
        ? null
        : {
            from: next.from.version.number,
            canTake: next.from.version.state === "final",
            changes: next.changes.map((change) => ({
              ...{ material: change.material, to: change.to, source: change.source },
              words: suggestionWords({ ...change, name: nameOf(change.material) }),
            })),
          },
    hits,
    counted: {
      right: hits.filter(({ cameTrue: is }) => is === true).length,
      wrong: hits.filter(({ cameTrue: is }) => is === false).length,
    },
  };
}

export type OpenRounds = Awaited<ReturnType<typeof openRounds>>;

type Taken = Awaited<ReturnType<typeof listSuggestions>>[number];

/** Trials shown with their rounds, the newest of each. */
const [MOST_TRIALS, MOST_TRIAL_ROUNDS] = [8, 4];

type Origins = Awaited<ReturnType<typeof listOrigins>>;

/** The trials that began from a formula's versions, each with its own rounds and where it was brought back. */
async function trialsOf(origins: Origins, formulaId: string, { rounds, product, lots }: Rounds) {
  const [db, makerId] = [database(), currentMakerId()];
  const begun = origins.filter(({ to, from }) => from.formulaId === formulaId && to.isFirst).slice(-MOST_TRIALS);
  return Promise.all(
    begun.map(async ({ to: { formulaId: trialId, name }, from }) => {
      const versions = (await listVersions(db, makerId, trialId)).slice(0, MOST_TRIAL_ROUNDS).toReversed();
      const subjects = await Promise.all(versions.map(({ number }) => versionSubject(trialId, number, lots)));
      const origin = rounds.find(({ version }) => version.number === from.number)?.subject;
      return {
        ...{ formulaId: trialId, name: shownFormulaName(name), fromNumber: from.number },
        rounds: versions.map((version, at) => {
          const [before, now] = [subjects[at - 1] ?? origin, subjects[at] as Subject];
          const nameOf = (slug: string): string => nameIn(before === undefined ? [now] : [now, before], slug);
          const back = origins.find(({ to, from: { id } }) => to.formulaId === formulaId && id === version.id);
          return {
            ...{ id: version.id, number: version.number, isDraft: version.state === "draft" },
            ...(before === undefined ? { changed: "", did: "" } : stepWords(before, now, nameOf)),
            near: nearWords(now, product),
            backAs: back?.to.number ?? null,
          };
        }),
      };
    }),
  );
}

function stepWords(before: Subject, now: Subject, nameOf: (slug: string) => string) {
  return {
    changed: changedWords(movesOf(before, now, nameOf)),
    did: didWords(
      { measured: before.measured, irritation: before.fromLines.irritation },
      { measured: now.measured, irritation: now.fromLines.irritation },
    ),
  };
}

/** How many of the readings one knows of both are near; null where there are none. */
function nearWords({ measured }: Subject, product: Rounds["product"]) {
  const near = product === null ? [] : nearTo(measured, product.measured);
  return near.length === 0 ? null : { near: near.filter(({ isNear }) => isNear).length, of: near.length };
}

/** Whether a suggestion that was taken came true; null while nobody measured it. */
function hitOf({ versionId, fromVersionId, number, sentence, source, expected }: Taken, rounds: Rounds["rounds"]) {
  const measured = (id: string): Measurements => rounds.find(({ version }) => version.id === id)?.subject.measured ?? {};
  const [first] = expected;
  return { number, sentence, source, cameTrue: first === undefined ? null : cameTrue(first, measured(fromVersionId), measured(versionId)) };
}

function movesOf(before: Subject, now: Subject, nameOf: (slug: string) => string) {
  const slugs = [...new Set([...before.lines.keys(), ...now.lines.keys()])];
  return slugs.flatMap((slug) => {
    const [from, to] = [before.lines.get(slug) ?? 0, now.lines.get(slug) ?? 0];
    return Math.abs(to - from) > 0.005 ? [{ name: nameOf(slug), from, to }] : [];
  });
}

/** Keeps what was measured of a round, or takes a suggested change into a new draft. Answers what is wrong, or the draft. */
export async function changeRounds(
  formulaId: string,
  typed: TypedRounds,
): Promise<{ readonly problems: readonly FieldProblem[] } | { readonly draft: number | null }> {
  const [db, makerId] = [database(), currentMakerId()];
  if (typed.intent === "take") return take(formulaId, typed);
  if (typed.intent === "bring") return bringBack(formulaId, typed.version);
  const version = (await listVersions(db, makerId, formulaId)).find(({ id }) => id === typed.version);
  if (version === undefined) throw nothingHere();
  const { read, problems } = readReadings(typed);
  if (problems.length > 0) return { problems };
  await saveRoundReadings(db, makerId, { versionId: version.id, ...read, learned: typed.learned });
  return { draft: null };
}

/** Takes the lines of a trial's final version back into the formula it began from, as its next draft. */
async function bringBack(formulaId: string, trialVersionId: string) {
  const [db, makerId] = [database(), currentMakerId()];
  const [versions, origins] = await Promise.all([listVersions(db, makerId, formulaId), listOrigins(db, makerId, formulaId)]);
  const [newest] = versions;
  if (newest === undefined) throw nothingHere();
  if (newest.state === "draft") return { problems: wholeProblem(draftIsOpen(newest.number)) };
  for (const { to, from } of origins.filter(({ to, from }) => from.formulaId === formulaId && to.isFirst)) {
    const version = (await listVersions(db, makerId, to.formulaId)).find(({ id }) => id === trialVersionId);
    if (version === undefined) continue;
    if (version.state === "draft") return { problems: wholeProblem("Finalise the trial first, then bring it back.") };
    const ids = { parentId: newest.id, versionId: crypto.randomUUID(), contentOf: version.id };
    const note = `Brought back from ${shownFormulaName(to.name)}, v${version.number}, a trial of v${from.number}.`;
    const draft = await insertDraftFrom(db, makerId, ids, note);
    if (draft !== undefined) return { draft };
  }
  return { problems: wholeProblem("This trial is not here any more. Load the page again.") };
}

const draftIsOpen = (number: number): string => `The draft v${number} is open. Finalise it or delete it first.`;

async function take(formulaId: string, { material, to }: TypedRounds) {
  const [db, makerId] = [database(), currentMakerId()];
  const all = await roundsOf(formulaId);
  const next = nextOf(all);
  const change = next?.changes.find((one) => one.material === material && String(one.to) === to);
  if (next === null || change === undefined)
    return { problems: wholeProblem("This change is not suggested any more. Look at the list again.") };
  if (next.from.version.state !== "final") return { problems: wholeProblem("Finalise the version it begins from first.") };
  const open = all.rounds.find(({ version }) => version.state === "draft");
  if (open !== undefined) return { problems: wholeProblem(draftIsOpen(open.version.number)) };
  const sentence = suggestionWords({ ...change, name: nameOfSlug(change.material, next.from.subject.materials) }).slice(0, 500);
  const versionId = crypto.randomUUID();
  const number = await db.transaction(async (tx) => {
    const made = await insertDraftFrom(tx, makerId, { parentId: next.from.version.id, versionId }, sentence);
    if (made === undefined) return undefined;
    await keepSuggestion(tx, makerId, {
      ...{ versionId, fromVersionId: next.from.version.id, material: change.material, sentence, source: change.source },
      ...{ fromPercent: change.from, toPercent: change.to, expected: change.expected },
    });
    await withPercent(tx, formulaId, { versionId, number: made }, change);
    return made;
  });
  if (number === undefined) throw nothingHere();
  return { draft: number };
}

/** Gives one line of a draft another share; a material that is not in it comes in with a line of its own. */
async function withPercent(
  db: Executor,
  formulaId: string,
  draft: { readonly versionId: string; readonly number: number },
  change: NextChange,
): Promise<void> {
  const makerId = currentMakerId();
  const [found, phases, lines, lots, { formula, materials }, [material]] = await Promise.all([
    findVersion(db, makerId, { formulaId, number: draft.number }),
    listPhases(db, makerId, draft.versionId),
    listLines(db, makerId, draft.versionId),
    listLineLots(db, makerId, draft.versionId),
    formulaOfVersion(db, makerId, { formulaId, number: draft.number }),
    materialsBySlug(db, makerId, [change.material]),
  ]);
  if (found === undefined || material === undefined) throw nothingHere();
  const changed = lines.find(({ facts, takesTheRest }) => facts.slug === change.material && !takesTheRest);
  const rows = [
    ...lines.map(({ facts: _, ...line }) => ({ ...line, percent: line.id === changed?.id ? change.to : line.percent })),
    ...(changed !== undefined
      ? []
      : [
          {
            ...{ id: crypto.randomUUID(), phaseLetter: lines.at(-1)?.phaseLetter ?? "A", materialId: material.id, percent: change.to },
            ...{ takesTheRest: false, assayPercent: null },
          },
        ]),
  ];
  const slugOf = new Map([
    ...lines.map(({ materialId, facts }) => [materialId, facts.slug] as const),
    [material.id, change.material] as const,
  ]);
  const library = new Map([...materials, [change.material, material.facts] as const]);
  const { version, aim } = found;
  const whole = formulaOfDraft({
    ...{ name: formula.name, profile: formula.profile, batchGrams: formula.batchGrams, scales: [], aim, method: version.method },
    phases: phases.map(draftPhase),
    lines: rows.map((row) => ({ ...row, phase: row.phaseLetter, material: slugOf.get(row.materialId) ?? "" })),
  });
  await saveDraft(
    db,
    makerId,
    { versionId: draft.versionId, revision: version.revision },
    {
      ...{ name: found.formulaName, profile: version.profile, batchGrams: version.batchGrams, aim, method: version.method, coreVersion },
      measured: { ph: null, densityGramsPerMl: null },
      phases,
      lines: rows.map((row) => ({
        ...row,
        lots: lots.filter(({ lineId }) => lineId === row.id).map(({ lotId, grams }) => ({ lotId, grams })),
      })),
      assessment: assess(whole, library),
    },
  );
}
