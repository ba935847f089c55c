import { batchState, fillingOf, whyNot, type BatchEntry, type BatchPlan } from "@tensidrum/core/process";
import type { LotShare } from "@tensidrum/core/inventory";
import { bookedLots } from "../lots/bookedLots.server";
import { currentMakerId, database, rightNow } from "../../../db/workplace.server";
import { listEntries } from "../../../db/batches/queries.server";
import { addEntries, addPhoto, type Decision, type NewPhoto } from "../../../db/batches/writes.server";
import { wholeProblem, type FieldProblem } from "../../frame/formAnswer";
import { type BenchForm } from "../batch/benchForm";
import { entriesOf } from "../batch/entriesOf";
import { solutionsOf } from "../batch/solutionsOf";
import { overdrawnLots } from "../lots/lots.server";
import { measuringBy, plannedBatch } from "../batch/stored.server";
import type { Answer } from "./entryQueue";
import { isoToday, writtenMoment } from "../../frame/dates.server";
import { planUsualChecks } from "../../frame/usualChecks.server";

/** A device's clock may be ahead of the server's by so much before its moments are taken for wrong. */
const MOST_AHEAD_MILLISECONDS = 2_000;

/** Stores what can follow what there is, in the order it was made; what cannot is answered with why. */
export async function takeEntries(batchId: string, entries: readonly BatchEntry[], behind: number): Promise<Answer> {
  const { plan, lots, startedAt } = await plannedBatch(batchId);
  const refused: { id: string; why: string }[] = [];
  let after: Decision | null = null;
  await addEntries(database(), currentMakerId(), batchId, (stored) => {
    refused.length = 0;
    const decided = decide(plan, { stored, startedAt, lots }, entries);
    refused.push(...decided.refused);
    return (after = { entries: decided.taken, ...afterwards(plan, lots, [...stored, ...decided.taken]) });
  });
  await watchWhatIsKept(batchId, plan, after);
  return {
    now: new Date().toISOString(),
    stored: await listEntries(
      database(),
      currentMakerId(),
      batchId,
      behind,
      entries.map(({ id }) => id),
    ),
    refused,
    short: await overdrawnLots(batchId),
  };
}

const ENDING: readonly BatchEntry["kind"][] = ["finished", "container-filled"];

/** A container that is kept of a finished batch is the sample at room temperature, and its checks are planned. */
async function watchWhatIsKept(batchId: string, { formula }: BatchPlan, after: Decision | null): Promise<void> {
  if (after === null || after.finishedAt === null || !after.entries.some(({ kind }) => ENDING.includes(kind))) return;
  if (!after.filled.some(({ use, count }) => use === "retained" && count > 0)) return;
  await planUsualChecks({ id: batchId, profile: formula.profile, madeAt: after.finishedAt }, ["room"]);
}

type LotOfBatch = LotShare & { readonly code: string; readonly onHold: string };

interface Before {
  readonly stored: readonly BatchEntry[];
  readonly startedAt: Date;
  readonly lots: readonly LotOfBatch[];
}

/** A line all of whose lots are on hold is not weighed from them; null where one of them may be taken. */
function whyHeld(lots: readonly LotOfBatch[], entry: BatchEntry): string | null {
  if (entry.kind !== "weighed") return null;
  const own = lots.filter(({ line }) => line === entry.line);
  const [first] = own;
  if (first === undefined || own.some(({ onHold }) => onHold === "")) return null;
  return `Lot ${first.code} is on hold: ${first.onHold} Take the hold off on the Shelf, or close this batch and begin it with another lot.`;
}

function decide(plan: BatchPlan, { stored, startedAt, lots }: Before, sent: readonly BatchEntry[]) {
  const all = [...stored];
  const known = new Set(stored.map(({ id }) => id));
  const taken: BatchEntry[] = [];
  const refused: { id: string; why: string }[] = [];
  for (const entry of sent) {
    if (known.has(entry.id)) continue;
    const at = momentOf(entry, startedAt);
    const why = at === null ? beforeBegin(entry, startedAt) : (whyHeld(lots, entry) ?? whyNot(plan, all, entry));
    if (at === null || why !== null) {
      refused.push({ id: entry.id, why: why ?? "" });
      continue;
    }
    const timed = { ...entry, at };
    known.add(entry.id);
    all.push(timed);
    taken.push(timed);
  }
  return { taken, refused };
}

/** A device may be behind by so much before its moments are before the batch. */
const MOST_BEHIND_MILLISECONDS = 2_000;

/**
 * When an entry happened, ISO in UTC. Nothing happened later than now, whatever the clock of the device says; null: it is
 * before the batch was begun. While this machine's own clock is behind the beginning, the beginning counts as now.
 */
function momentOf({ at }: BatchEntry, startedAt: Date): string | null {
  const now = Math.max(rightNow().getTime(), startedAt.getTime());
  const moment = Date.parse(at);
  if (moment > now + MOST_AHEAD_MILLISECONDS) return new Date(now).toISOString();
  if (moment >= startedAt.getTime() - MOST_BEHIND_MILLISECONDS) return new Date(moment).toISOString();
  return rightNow().getTime() < startedAt.getTime() ? new Date(now).toISOString() : null;
}

function beforeBegin({ at }: BatchEntry, startedAt: Date): string {
  const [said, begun] = [new Date(at), startedAt].map((moment) => writtenMoment(moment));
  return `Its time, ${said}, is before the batch was begun, ${begun}. Check the clock of this device and enter it again.`;
}

/** How batch and lots stand after all entries. */
function afterwards(plan: BatchPlan, lots: readonly LotShare[], all: readonly BatchEntry[]): Omit<Decision, "entries"> {
  const state = batchState(plan, all);
  return {
    lots: bookedLots(plan, lots, all),
    filled: fillingOf(plan, state).rows.flatMap(({ id, container, name, use, filled }) =>
      filled.length === 0
        ? []
        : [
            {
              rowId: id,
              containerId: container,
              name,
              use,
              count: filled.length,
              grams: filled.reduce((sum, { grams }) => sum + grams, 0),
            },
          ],
    ),
    finishedAt: state.finished === null ? null : new Date(state.finished.at),
    booked: { at: rightNow(), on: isoToday() },
  };
}

/** Enters what a form says, for a page without scripts. Answers what is wrong with it. */
export async function enter(batchId: string, form: BenchForm): Promise<readonly FieldProblem[]> {
  const [{ plan }, { funnel }] = await Promise.all([plannedBatch(batchId, { withShelf: true }), measuringBy(null)]);
  const made = entriesOf(form, new Date().toISOString(), solutionsOf(plan, funnel));
  if ("problem" in made) return wholeProblem(made.problem);
  const { refused } = await takeEntries(batchId, made.entries, 0);
  return refused[0] === undefined ? [] : wholeProblem(refused[0].why);
}

/** Keeps a picture with its entry. */
export async function takePhoto(batchId: string, photo: NewPhoto, entry: BatchEntry): Promise<void> {
  const { plan, lots, startedAt } = await plannedBatch(batchId);
  await addPhoto(database(), currentMakerId(), batchId, {
    photo,
    decide: (stored) => {
      const { taken } = decide(plan, { stored, startedAt, lots }, [entry]);
      return { entries: taken, ...afterwards(plan, lots, [...stored, ...taken]) };
    },
  });
}
