import { sql } from "drizzle-orm";
import type { BatchEntry } from "@tensidrum/core/process";
import { beforeAll, describe, expect, it } from "vitest";
import { listContainers } from "../../../db/containers/queries.server";
import { demoFormulas } from "../../../db/demo/formulas";
import { saveProduct } from "../../../db/comparison/queries.server";
import { deleteFormula } from "../../../db/formulas/writes.server";
import { onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import { currentMakerId, database } from "../../../db/workplace.server";
import { begin } from "../begin/begin.server";
import { noSize } from "../begin/batchSize";
import { storedBatch, viewBatch } from "../batch/stored.server";
import { takeEntries } from "../queue/takeEntries.server";
import { batchesCsv } from "../record/batchesCsv.server";
import { costsCsv } from "./costsCsv.server";
import { keepWish, openCost } from "./cost.server";
import { readWish } from "./wish.server";

onFreshDatabase({ demo: "once" });

const id = crypto.randomUUID();
const formulaId = demoFormulas.find(({ name }) => name === "Green Room body wash")?.id ?? "";
const at = () => new Date().toISOString();
const head = () => ({ id: crypto.randomUUID(), at: at() });
const typed = { label: "0,10", margin: "40", tax: "20 %", shop: "5" };

describe("what a batch cost", () => {
  beforeAll(async () => {
    // The lots that the sheet or the shelf offers first.
    const form = { id, grams: "300", size: noSize, seen: ["clean", "wear", "meter"], lots: {}, tares: {}, another: [] };
    expect(await begin({ formulaId, number: 1 }, form)).toEqual([]);
    const { view } = await viewBatch(id);
    const weighed = view.steps.flatMap(({ step }) =>
      // What is dosed by readings was held back.
      step.tunes === undefined
        ? step.lines.map((line): BatchEntry => {
            const grams = view.lines.find((one) => one.line === line)?.targetGrams ?? 0;
            return { ...head(), kind: "weighed", step: step.id, line, grams };
          })
        : [],
    );
    const through = view.steps.map(({ step }): BatchEntry => ({ ...head(), kind: "skipped", step: step.id, reason: "made elsewhere" }));
    const bottle = (await listContainers(database(), currentMakerId())).find(({ name }) => name === "Flip-top, guests");
    const row = {
      id: "bottles",
      container: bottle?.id ?? null,
      name: "Flip-top, guests",
      type: "bottle",
      count: 5,
      grams: 50,
      tareGrams: null,
    } as const;
    const filled = [1, 2, 3, 4, 5].map((number): BatchEntry => ({
      ...head(),
      kind: "container-filled",
      row: "bottles",
      number,
      grams: 50,
    }));
    const { refused } = await takeEntries(
      id,
      [
        ...weighed,
        ...through,
        { ...head(), kind: "finished", yieldGrams: 290 },
        { ...head(), kind: "fill-planned", filling: [{ ...row, use: "use" }], density: { gramsPerMl: 1.02, source: "estimate" } },
        ...filled,
      ],
      0,
    );
    expect(refused).toEqual([]);
  });

  it("is what its lots cost, shared over what was filled; what has no price is named, and water is not", async () => {
    const { cost, layers } = await openCost(id);
    const { lots } = await storedBatch(id);
    expect(lots.length).toBeGreaterThan(0);
    const priced = cost.materials.filter(({ cost: of }) => of !== null);
    const sum = priced.reduce((total, { grams, price, packGrams }) => total + (grams * (price ?? 0)) / packGrams, 0);
    expect(cost.materialsTotal).toBeCloseTo(sum, 9);
    expect(cost.materialsTotal).toBeGreaterThan(0);
    expect(cost.per100Grams).toBeCloseTo((100 * sum) / 250, 9);
    expect(cost.containersTotal).toBeCloseTo(5 * 0.38, 9);
    expect(cost.unpriced).not.toContain("Distilled or deionised water");
    expect(layers.reduce((total, layer) => total + layer.cost, 0)).toBeCloseTo(cost.kinds[0]?.each ?? 0, 9);
  });

  it("keeps the wish of its formula, a comma and a sign of percent and all, and makes the price of it", async () => {
    const before = (await openCost(id)).cost.kinds[0]?.each ?? 0;
    expect(await keepWish(id, typed)).toEqual([]);
    const { cost, typed: kept } = await openCost(id);
    expect(kept).toEqual({ label: "0.1", margin: "40", tax: "20", shop: "5" });
    expect(cost.kinds[0]?.each).toBeCloseTo(before + 0.1, 9);
    expect(cost.kinds[0]?.priceWithTax).toBeCloseTo(((before + 0.1) / 0.6) * 1.2, 9);
  });

  it("where no shop's price is kept the product it is to come close to stands in", async () => {
    const db = database();
    await saveProduct(db, currentMakerId(), {
      ...{
        id: crypto.randomUUID(),
        name: "The one of the guests",
        known: { pins: {}, onePercentAfter: null },
        price: 4,
        contentGrams: 200,
      },
    });
    await db.execute(
      sql`update batches set formula = jsonb_set(formula, '{aim}', '{"closeTo": "The one of the guests"}') where id = ${id}`,
    );
    expect((await openCost(id)).product).toBeNull();
    await keepWish(id, { ...typed, shop: "" });
    const { product, cost } = await openCost(id);
    expect(product).toMatchObject({ name: "The one of the guests", per100Grams: 2 });
    const [one] = cost.kinds;
    expect(one?.ofShop).toBeCloseTo((100 * (one?.priceWithTax ?? 0)) / 50 / 2, 9);
    await keepWish(id, typed);
  });

  it("stands with all others in a table, and the batches in one of theirs, units in their heads", async () => {
    const lines = (await (await costsCsv()).text()).trimEnd().split("\r\n");
    expect(lines[0]).toContain('"materials, €"');
    expect(lines).toHaveLength(2);
    const { code, cost } = await openCost(id);
    expect(lines[1]).toContain(`${code},`);
    expect(lines[1]).toContain(String(Math.round(cost.materialsTotal * 10_000) / 10_000));
    const batches = (await (await batchesCsv()).text()).trimEnd().split("\r\n");
    expect(batches[0]).toBe('batch,formula,version,"size, g","yield, g","yield, %",begun,finished');
    expect(batches[1]).toMatch(new RegExp(`^${code},Green Room body wash,1,300,290,96.7,`));
  });

  it("is told also when its formula was deleted, with what was settled last for another; nothing is kept for it", async () => {
    await deleteFormula(database(), currentMakerId(), formulaId);
    const { isKept, cost, beside } = await openCost(id);
    expect([isKept, beside]).toEqual([false, []]);
    expect(cost.materialsTotal).toBeGreaterThan(0);
    expect((await keepWish(id, typed)).map(({ message }) => message)).toEqual([expect.stringContaining("was deleted")]);
  });

  it.each([
    ["a currency mixed in", { ...typed, label: "0.10 €" }, "label"],
    ["all of the price", { ...typed, margin: "100" }, "margin"],
    ["less than nothing", { ...typed, shop: "-1" }, "shop"],
    ["a tax of words", { ...typed, tax: "some" }, "tax"],
  ])("%s is told at its field", (_, wish, field) => {
    expect(readWish(wish).problems.map((problem) => problem.field)).toEqual([field]);
  });
});
