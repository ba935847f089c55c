import { labelFromTemplate } from "@tensidrum/core/packaging";
import { planBatch, type BatchEntry } from "@tensidrum/core/process";
import dayjs from "dayjs";
import { sql } from "drizzle-orm";
import { beforeAll, describe, expect, it } from "vitest";
import { demoFormulas } from "../../../db/demo/formulas";
import { findLot } from "../../../db/inventory/queries.server";
import { holdLot, shelveMadeLot } from "../../../db/inventory/writes.server";
import { saveLabel } from "../../../db/labels/queries.server";
import { onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import { currentMakerId, database } from "../../../db/workplace.server";
import { begin, openBegin } from "../begin/begin.server";
import { noSize } from "../begin/batchSize";
import { storedBatch } from "../batch/stored.server";
import { takeEntries } from "../queue/takeEntries.server";
import { keepGiven, openTrace, traceFile } from "./trace.server";
import { openWhereabouts } from "./whereabouts.server";

onFreshDatabase({ demo: "once" });

const formulaId = demoFormulas.find(({ name }) => name === "Green Room body wash")?.id ?? "";
const id = crypto.randomUUID();
const head = () => ({ id: crypto.randomUUID(), at: new Date().toISOString() });
const hold = (lotId: string, why: string) => holdLot(database(), currentMakerId(), lotId, why);

describe("where a lot went", () => {
  let lotId: string;
  let line: string;

  beforeAll(async () => {
    const form = { id, grams: "300", size: noSize, seen: ["clean", "wear", "meter"], lots: {}, tares: {}, another: [] };
    expect(await begin({ formulaId, number: 1 }, form)).toEqual([]);
    const { batch, lots } = await storedBatch(id);
    const betaine = batch.formula.lines.find(({ material }) => material === "cocamidopropyl-betaine")?.id ?? "";
    ({ lotId, line } = lots.find((lot) => lot.line === betaine) ?? { lotId: "", line: "" });
  });

  it("is known while it is only reserved; on hold it is not weighed from, with why, and free again it is", async () => {
    const [before] = (await openTrace(lotId)).batches;
    expect(before).toMatchObject({ id, usedGrams: 0, isOpen: true });
    expect(before?.reservedGrams).toBeGreaterThan(0);
    expect(await hold(lotId, "smells of paint.")).toBe(true);
    const { batch } = await storedBatch(id);
    const materials = new Map(batch.formula.materials?.map((material) => [material.slug, material]));
    const plan = planBatch(batch.formula, batch.formula.batchGrams, materials);
    const step = plan.steps.find(({ lines }) => lines.includes(line))?.id ?? "";
    const skipped = plan.steps
      .slice(
        0,
        plan.steps.findIndex((one) => one.id === step),
      )
      .map((one): BatchEntry => ({ ...head(), kind: "skipped", step: one.id, reason: "made elsewhere" }));
    const weighed: BatchEntry = { ...head(), kind: "weighed", step, line, grams: plan.targets.get(line) ?? 0 };
    const { refused } = await takeEntries(id, [...skipped, weighed], 0);
    expect(refused.map(({ why }) => why)).toEqual([expect.stringContaining("is on hold: smells of paint.")]);
    // The next batch takes another lot where there is one, and is told of the hold where there is none.
    const next = await openBegin({ formulaId, number: 1 }, "300");
    const others = next.lines.find((one) => one.id === line)?.lots.filter((lot) => lot.id !== lotId) ?? [];
    expect(next.items.some(({ id: item }) => item.startsWith("hold "))).toBe(others.length === 0);
    await hold(lotId, "");
    expect((await takeEntries(id, [{ ...weighed, id: crypto.randomUUID() }], 0)).refused).toEqual([]);
  });

  it("leads to the batch, its containers and to whom they went, also as a table", async () => {
    const filling = [
      { id: "bottles", container: null, name: "Bottle", type: "bottle", use: "use", count: 2, grams: 50, tareGrams: null },
    ] as const;
    const { batch } = await storedBatch(id);
    const through = batch.steps.map(({ id: step }): BatchEntry => ({ ...head(), kind: "skipped", step, reason: "made elsewhere" }));
    await takeEntries(id, through, 0);
    const { refused } = await takeEntries(
      id,
      [
        { ...head(), kind: "finished", yieldGrams: 280 },
        { ...head(), kind: "fill-planned", filling, density: { gramsPerMl: 1, source: "estimate" } },
        { ...head(), kind: "container-filled", row: "bottles", number: 1, grams: 50 },
      ],
      0,
    );
    expect(refused).toEqual([]);
    await keepGiven({ batch: id, row: "bottles", to: "dressing room 2", opened: "" });
    // What is filled later does not lose the note.
    await takeEntries(id, [{ ...head(), kind: "container-filled", row: "bottles", number: 2, grams: 50 }], 0);
    const [found] = (await openTrace(lotId)).batches;
    expect(found?.usedGrams).toBeGreaterThan(0);
    expect(found?.containers).toMatchObject([{ name: "Bottle", count: 2, grams: 100, toWhom: "dressing room 2" }]);
    const csv = await (await traceFile(lotId)).text();
    expect(csv.trimEnd().split("\r\n")).toHaveLength(2);
    expect(csv).toContain("dressing room 2");
    await keepGiven({ batch: id, row: "bottles", to: "", opened: "" });
    expect((await openTrace(lotId)).batches[0]?.containers[0]?.toWhom).toBe("");
  });

  it("leads back from the containers to their lots, and the earlier of both dates counts for them", async () => {
    const { containers, lots } = await openWhereabouts(id);
    expect(lots.some((lot) => lot.id === lotId && lot.usedGrams > 0)).toBe(true);
    expect(containers).toMatchObject([{ count: 2, isPast: false, isByOpening: false }]);
    const design = labelFromTemplate("small", { widthMm: 50, heightMm: 20, netGrams: 50 });
    await saveLabel(database(), currentMakerId(), { formulaId, containerId: null, part: "" }, { ...design, months: 3, openMonths: 1 });
    const openedOn = dayjs().subtract(20, "day");
    expect(await keepGiven({ batch: id, row: "bottles", to: "dressing room 2", opened: openedOn.format("YYYY-MM-DD") })).toEqual([]);
    const [opened] = (await openWhereabouts(id)).containers;
    expect(opened).toMatchObject({ isByOpening: true, useUntil: openedOn.add(1, "month").format("D MMM YYYY") });
    expect((await keepGiven({ batch: id, row: "bottles", to: "", opened: "soon" })).map(({ field }) => field)).toEqual(["opened"]);
    await expect(openWhereabouts(crypto.randomUUID())).rejects.toThrow("not here");
  });

  it("goes on through what was made of it here, and ends where that goes in a circle", async () => {
    const [first, second] = [crypto.randomUUID(), crypto.randomUUID()];
    const { materialId } = (await findLot(database(), currentMakerId(), lotId))!;
    const made = (lot: string, code: string, from: string) =>
      shelveMadeLot(database(), currentMakerId(), {
        material: null,
        lot: {
          ...{ id: lot, materialId, code, supplier: "", note: "", packGrams: 10 },
          assayPercent: null,
          price: null,
          openedOn: null,
          endsOn: null,
        },
        movementId: crypto.randomUUID(),
        taken: [{ lotId: from, movementId: crypto.randomUUID(), work: () => ({ kind: "use", grams: -1, note: "" }) }],
      });
    expect(await made(first, "S-1", lotId)).toBe(true);
    expect(await made(second, "S-2", first)).toBe(true);
    await database().execute(
      sql`insert into lot_sources (lot_id, from_lot_id, maker_id) values (${lotId}, ${second}, ${currentMakerId()})`,
    );
    expect((await openTrace(lotId)).made.map(({ code }) => code)).toEqual(["S-1", "S-2"]);
    expect((await openTrace(second)).batches.map(({ id: batch, through }) => [batch, through])).toEqual([
      [id, expect.stringContaining("lot ")],
    ]);
  });
});
