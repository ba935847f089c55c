import { Refusal } from "@tensidrum/core/formula";
import { shownMaterial } from "@tensidrum/core/library";
import { batchState, planBatch, type BatchEntry, type BatchPlan } from "@tensidrum/core/making";
import { decimalPlaces, finestFirst, readMassGrams, readNumber, scaleFor, writtenMass } from "@tensidrum/core/quantities";
import { wantedOfLots } from "@tensidrum/core/stock";
import dayjs from "dayjs";
import { database } from "../../db/client.server";
import { findBatch, listBatches, listBatchLots, listEntries } from "../../db/batches/queries.server";
import { addEntries } from "../../db/batches/writes.server";
import { currentMakerId } from "../frame/maker.server";
import type { BenchForm } from "./forms.server";

const MOST_BATCHES = 100;
/** A scale nobody told of is taken to show hundredths. */
const USUAL_STEP_GRAMS = 0.01;

/** The batches there are, those being made first. */
export async function openBench() {
  const rows = await listBatches(database(), currentMakerId(), MOST_BATCHES);
  return rows.map(({ batchGrams, startedAt, finishedAt, ...row }) => ({
    ...row,
    batch: writtenMass(batchGrams),
    started: dayjs(startedAt).format("D MMM YYYY, HH:mm"),
    finished: finishedAt === null ? null : dayjs(finishedAt).format("D MMM YYYY, HH:mm"),
  }));
}

async function stored(batchId: string) {
  const db = database();
  const makerId = currentMakerId();
  const batch = await findBatch(db, makerId, batchId);
  if (batch === undefined) throw new Refusal("not-found", "This batch is not on your bench.", "Go to the bench and look for it there.");
  const [entries, lots] = await Promise.all([listEntries(db, makerId, batchId), listBatchLots(db, makerId, batchId)]);
  const materials = new Map(batch.formula.materials?.map((material) => [material.slug, material]));
  const plan: BatchPlan = { ...planBatch(batch.formula, batch.formula.batchGrams, materials), steps: batch.steps };
  return { batch, plan, entries, lots };
}

/** A batch where it stands now. */
export async function openBatch(batchId: string) {
  const { batch, plan, entries, lots } = await stored(batchId);
  const state = batchState(plan, entries);
  const nameOf = (line: string): string => {
    const material = plan.materials.get(plan.formula.lines.find(({ id }) => id === line)?.material ?? "");
    return material === undefined ? line : shownMaterial(material).name;
  };
  const fromFinest = finestFirst(plan.formula.scales);
  const time = (at: string) => dayjs(at).format("HH:mm");
  return {
    id: batch.id,
    newId: crypto.randomUUID(),
    code: batch.code,
    name: plan.formula.name,
    batch: writtenMass(plan.formula.batchGrams),
    decimals: decimalPlaces(fromFinest[0]?.readabilityGrams ?? USUAL_STEP_GRAMS),
    started: dayjs(batch.startedAt).format("D MMM YYYY, HH:mm"),
    vessels: batch.vessels,
    currentId: state.current?.id ?? null,
    steps: state.steps.map(({ step, state: of, reason, at }) => ({ step, state: of, reason, at: at === null ? null : time(at) })),
    lines: [...state.lines.values()].map((line) => ({
      ...line,
      name: nameOf(line.line),
      decimals: decimalPlaces(scaleFor(line.targetGrams, fromFinest)?.readabilityGrams ?? USUAL_STEP_GRAMS),
      lots: lots.filter((lot) => lot.line === line.line).map(({ code, grams }) => ({ code, grams })),
    })),
    tares: [...state.tares].map(([vessel, grams]) => ({ vessel, grams })),
    notes: state.notes.map((note) => ({ ...note, at: time(note.at) })),
    /** The last thing that can be taken back. */
    last: state.standing.findLast(({ kind }) => kind === "done" || kind === "skipped" || kind === "weighed")?.id ?? null,
    finished:
      state.finished === null ? null : { yieldGrams: state.finished.yieldGrams, at: dayjs(state.finished.at).format("D MMM YYYY, HH:mm") },
  };
}

export type OpenBatch = Awaited<ReturnType<typeof openBatch>>;

/** The record of a batch as a tensidrum-batch/1 file. */
export async function batchFile(batchId: string): Promise<Response> {
  const { batch, entries, lots } = await stored(batchId);
  const file = {
    format: "tensidrum-batch/1",
    code: batch.code,
    coreVersion: batch.coreVersion,
    startedAt: batch.startedAt.toISOString(),
    finishedAt: batch.finishedAt?.toISOString() ?? null,
    formula: batch.formula,
    lots: lots.map(({ line, code, grams }) => ({ line, code, grams })),
    entries,
  };
  return new Response(`${JSON.stringify(file, null, 2)}\n`, {
    headers: {
      "Content-Type": "application/json; charset=utf-8",
      "Content-Disposition": `attachment; filename="${batch.code}.json"`,
      "Cache-Control": "private, no-store",
    },
  });
}

/** Enters what was done. Answers what is wrong with it, or nothing. */
export async function enter(batchId: string, form: BenchForm): Promise<string | null> {
  const { plan, entries, lots } = await stored(batchId);
  const made = entryOf(form, plan, entries);
  if ("problem" in made) return made.problem;
  await addEntries(database(), currentMakerId(), batchId, {
    entries: made.entries,
    after: (all) => {
      const state = batchState(plan, all);
      const weighed = new Map([...state.lines.values()].map(({ line, actualGrams }) => [line, actualGrams]));
      return {
        lots: wantedOfLots(lots, weighed, state.finished !== null),
        finishedAt: state.finished === null ? null : new Date(state.finished.at),
      };
    },
  });
  return null;
}

type Made = { readonly entries: readonly BatchEntry[] } | { readonly problem: string };

function entryOf(form: BenchForm, plan: BatchPlan, entries: readonly BatchEntry[]): Made {
  const head = { id: form.id, at: new Date().toISOString() };
  const state = batchState(plan, entries);
  const step = plan.steps.find(({ id }) => id === form.step);
  if (step === undefined && (form.intent === "done" || form.intent === "skip")) return { problem: "This step is not in the batch." };
  switch (form.intent) {
    case "weigh":
      return weighed(form, plan, head);
    case "accept":
    case "correct":
      return { entries: [{ ...head, kind: form.intent === "accept" ? "accepted" : "corrected", line: form.line }] };
    case "done": {
      const open = step?.lines.filter((line) => state.lines.get(line)?.actualGrams === null && (plan.targets.get(line) ?? 0) > 0) ?? [];
      if (open.length > 0) return { problem: "Something of this step has not been weighed yet. Weigh it, or skip the step and say why." };
      if (step?.lines.some((line) => state.lines.get(line)?.asks === true) === true)
        return { problem: "Say first what is to be done about the weight that is off." };
      return { entries: [{ ...head, kind: "done", step: form.step }] };
    }
    case "skip":
      if (form.text === "") return { problem: "Say why it is skipped; it stands in the record." };
      return { entries: [{ ...head, kind: "skipped", step: form.step, reason: form.text }] };
    case "again":
    case "back":
      return entries.some(({ id }) => id === form.entry)
        ? { entries: [{ ...head, kind: "taken-back", entry: form.entry }] }
        : { problem: "There is nothing to take back." };
    case "note":
      return form.text === ""
        ? { problem: "Write the note first." }
        : { entries: [{ ...head, kind: "noted", step: form.step === "" ? null : form.step, text: form.text }] };
    case "finish": {
      const open = state.steps.filter(({ state: of }) => of === "open");
      if (open.length > 0)
        return {
          problem: `${open.length === 1 ? "One step is" : `${open.length} steps are`} still open: ${open[0]?.step.title ?? ""}. Do it, or skip it with a reason.`,
        };
      const grams = readMassGrams(form.grams);
      if (!grams.ok) return { problem: "Weigh what came out and give the grams." };
      return { entries: [{ ...head, kind: "finished", yieldGrams: grams.value }] };
    }
  }
}

function weighed(form: BenchForm, plan: BatchPlan, head: { readonly id: string; readonly at: string }): Made {
  const isHere = plan.steps.some(({ id, lines }) => id === form.step && lines.includes(form.line));
  if (!isHere) return { problem: "This line is not weighed in this step. Load the page again." };
  const read = readNumber(form.grams.replace(/\s*g\s*$/i, ""));
  if (!read.ok) return { problem: "Type the weight in grams, as the scale shows it." };
  if (read.value < 0) return { problem: "A weight is not below 0. Tare again and weigh once more." };
  const most = Math.max(0, ...plan.formula.scales.map(({ capacityGrams }) => capacityGrams));
  if (most > 0 && read.value > most)
    return { problem: `${writtenMass(read.value)} is more than your strongest scale carries, ${writtenMass(most)}.` };
  return { entries: [{ ...head, kind: "weighed", step: form.step, line: form.line, grams: read.value }] };
}
