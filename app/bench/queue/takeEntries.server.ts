import { batchState, whyNot, type BatchEntry, type BatchPlan } from "@tensidrum/core/making";
import { wantedOfLots, type LotShare } from "@tensidrum/core/stock";
import { database } from "../../../db/client.server";
import { listEntries } from "../../../db/batches/queries.server";
import { addEntries, addPhoto, type Decision, type NewPhoto } from "../../../db/batches/writes.server";
import { currentMakerId } from "../../frame/maker.server";
import { type BenchForm } from "../batch/benchForm";
import { entriesOf } from "../batch/entriesOf";
import { solutionsOf } from "../batch/solutionsOf";
import { measuringBy, plannedBatch } from "../batch/stored.server";
import type { Answer } from "./entryQueue";
import { tellNews } from "./news.server";

/** A device's clock may be ahead of the server's by so much before its moments are taken for wrong. */
const MOST_AHEAD_MILLISECONDS = 2_000;

/** Stores what can follow what there is, in the order it was made; what cannot is answered with why. */
export async function takeEntries(batchId: string, entries: readonly BatchEntry[], behind: number): Promise<Answer> {
  const { plan, lots } = await plannedBatch(batchId);
  const refused: { id: string; why: string }[] = [];
  await addEntries(database(), currentMakerId(), batchId, (stored) => {
    refused.length = 0;
    const decided = decide(plan, stored, entries);
    refused.push(...decided.refused);
    return { entries: decided.taken, ...afterwards(plan, lots, [...stored, ...decided.taken]) };
  });
  tellNews(batchId);
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
  };
}

function decide(plan: BatchPlan, stored: readonly BatchEntry[], sent: readonly BatchEntry[]) {
  const all = [...stored];
  const known = new Set(stored.map(({ id }) => id));
  const taken: BatchEntry[] = [];
  const refused: { id: string; why: string }[] = [];
  const latest = new Date(Date.now() + MOST_AHEAD_MILLISECONDS).toISOString();
  for (const entry of sent) {
    if (known.has(entry.id)) continue;
    const why = whyNot(plan, all, entry);
    if (why !== null) {
      refused.push({ id: entry.id, why });
      continue;
    }
    // Nothing happened later than now, whatever the clock of the device says.
    const timed = entry.at > latest ? { ...entry, at: new Date().toISOString() } : entry;
    known.add(entry.id);
    all.push(timed);
    taken.push(timed);
  }
  return { taken, refused };
}

/** How batch and lots stand after all entries. */
function afterwards(plan: BatchPlan, lots: readonly LotShare[], all: readonly BatchEntry[]): Omit<Decision, "entries"> {
  const state = batchState(plan, all);
  const weighed = new Map([...state.lines.values()].map(({ line, actualGrams }) => [line, actualGrams]));
  return {
    lots: wantedOfLots(lots, weighed, state.finished !== null),
    finishedAt: state.finished === null ? null : new Date(state.finished.at),
  };
}

/** Enters what a form says, for a page without scripts. Answers what is wrong with it, or nothing. */
export async function enter(batchId: string, form: BenchForm): Promise<string | null> {
  const [{ plan }, { funnel }] = await Promise.all([plannedBatch(batchId), measuringBy(null)]);
  const made = entriesOf(form, new Date().toISOString(), solutionsOf(plan, funnel));
  if ("problem" in made) return made.problem;
  const { refused } = await takeEntries(batchId, made.entries, 0);
  return refused[0]?.why ?? null;
}

/** Keeps a picture with its entry. Answers why not, or nothing. */
export async function takePhoto(batchId: string, photo: NewPhoto, entry: BatchEntry): Promise<void> {
  const { plan, lots } = await plannedBatch(batchId);
  await addPhoto(database(), currentMakerId(), batchId, {
    photo,
    decide: (stored) => {
      const { taken } = decide(plan, stored, [entry]);
      return { entries: taken, ...afterwards(plan, lots, [...stored, ...taken]) };
    },
  });
  tellNews(batchId);
}
