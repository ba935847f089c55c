import { readBatch } from "@tensidrum/core/formats";
import { batchState, planBatch } from "@tensidrum/core/process";
import { sql } from "drizzle-orm";
import { beforeAll, describe, expect, it } from "vitest";
import { sentenceOf } from "../frame/formAnswer";
import { currentMakerId, database } from "../../db/workplace.server";
import { demoFormulas } from "../../db/demo/formulas";
import { brokenConstraint } from "../../db/failures.server";
import { standingLots } from "../../db/inventory/queries.server";
import { deleteFormula } from "../../db/formulas/writes.server";
import { onFreshDatabase } from "../../db/testing/onFreshDatabase";
import { noSize } from "./begin/batchSize";
import { begin, openBegin } from "./begin/begin.server";
import { typedBenchForm, type BenchForm } from "./batch/benchForm";
import { viewBatch } from "./batch/stored.server";
import { openBench } from "./bench.server";
import type { WantedBatch } from "./forms.server";
import { enter } from "./queue/takeEntries.server";
import { batchFile, openRecord } from "./record/record.server";

onFreshDatabase({ demo: "once" });

const CURTAIN_CALL = demoFormulas.find(({ name }) => name === "Curtain Call shampoo")?.id ?? "";
const wanted = { formulaId: CURTAIN_CALL, number: 1 };
const seen = ["clean", "wear", "meter"];

/** What is left and free of a lot of the demo. */
async function lot(code: string) {
  const { rows } = await database().execute(
    sql`select sum(grams)::float8 as free, (sum(grams) filter (where kind not in ('reserve', 'release')))::float8 as left
      from movements join lots on lots.id = movements.lot_id where lots.code = ${code}`,
  );
  return rows[0] as { free: number; left: number };
}

async function begun(changes: Partial<WantedBatch> = {}) {
  const { lines } = await openBegin(wanted, "");
  const lemon = lines.find(({ name }) => name === "Lemon essential oil")?.id ?? "";
  const form: WantedBatch = {
    ...{ id: crypto.randomUUID(), grams: "300", size: noSize, seen, lots: { [lemon]: "none" }, tares: { main: "412.5" }, another: [] },
    ...changes,
  };
  return { form, problem: sentenceOf(await begin(wanted, form)), lemon };
}

const entry = (changes: Partial<BenchForm>): BenchForm => {
  return { ...typedBenchForm(new FormData()), id: crypto.randomUUID(), intent: "done", ...changes };
};

describe("before a batch", () => {
  it("says what must be right, what is wanted of each lot, and stops at a lot that has ended", async () => {
    const plan = await openBegin(wanted, "1,2 kg");
    expect(plan.grams).toBe("1200");
    expect(plan.items.filter(({ state }) => state === "ask").map(({ id }) => id)).toEqual(seen);
    expect(plan.items.flatMap(({ state, id }) => (state === "stop" ? [id] : []))).toEqual(["enough SB-6", "ended L-9"]);
    expect(plan.lines.find(({ name }) => name === "Cocamidopropyl betaine")?.from).toEqual([{ code: "B-114", grams: 144 }]);
  });

  it.each<[Partial<WantedBatch>, string]>([
    [{ lots: {} }, "expired"],
    [{ seen: ["clean"] }, "Not ticked yet"],
    [{ grams: "a lot" }, "600 g or 1.2 kg"],
    [{ grams: "30 kg" }, "free"],
  ])("%j is in the way, and nothing is promised", async (changes, words) => {
    const before = await lot("B-114");
    expect((await begun(changes)).problem).toContain(words);
    expect(await lot("B-114")).toEqual(before);
  });

  it("a draft is not made", async () => {
    await expect(openBegin({ formulaId: CURTAIN_CALL, number: 2 }, "")).rejects.toThrow("not final");
  });
});

describe("a batch", () => {
  let batchId: string;
  let betaine: string;
  let step: string;
  const state = async () => (await viewBatch(batchId)).view;
  const lineOf = async (id: string) => (await state()).lines.find(({ line }) => line === id);

  beforeAll(async () => {
    const { form, problem } = await begun();
    expect(problem).toBe("");
    expect(await begin(wanted, form)).toEqual([]);
    batchId = form.id;
    step = (await state()).steps.find(({ step: { title } }) => title === "Weigh the amphoterics")?.step.id ?? "";
    betaine = (await state()).lines.find(({ name }) => name === "Cocamidopropyl betaine")?.line ?? "";
  });

  it("has a code, reserves its lots once, and keeps the tare weights", async () => {
    const batch = await state();
    expect(batch.code).toMatch(/^CC-\d{6}-1$/);
    expect([...batch.tares]).toEqual([["main", 412.5]]);
    // 12 % of 300 g.
    expect(await lot("B-114")).toEqual({ free: 280 - 36, left: 280 });
    const { open, others } = await openBench();
    expect([open.map(({ id }) => id), others]).toEqual([[batchId], []]);
    expect(open[0]?.next).toMatchObject({ number: 1, title: "Prepare the bench" });
  });

  it("a weight is used off the lot, once however often it is sent; weighed again the later one counts", async () => {
    const form = entry({ intent: "weigh", step, line: betaine, grams: "36,4" });
    await Promise.all([enter(batchId, form), enter(batchId, form)]);
    expect(await enter(batchId, form)).toEqual([]);
    expect(sentenceOf(await enter(batchId, { ...form, id: crypto.randomUUID() }))).toContain("weighed already");
    expect((await lineOf(betaine))?.actualGrams).toBe(36.4);
    const after = await lot("B-114");
    expect(after.left).toBeCloseTo(280 - 36.4, 6);
    expect(after.free).toBeCloseTo(280 - 36.4, 6);
    await enter(batchId, entry({ intent: "again", entry: form.id }));
    await enter(batchId, entry({ intent: "weigh", step, line: betaine, grams: "40" }));
    expect((await lot("B-114")).left).toBeCloseTo(240, 6);
    expect((await lineOf(betaine))?.asks).toBe(true);
  });

  it("taken back it is promised again", async () => {
    const { last } = await state();
    expect(await enter(batchId, entry({ intent: "again", entry: last?.id ?? "" }))).toEqual([]);
    expect((await lineOf(betaine))?.actualGrams).toBeNull();
    const back = await lot("B-114");
    expect(back.left).toBeCloseTo(280, 6);
    expect(back.free).toBeCloseTo(244, 6);
  });

  it.each<[Partial<BenchForm>, string]>([
    [{ intent: "weigh", grams: "-1" }, "not below 0"],
    [{ intent: "weigh", grams: "3001" }, "strongest scale"],
    [{ intent: "weigh", grams: "a lot" }, "in grams"],
    [{ intent: "weigh", grams: "1.2 oz" }, "not oz"],
    [{ intent: "timer", minutes: "soon" }, "how many minutes"],
    [{ intent: "skip", text: "" }, "why"],
    [{ intent: "weigh", step: "elsewhere", grams: "1" }, "not weighed in this step"],
    [{ intent: "skip", step: "elsewhere", text: "why not" }, "not in the batch"],
    [{ intent: "finish", grams: "290" }, "still open"],
    [{ intent: "back", entry: crypto.randomUUID() }, "nothing to take back"],
  ])("%j is answered in words", async (changes, words) => {
    expect(sentenceOf(await enter(batchId, entry({ line: betaine, step, ...changes })))).toContain(words);
  });

  it("a step with something unweighed is not done; skipped with a reason it is through, and the record keeps why", async () => {
    const { steps } = await state();
    const weighing = steps.find(({ step }) => step.lines.length > 0)?.step.id ?? "";
    expect(sentenceOf(await enter(batchId, entry({ step: weighing })))).toContain("not been weighed");
    for (const { step } of steps) await enter(batchId, entry({ intent: "skip", step: step.id, text: "trial of the bench" }));
    expect((await state()).steps.every(({ reason }) => reason === "trial of the bench")).toBe(true);
  });

  it("finished it reserves nothing any more, and its formula may go: the record stays", async () => {
    expect(sentenceOf(await enter(batchId, entry({ intent: "finish", grams: "0" })))).toContain("Weigh the yield");
    expect(await enter(batchId, entry({ intent: "finish", grams: "291.5" }))).toEqual([]);
    expect((await state()).finished?.yieldGrams).toBe(291.5);
    expect((await lot("B-114")).free).toBeCloseTo(280, 6);
    await deleteFormula(database(), currentMakerId(), CURTAIN_CALL);
    expect((await state()).name).toBe("Curtain Call shampoo");
  });

  it("goes out as a file that reads back to the same state", async () => {
    const text = await (await batchFile(batchId)).text();
    const file = readBatch(JSON.parse(text), new Map());
    const materials = new Map(file.formula.materials?.map((material) => [material.slug, material]));
    const again = batchState(planBatch(file.formula, file.formula.batchGrams, materials), file.entries);
    expect(again.finished?.yieldGrams).toBe(291.5);
    expect(again.steps.map(({ reason }) => reason)).toEqual((await state()).steps.map(({ reason }) => reason));
    expect((await openRecord(batchId)).log.filter(({ isBack }) => isBack).length).toBeGreaterThan(0);
    expect(file.lots).toContainEqual(expect.objectContaining({ code: "B-114", grams: 36 }));
  });

  it("its entries are never changed", async () => {
    const refused = await database()
      .execute(sql`update batch_entries set kind = 'noted'`)
      .then(() => "changed")
      .catch((error: unknown) => brokenConstraint(error));
    expect(refused).toBe("protected");
    expect((await standingLots(database(), currentMakerId())).length).toBeGreaterThan(0);
  });
});
