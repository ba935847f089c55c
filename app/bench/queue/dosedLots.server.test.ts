import { agentsOf, type BenchAgent } from "@tensidrum/core/process";
import { sql } from "drizzle-orm";
import { beforeAll, describe, expect, it } from "vitest";
import { demoFormulas } from "../../../db/demo/formulas";
import { onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import { database } from "../../../db/workplace.server";
import { noSize } from "../begin/batchSize";
import { begin, openBegin } from "../begin/begin.server";
import { typedBenchForm, type BenchForm } from "../batch/benchForm";
import { viewBatch } from "../batch/stored.server";
import { openRecord } from "../record/record.server";
import { enter } from "./takeEntries.server";

onFreshDatabase({ demo: "once" });

const wanted = { formulaId: demoFormulas.find(({ name }) => name === "Curtain Call shampoo")?.id ?? "", number: 1 };

const entry = (changes: Partial<BenchForm>): BenchForm => ({ ...typedBenchForm(new FormData()), id: crypto.randomUUID(), ...changes });

async function leftOf(lotId: string): Promise<number> {
  const { rows } = await database().execute(
    sql`select (sum(grams) filter (where kind not in ('reserve', 'release')))::float8 as left from movements where lot_id = ${lotId}`,
  );
  return (rows[0] as { left: number }).left;
}

describe("an acid of the shelf that is no line of the formula", () => {
  const id = crypto.randomUUID();
  let step: string;
  let agent: BenchAgent;
  let before: number;

  beforeAll(async () => {
    const { lines } = await openBegin(wanted, "");
    const lemon = lines.find(({ name }) => name === "Lemon essential oil")?.id ?? "";
    const form = { id, grams: "300", size: noSize, seen: ["clean", "wear", "meter"], lots: { [lemon]: "none" }, tares: {}, another: [] };
    expect(await begin(wanted, form)).toEqual([]);
    const { plan } = await viewBatch(id);
    step = plan.steps.find(({ tunes }) => tunes === "ph")?.id ?? "";
    agent = agentsOf(plan).find(({ lot, name }) => lot !== undefined && name.includes("25 %")) as BenchAgent;
    before = await leftOf(agent.lot?.id ?? "");
  });

  const dose = (grams: string, changes: Partial<BenchForm> = {}) =>
    enter(id, entry({ intent: "dose", step, agent: agent.name, grams, ...changes }));

  it("is as strong as it was made, and stands there with its lot", () => {
    expect(agent).toMatchObject({ kind: "acid", line: null, lot: { code: "S-25-1" } });
    expect(agent.strengthPercent).toBeCloseTo(25, 9);
  });

  it("leaves its lot once dosed, and is in the sums and the record", async () => {
    expect(await dose("1.2")).toEqual([]);
    expect(await leftOf(agent.lot?.id ?? "")).toBeCloseTo(before - 1.2, 6);
    const { account } = await openRecord(id);
    expect(account.besides).toMatchObject([{ name: agent.name, grams: 1.2, lot: { code: "S-25-1" } }]);
    expect(account.inGrams).toBeCloseTo(1.2, 9);
  });

  it("costs what its lot costs: 1.2 g of 100 g for 10 are 0.12; without a price nothing is said", async () => {
    expect((await openRecord(id)).cost).toBeNull();
    await database().execute(sql`update lots set price = 10, pack_grams = 100 where id = ${agent.lot?.id ?? ""}`);
    expect((await openRecord(id)).cost).toMatch(/^Cost 0\.12\b.* by the lots it took\.$/);
  });

  it("taken back it is in the bottle again", async () => {
    const { view } = await viewBatch(id);
    expect(await enter(id, entry({ intent: "back", entry: view.last?.id ?? "" }))).toEqual([]);
    expect(await leftOf(agent.lot?.id ?? "")).toBeCloseTo(before, 6);
  });

  it("into a sample it goes thinned tenfold: 8 g take 0.8 g from the lot, also when the sample is lost", async () => {
    const own = { step, vessel: "sample" };
    await enter(id, entry({ intent: "read-ph", step, ph: "7.2", way: "dilution", sample: "2" }));
    const { view } = await viewBatch(id);
    const line = view.lines[0]?.line ?? "";
    const weighing = view.steps.find((one) => one.step.lines.includes(line))?.step.id ?? "";
    expect(await enter(id, entry({ intent: "weigh", step: weighing, line, grams: "150" }))).toEqual([]);
    expect(await enter(id, entry({ intent: "take-sample", step, grams: "40" }))).toEqual([]);
    expect(await dose("8", own)).toEqual([]);
    expect(await enter(id, entry({ intent: "lose-sample", step, text: "fell over" }))).toEqual([]);
    expect(await leftOf(agent.lot?.id ?? "")).toBeCloseTo(before - 0.8, 6);
    expect((await openRecord(id)).account).toMatchObject({ besides: [], samplesGrams: 42 });
  });
});
