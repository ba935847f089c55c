import { describe, expect, it } from "vitest";
import type { Formula } from "../../formula/types.ts";
import { done, entry, weighed } from "../../testing/batchEntries.ts";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import { whyNot } from "./admit.ts";
import { sumsAsMade } from "./asMade.ts";
import { batchState } from "./batchState.ts";
import { contentsOf, evaporationAt, partTargetGrams } from "./contents.ts";
import { massAccount } from "./massAccount.ts";
import { planBatch } from "./planBatch.ts";

const cream: Formula = {
  ...sheetOf([]),
  profile: "cream-cleanser",
  phases: [
    { id: "A", temperatureC: 75 },
    { id: "B", temperatureC: 75 },
  ],
  lines: [
    { id: "water", phase: "A", material: "water-distilled", qs: true },
    { id: "glycerin", phase: "A", material: "glycerin", percent: 5 },
    { id: "alcohol", phase: "B", material: "cetearyl-alcohol", percent: 5 },
    { id: "oil", phase: "B", material: "caprylic-capric-triglyceride", percent: 15 },
  ],
};
const plan = planBatch(cream, 400, library);
const step = (measures: string) => plan.steps.find((one) => one.measures === measures)?.id ?? "";
const evaporation = (at: string, entries: Parameters<typeof batchState>[1]) => evaporationAt(plan, batchState(plan, entries), at);

describe("what is in the beakers", () => {
  it("adds up step by step: 320 g in the main beaker, 80 g of fats, 400 g once they are joined", () => {
    const contents = contentsOf(plan, batchState(plan, []));
    expect(contents.get(step("before-heating"))).toBeCloseTo(320, 9);
    expect(contents.get("heat-fats")).toBeCloseTo(80, 9);
    expect(contents.get("fats-and-water")).toBeCloseTo(400, 9);
  });

  it("counts what was weighed, not what was to be: 64 g oil for 60 make 404", () => {
    expect(contentsOf(plan, batchState(plan, [weighed("oil", 64)])).get("fats-and-water")).toBeCloseTo(404, 9);
  });
});

describe("water that was put back", () => {
  const heated = [
    weighed("water", 300),
    entry({ kind: "measured", step: "heat-water", grams: 620 }),
    entry({ kind: "measured", step: "top-up-water", grams: 612 }),
  ];
  const account = (grams: number, entries = heated) =>
    massAccount(plan, batchState(plan, [...entries, entry({ kind: "topped-up", step: "top-up-water", grams })]));

  it("as much as steamed off is none of what went in; 3 g more are water that came in beside the lines", () => {
    expect(account(8)).toMatchObject({ inGrams: 300, besides: [], putBackGrams: 8 });
    expect(account(11)).toMatchObject({ inGrams: 303, putBackGrams: 11 });
    expect(account(11).besides).toMatchObject([{ name: "water beyond the steam", grams: 3 }]);
    expect(account(6)).toMatchObject({ inGrams: 300, besides: [], putBackGrams: 6 });
  });

  it("where nobody weighed what steamed off it stands for the steam", () => {
    expect(account(11, heated.slice(0, 1))).toMatchObject({ inGrams: 300, besides: [] });
  });

  it("is entered once, where it was heated, and more than 0 g", () => {
    const why = (grams: number, step: string, entries = heated) => whyNot(plan, entries, entry({ kind: "topped-up", step, grams }));
    expect(why(8, "top-up-water")).toBeNull();
    expect(why(0, "top-up-water")).toContain("more than 0 g");
    expect(why(8, "fats-and-water")).toContain("No water is put back");
    expect(why(8, "top-up-water", [...heated, entry({ kind: "topped-up", step: "top-up-water", grams: 8 })])).toContain("already");
  });
});

describe("what steamed off", () => {
  const before = (step: string, grams: number) => entry({ kind: "measured", step, grams });

  it("of the water beaker alone before the fats come in: 620 g before, 612 g after want 8 g of hot water", () => {
    expect(evaporation("top-up-water", [before("heat-water", 620)])).toEqual({ expectedGrams: 620, topUpGrams: null });
    const made = evaporation("top-up-water", [before("heat-water", 620), before("top-up-water", 612)]);
    expect(made?.topUpGrams).toBeCloseTo(8, 9);
  });

  it("of the whole once it is cool, against its weight when fats and water met: what stays in the fat beaker is no steam", () => {
    // 620 g of water beaker and 78 of 80 g of fats that came out of theirs.
    const made = evaporation("top-up", [before("heat-water", 620), before("fats-and-water", 698), before("top-up", 688.5)]);
    expect(made?.expectedGrams).toBeCloseTo(698, 9);
    expect(made?.topUpGrams).toBeCloseTo(9.5, 9);
  });

  it("without a weight before it is the empty beaker with what was weighed in: 290 g and 320 of water, or 400 of all", () => {
    const tared = entry({ kind: "tared", vessel: "main", grams: 290 });
    expect(evaporation("top-up-water", [tared])?.expectedGrams).toBeCloseTo(610, 9);
    expect(evaporation("top-up", [tared])?.expectedGrams).toBeCloseTo(690, 9);
  });

  it("with neither it is not known, and a step that does not weigh after heating has none", () => {
    expect(evaporation("top-up", [])).toBeNull();
    expect(evaporation("prepare", [before("heat-water", 620)])).toBeNull();
  });
});

describe("parts", () => {
  const halves: Formula = {
    ...sheetOf([
      ["water-distilled", "q.s."],
      ["coco-glucoside", 20],
    ]),
    splits: [
      { name: "Lake", sharePercent: 50, lines: [{ id: "scent", phase: "P", material: "glycerin", percent: 1 }] },
      { name: "Plain", sharePercent: 50, lines: [] },
    ],
  };
  const divided = planBatch(halves, 1_000, library);
  const drawing = divided.steps.filter(({ measures }) => measures === "part").map(({ id }) => id);
  const target = (entries: Parameters<typeof batchState>[1], at: number) =>
    partTargetGrams(divided, batchState(divided, entries), drawing[at] ?? "");

  it("of 1,000 g in halves, one with 5 g of its own, 495 and 500 g are drawn", () => {
    expect(target([], 0)).toBeCloseTo(495, 6);
    expect(target([], 1)).toBeCloseTo(500, 6);
    expect(partTargetGrams(divided, batchState(divided, []), "prepare")).toBeNull();
  });

  it("of a base that came out heavier each gets as much more: 210 g glucoside for 200 make 1,005 g of 995", () => {
    expect(target([weighed("coco-glucoside", 210)], 0)).toBeCloseTo((495 * 1_005) / 995, 6);
  });

  it("the lines of a part follow what was drawn for it: 396 g of 495 want 4 g of 5", () => {
    const drawn = entry({ kind: "measured", step: drawing[0] ?? "", grams: 396 });
    const lines = batchState(divided, [drawn]).lines;
    expect(lines.get("scent")?.targetGrams).toBeCloseTo(4, 9);
    expect(lines.get("coco-glucoside")?.targetGrams).toBe(200);
    expect(batchState(divided, [drawn, weighed("scent", 4)]).lines.get("scent")?.asks).toBe(false);
    expect(batchState(divided, [drawn, weighed("scent", 5)]).lines.get("scent")?.asks).toBe(true);
  });

  it("what is drawn leaves the rest in the beaker", () => {
    const contents = contentsOf(divided, batchState(divided, [entry({ kind: "measured", step: drawing[0] ?? "", grams: 495 })]));
    expect(contents.get(drawing[0] ?? "")).toBeCloseTo(495, 6);
    expect(contents.get(drawing[1] ?? "")).toBeCloseTo(500, 6);
  });
});

describe("sums from what was weighed", () => {
  const shampoo = planBatch(
    sheetOf([
      ["water-distilled", "q.s."],
      ["cocamidopropyl-betaine", 20],
      ["phenoxyethanol", 0.9],
    ]),
    500,
    library,
  );
  const sums = (entries: Parameters<typeof batchState>[1]) =>
    new Map(sumsAsMade(shampoo, batchState(shampoo, entries)).map((sum) => [sum.id, sum]));

  it("as planned they are the same", () => {
    for (const { planned, made } of sums([]).values()) expect(made).toBeCloseTo(planned, 9);
  });

  it("150 g betaine for 100 make 550 g with 27.3 % of it: active matter in proportion", () => {
    const made = sums([weighed("cocamidopropyl-betaine", 150)]);
    expect(made.get("batch")?.made).toBeCloseTo(550, 9);
    const active = made.get("active");
    expect((active?.made ?? 0) / (active?.planned ?? 1)).toBeCloseTo(150 / 100 / 1.1, 9);
  });

  it("what was held back in a step that is through does not count: without its 4.5 g the batch is 495.5 g and unpreserved", () => {
    const held = shampoo.steps.find(({ lines }) => lines.includes("phenoxyethanol"))?.id ?? "";
    const made = sums([entry({ kind: "skipped", step: held, reason: "forgotten" })]);
    expect(made.get("batch")?.made).toBeCloseTo(495.5, 9);
    expect(made.get("phenoxyethanol")?.made ?? 0).toBe(0);
  });

  it("a preservative weighed above its dose is said, one at its dose is not", () => {
    expect(sums([]).get("phenoxyethanol")?.outside).toBeNull();
    expect(sums([weighed("phenoxyethanol", 9)]).get("phenoxyethanol")).toMatchObject({ outside: { high: 1 } });
  });
});

it("what is done away from the beakers holds nothing", () => {
  expect(contentsOf(plan, batchState(plan, [done("prepare")])).has("prepare")).toBe(false);
});
