import type { BatchEntry } from "@tensidrum/core/process";
import { beforeAll, describe, expect, it } from "vitest";
import { listContainers } from "../../../db/containers/queries.server";
import { demoFormulas } from "../../../db/demo/formulas";
import { onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import { currentMakerId, database } from "../../../db/workplace.server";
import { begin } from "../begin/begin.server";
import { noSize } from "../begin/batchSize";
import { typedBenchForm, type BenchForm } from "../batch/benchForm";
import { enter, takeEntries } from "../queue/takeEntries.server";
import { openFilling } from "./filling.server";

onFreshDatabase({ demo: "once" });

const id = crypto.randomUUID();
const formulaId = demoFormulas.find(({ name }) => name === "Green Room body wash")?.id ?? "";
const entry = (changes: Partial<BenchForm>): BenchForm => ({ ...typedBenchForm(new FormData()), id: crypto.randomUUID(), ...changes });
const piecesOf = async (name: string) => (await listContainers(database(), currentMakerId())).find((one) => one.name === name)?.pieces;

describe("a batch that is filled", () => {
  let row: string;

  beforeAll(async () => {
    const form = { id, grams: "300", size: noSize, seen: ["clean", "wear", "meter"], lots: {}, tares: {}, another: [] };
    expect(await begin({ formulaId, number: 1 }, form)).toEqual([]);
    const { sent, containers, density } = await openFilling(id);
    expect(density.gramsPerMl).toBeGreaterThan(0.9);
    const at = new Date().toISOString();
    const skipped = sent.steps
      .filter(({ code }) => code !== "fill")
      .map(({ id: step }): BatchEntry => ({ id: crypto.randomUUID(), at, kind: "skipped", step, reason: "made elsewhere" }));
    expect((await takeEntries(id, skipped, 0)).refused).toEqual([]);
    const bottle = containers.find(({ name }) => name === "Flip-top, guests");
    row = `${bottle?.id ?? ""}-use`;
    const filling = [
      { id: row, container: bottle?.id, name: bottle?.name, type: "bottle", use: "use", count: 5, grams: 51, tareGrams: 11.4 },
    ];
    const plan = JSON.stringify({ filling, density: { gramsPerMl: 1.02, source: "estimate" } });
    expect(await enter(id, entry({ intent: "plan-filling", filling: plan }))).toEqual([]);
  });

  const fill = (number: string, changes: Partial<BenchForm> = {}) =>
    enter(id, entry({ intent: "fill-one", row, number, grams: "51.1", ...changes }));

  it("its containers leave the shelf one by one, and come back with what is taken back", async () => {
    const before = (await piecesOf("Flip-top, guests")) ?? 0;
    const first = crypto.randomUUID();
    expect(await fill("1", { id: first })).toEqual([]);
    expect(await fill("2")).toEqual([]);
    expect(await piecesOf("Flip-top, guests")).toBe(before - 2);
    expect(await enter(id, entry({ intent: "back", entry: first }))).toEqual([]);
    expect(await piecesOf("Flip-top, guests")).toBe(before - 1);
    expect(await piecesOf("Wide jar")).toBe(6);
  });

  it("of two devices that fill the same bottle only the first does", async () => {
    const at = new Date().toISOString();
    const one = (grams: number): BatchEntry => ({ id: crypto.randomUUID(), at, kind: "container-filled", row, number: 3, grams });
    const [near, far] = [one(51.2), one(50.8)];
    expect((await takeEntries(id, [near], 0)).refused).toEqual([]);
    expect((await takeEntries(id, [far], 0)).refused).toMatchObject([
      { id: far.id, why: expect.stringContaining("filled already") as string },
    ]);
  });

  it("one sent twice counts once, on the shelf too", async () => {
    const before = (await piecesOf("Flip-top, guests")) ?? 0;
    const sent: BatchEntry = { id: crypto.randomUUID(), at: new Date().toISOString(), kind: "container-filled", row, number: 4, grams: 51 };
    await takeEntries(id, [sent], 0);
    await takeEntries(id, [sent], 0);
    expect(await piecesOf("Flip-top, guests")).toBe(before - 1);
  });
});
