import { describe, expect, it } from "vitest";
import { entry, weighed } from "../../testing/batchEntries.ts";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import { agentsOf, type BenchAgent } from "../tuning/agents.ts";
import type { BatchEntry } from "./entries.ts";
import { batchResult } from "./batchResult.ts";
import { doneFormula } from "./doneFormula.ts";
import { planBatch } from "./planBatch.ts";

// 500 g: 150 g betaine, 5 g benzoate, 345 g water
const plan = planBatch(
  sheetOf([
    ["water-distilled", "q.s."],
    ["cocamidopropyl-betaine", 30],
    ["sodium-benzoate", 1],
  ]),
  500,
  library,
);
const citric = agentsOf(plan).find(({ name }) => name === "citric acid 20 %") as BenchAgent;
const all = [weighed("water-distilled", 345), weighed("cocamidopropyl-betaine", 160), weighed("sodium-benzoate", 5)];
const acid = (grams: number) => entry({ kind: "dosed", step: "ph", agent: citric, grams });
const share = (entries: Parameters<typeof doneFormula>[1], material: string) =>
  doneFormula(plan, entries).lines.find((line) => line.material === material)?.percent;

describe("the next formula from what was done", () => {
  it("160 g of betaine in 514 g are 31.128 %, 4 g of 20 % acid 0.156 % of the powder, and its water is in the q.s. line", () => {
    const entries = [...all, acid(4)];
    const { lines, batchGrams } = doneFormula(plan, entries);
    expect(share(entries, "cocamidopropyl-betaine")).toBe(31.128);
    // 4 g × 20 ⁄ 99.5 = 0.804 g of 514 g
    expect(share(entries, "citric-acid-anhydrous")).toBe(0.156);
    expect(lines.filter(({ qs }) => qs === true).map(({ material }) => material)).toEqual(["water-distilled"]);
    expect(lines.map(({ material }) => material)).toEqual([
      "water-distilled",
      "cocamidopropyl-betaine",
      "sodium-benzoate",
      "citric-acid-anhydrous",
    ]);
    expect(batchGrams).toBe(500);
  });

  it("what is a line already grows: 2 g of salt beside a salt line of 5 g are one line of 7 g", () => {
    const own = planBatch(
      sheetOf([
        ["water-distilled", "q.s."],
        ["cocamidopropyl-betaine", 30],
        ["sodium-chloride", 1],
      ]),
      500,
      library,
    );
    const dry = entry({ kind: "salted", step: "salt", salt: { name: "dry salt", line: null, strengthPercent: 99.5 }, grams: 2 });
    const ownSalt = entry({
      kind: "salted",
      step: "salt",
      salt: { name: "salt", line: "sodium-chloride", strengthPercent: 99.5 },
      grams: 5,
    });
    const entries = [weighed("water-distilled", 345), weighed("cocamidopropyl-betaine", 150), ownSalt, dry];
    const salts = doneFormula(own, entries).lines.filter(({ material }) => material === "sodium-chloride");
    expect(salts.map(({ percent }) => percent)).toEqual([Math.round(((100 * 7) / 502) * 1000) / 1000]);
  });

  it("keeps its parts with what went into them: 1.2 g of 1 g planned in a half of 500 g are 0.48 %", () => {
    const halves = planBatch(
      {
        ...plan.formula,
        splits: [{ name: "gold", sharePercent: 50, lines: [{ id: "mica", phase: "A", material: "mica", percent: 0.4 }] }],
      },
      500,
      library,
    );
    const entries = [
      weighed("water-distilled", 344),
      weighed("cocamidopropyl-betaine", 150),
      weighed("sodium-benzoate", 5),
      weighed("mica", 1.2),
    ];
    const [gold] = doneFormula(halves, entries).splits ?? [];
    expect(gold).toMatchObject({ name: "gold", sharePercent: 50 });
    expect(gold?.lines[0]?.percent).toBeCloseTo((100 * 1.2) / 250.1, 2);
  });

  it("carries the last pH that was read, not one taken back", () => {
    const read = (ph: number) => entry({ kind: "ph-read", step: "ph", ph, way: "dilution", sampleGrams: 2 });
    const [first, second] = [read(6.4), read(5.3)];
    expect(doneFormula(plan, [...all, first, acid(4), second]).measured?.ph).toBe(5.3);
    expect(doneFormula(plan, [...all, first, second, entry({ kind: "taken-back", entry: second.id })]).measured?.ph).toBe(6.4);
    expect(doneFormula(plan, all).measured).toBeUndefined();
  });

  it("a line nothing went in of is not in it, and comes back with the acid that was dosed instead", () => {
    const own = planBatch(
      sheetOf([
        ["water-distilled", "q.s."],
        ["cocamidopropyl-betaine", 30],
        ["citric-acid-solution-50", 0.4],
      ]),
      500,
      library,
    );
    const step = own.steps.find(({ tunes }) => tunes === "ph")?.id ?? "";
    const entries = [weighed("water-distilled", 348), weighed("cocamidopropyl-betaine", 150), acid(4), entry({ kind: "done", step })];
    const materials = doneFormula(own, entries).lines.map(({ material }) => material);
    expect(materials).toEqual(["water-distilled", "cocamidopropyl-betaine", "citric-acid-anhydrous"]);
  });

  it("as planned and without doses it is the formula again", () => {
    const asPlanned = [weighed("water-distilled", 345), weighed("cocamidopropyl-betaine", 150), weighed("sodium-benzoate", 5)];
    expect(doneFormula(plan, asPlanned).lines.map(({ percent, qs }) => percent ?? qs)).toEqual([true, 30, 1]);
  });
});

describe("what came of a batch", () => {
  it("tells pH, thickness, notes and yield; nothing where nothing was read", () => {
    const thick = entry({ kind: "thickness-read", step: "salt", viscosity: 3.2, unit: "Pa·s", said: "" });
    const noted = entry({ kind: "noted", step: null, text: "a little hazy" });
    const { ph, thickness, account, notes } = batchResult(plan, [...all, thick, noted, entry({ kind: "finished", yieldGrams: 490 })]);
    expect([ph, thickness?.viscosity, notes]).toEqual([null, 3.2, ["a little hazy"]]);
    expect(account.yieldPercent).toBeCloseTo((100 * 490) / 510, 9);
    expect(batchResult(plan, []).thickness).toBeNull();
  });

  it("tells how clear it looked last, and not what it was before an addition", () => {
    const looked = (when: "now" | "before", clarity: "clear" | "hazy" | "") =>
      entry({ kind: "looked", step: null, when, thickness: "", clarity, words: [], text: "" });
    const clarityOf = (...looks: readonly BatchEntry[]) => batchResult(plan, [...all, ...looks]).clarity;
    expect(clarityOf(looked("now", "hazy"), looked("now", "clear"), looked("now", ""))).toBe("clear");
    expect(clarityOf(looked("before", "hazy"))).toBeNull();
  });
});
