import { Refusal } from "@tensidrum/core/quantities";
import { emptyShelf, materialsOf, standingEntries, storedPlan, surfactantBaseOf, type SurfactantBase } from "@tensidrum/core/process";
import { currentMakerId, database } from "../../../db/workplace.server";
import { findBatch, findLastTuned, listBatchLots, listCountingEntries, listEntries } from "../../../db/batches/queries.server";
import { listContainers } from "../../../db/containers/queries.server";
import { listSaltSamples } from "../../../db/saltSamples/queries.server";
import { findMaker } from "../../../db/makers/queries.server";
import { batchView } from "./batchView";
import type { SentBatch } from "./sentBatch";
import { shelfFor } from "./shelfFor.server";

async function foundBatch(batchId: string) {
  const [batch, lots] = await Promise.all([
    findBatch(database(), currentMakerId(), batchId),
    listBatchLots(database(), currentMakerId(), batchId),
  ]);
  if (batch === undefined) throw new Refusal("not-found", "This batch is not on your bench.", "Go to the bench and look for it there.");
  return { batch, lots };
}

/** A batch with all that was entered, as it lies in the database. */
export async function storedBatch(batchId: string) {
  const [found, entries] = await Promise.all([foundBatch(batchId), listEntries(database(), currentMakerId(), batchId)]);
  return { ...found, entries };
}

type Stored = Awaited<ReturnType<typeof foundBatch>>;

type Beside = Pick<SentBatch, "entries" | "position" | "earlier" | "saltSamples" | "funnel" | "containers" | "shelf">;

function sent({ batch, lots }: Stored, beside: Beside): SentBatch {
  return {
    id: batch.id,
    code: batch.code,
    formulaId: batch.formulaId,
    formula: batch.formula,
    steps: batch.steps,
    vessels: batch.vessels,
    lots: lots.map(({ line, code, grams }) => ({ line, code, grams })),
    ...beside,
    started: batch.startedAt.toISOString(),
    now: new Date().toISOString(),
  };
}

/** A batch for the bench: all that is needed to go on without the server, and no more. */
export async function sendBatch(batchId: string): Promise<SentBatch> {
  const [found, { entries, position }] = await Promise.all([
    foundBatch(batchId),
    listCountingEntries(database(), currentMakerId(), batchId),
  ]);
  const { versionId, formula } = found.batch;
  const [last, measuring, shelf] = await Promise.all([
    versionId === null ? undefined : findLastTuned(database(), currentMakerId(), versionId),
    measuringBy(surfactantBaseOf({ formula, materials: materialsOf(formula) })),
    shelfFor(entries.map(({ entry }) => entry)),
  ]);
  const earlier = last === undefined ? null : { ...last, entries: standingEntries(last.entries) };
  const standing = new Set(standingEntries(entries.map(({ entry }) => entry)).map(({ id }) => id));
  return sent(found, { entries: entries.filter(({ entry }) => standing.has(entry.id)), position, earlier, shelf, ...measuring });
}

/** A batch where it stands now, with all that was entered. */
export async function viewBatch(batchId: string) {
  const { entries, ...found } = await storedBatch(batchId);
  const all = entries.map(({ entry }) => entry);
  const beside = { earlier: null, saltSamples: [], funnel: null, containers: [], shelf: await shelfFor(all) };
  const batch = sent(found, { entries, position: entries.at(-1)?.position ?? 0, ...beside });
  const plan = storedPlan(batch, batch.shelf);
  return { sent: batch, plan, entries: all, view: batchView(batch, plan, all) };
}

/** The plan of a batch and its lots, to judge what may be entered; with the shelf where a form names what was dosed. */
export async function plannedBatch(batchId: string, { withShelf = false } = {}) {
  const [{ batch, lots }, shelf] = await Promise.all([foundBatch(batchId), withShelf ? shelfFor([]) : emptyShelf]);
  return { plan: storedPlan(batch, shelf), lots, startedAt: batch.startedAt };
}

/** What the maker has at the bench: samples of a base and their own funnel to judge a thickness by, and containers. */
export async function measuringBy(base: SurfactantBase | null): Promise<Pick<SentBatch, "saltSamples" | "funnel" | "containers">> {
  const [saltSamples, maker, containers] = await Promise.all([
    base === null ? [] : listSaltSamples(database(), currentMakerId(), base.hash),
    findMaker(database(), currentMakerId()),
    listContainers(database(), currentMakerId()),
  ]);
  const { funnelK = null, funnelC = null } = maker ?? {};
  const funnel = funnelK === null || funnelC === null ? null : { k: funnelK, c: funnelC };
  return {
    saltSamples: saltSamples.map(({ saltPercent, viscosity, unit }) => ({ saltPercent, viscosity, unit })),
    funnel,
    containers: containers.map(({ name }) => name),
  };
}
