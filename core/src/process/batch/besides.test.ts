import { describe, expect, it } from "vitest";
import { entry, weighed } from "../../testing/batchEntries.ts";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import { agentsOf, type BenchAgent } from "../tuning/agents.ts";
import { dilutedTenfold } from "../tuning/sampleAside.ts";
import { sumsAsMade } from "./asMade.ts";
import { batchState } from "./batchState.ts";
import type { BatchPlan } from "./batchPlan.ts";
import { besidesOf } from "./besides.ts";
import type { BatchEntry } from "./entries.ts";
import { lotsDosed } from "./lotsDosed.ts";
import { massAccount } from "./massAccount.ts";
import { planBatch } from "./planBatch.ts";

// 500 g: 150 g of betaine at 30 %, 5 g benzoate at 1 %, 345 g water
const wash = sheetOf([
  ["water-distilled", "q.s."],
  ["cocamidopropyl-betaine", 30],
  ["sodium-benzoate", 1],
]);
const plan: BatchPlan = planBatch(wash, 500, library);
const all = [weighed("water-distilled", 345), weighed("cocamidopropyl-betaine", 150), weighed("sodium-benzoate", 5)];
const agentNamed = (name: string, of = plan) => agentsOf(of).find((one) => one.name === name) as BenchAgent;
const dosed = (agent: BenchAgent, grams: number) => entry({ kind: "dosed", step: "ph", agent, grams });
const citric = agentNamed("citric acid 20 %");
const account = (entries: readonly BatchEntry[], of = plan) => massAccount(of, batchState(of, entries));
const sum = (id: string, entries: readonly BatchEntry[], of = plan) =>
  sumsAsMade(of, batchState(of, entries)).find((one) => one.id === id)?.made;

describe("what went in beside the lines", () => {
  it("1.36 and 2.53 g of 20 % citric acid in 500 g are one row of 3.89 g; 488 g of yield are 96.85 % of 503.89 g", () => {
    const entries = [...all, dosed(citric, 1.36), dosed(citric, 2.53), entry({ kind: "finished", yieldGrams: 488 })];
    const { besides, inGrams, yieldPercent, lossGrams } = account(entries);
    expect(besides.map(({ name, grams }) => [name, Number(grams.toFixed(2))])).toEqual([["citric acid 20 %", 3.89]]);
    expect(inGrams).toBeCloseTo(503.89, 9);
    expect(yieldPercent).toBeCloseTo(96.847, 3);
    expect(lossGrams).toBeCloseTo(15.89, 9);
  });

  it("thins the active matter and the preservative: 9 % of 500 g are 8.93 % of 503.89 g, 1 % of benzoate 0.992 %", () => {
    const entries = [...all, dosed(citric, 3.89)];
    const active = sum("active", all) ?? 0;
    expect(sum("active", entries)).toBeCloseTo((active * 500) / 503.89, 9);
    expect(sum("sodium-benzoate", entries)).toBeCloseTo((100 * 5) / 503.89, 9);
    expect(sum("batch", entries)).toBeCloseTo(503.89, 9);
  });

  it("3 g of dry salt that is no line raise the salt by 3 g × 99.5 % of 503 g", () => {
    const salted = entry({ kind: "salted", step: "salt", salt: { name: "dry salt", line: null, strengthPercent: 99.5 }, grams: 3 });
    const before = sum("salt", all) ?? 0;
    expect(sum("salt", [...all, salted])).toBeCloseTo((before * 500 + 100 * 3 * 0.995) / 503, 6);
  });

  it("of a brine of the formula's own salt its water counts beside: 10 g at 20 % of a 99.5 % salt bring 7.99 g", () => {
    const own = planBatch(
      sheetOf([
        ["water-distilled", "q.s."],
        ["cocamidopropyl-betaine", 30],
        ["sodium-chloride", 1],
      ]),
      500,
      library,
    );
    const brine = entry({
      kind: "salted",
      step: "salt",
      salt: { name: "brine 20 %", line: "sodium-chloride", strengthPercent: 20 },
      grams: 10,
    });
    const entries = [weighed("water-distilled", 345), weighed("cocamidopropyl-betaine", 150), brine];
    expect(besidesOf(own, batchState(own, entries).standing)).toEqual([
      {
        name: "water of the brine",
        grams: expect.closeTo(10 * (1 - 20 / 99.5), 9) as number,
        parts: [{ material: "water-distilled", percent: 100 }],
        lot: null,
      },
    ]);
    expect(account(entries, own).inGrams).toBeCloseTo(505, 9);
  });

  it("a dose that was taken back is not there, and a recorded agent without parts still has its mass", () => {
    const dose = dosed(citric, 2);
    expect(account([...all, dose, entry({ kind: "taken-back", entry: dose.id })]).inGrams).toBeCloseTo(500, 9);
    const { parts: _parts, ...old } = { ...citric, name: "lactic acid of the neighbour", strengthPercent: 80 };
    expect(account([...all, dosed(old, 2)]).inGrams).toBeCloseTo(502, 9);
    expect(sum("batch", [...all, dosed(old, 2)])).toBeCloseTo(502, 9);
  });

  it("names what readings and a sample that was spilled took, so that in = yield + samples + loss", () => {
    const thin = dilutedTenfold(citric);
    const entries = [
      ...all,
      entry({ kind: "ph-read", step: "ph", ph: 7, way: "dilution", sampleGrams: 2 }),
      entry({ kind: "sample-taken", step: "ph", grams: 40 }),
      entry({ kind: "sample-dosed", step: "ph", agent: thin, grams: 4 }),
      // 44 g less 2 g read are 42; 21 of them come back, and with them 2 g of what was dosed.
      entry({ kind: "sample-read", step: "ph", ph: 5.5, way: "dilution", sampleGrams: 2 }),
      entry({ kind: "sample-back", step: "ph", grams: 21 }),
      entry({ kind: "finished", yieldGrams: 470 }),
    ];
    const { inGrams, samplesGrams, lossGrams, yieldGrams } = account(entries);
    expect(inGrams).toBeCloseTo(502, 9);
    expect(samplesGrams).toBeCloseTo(2 + 40 + 2 - 21, 9);
    expect(inGrams).toBeCloseTo((yieldGrams ?? 0) + samplesGrams + (lossGrams ?? 0), 9);
  });
});

describe("acids and bases of the shelf", () => {
  const lot = { id: "lot-1", code: "L-7" };
  const withShelf: BatchPlan = { ...plan, shelf: [{ material: "lactic-acid", lot, leftGrams: 5 }] };
  const lactic = agentNamed("lactic acid 88 %, lot L-7", withShelf);

  it("hold what their lot held less what was dosed from it, also into a sample; a tenth of a thinned solution is solution", () => {
    const two = dosed(lactic, 2);
    const thin = entry({ kind: "sample-dosed", step: "ph", agent: dilutedTenfold(lactic), grams: 10 });
    const left = (...entries: readonly BatchEntry[]) => agentsOf(withShelf, entries).find(({ name }) => name === lactic.name)?.leftGrams;
    expect(left()).toBe(5);
    expect(left(two)).toBe(3);
    expect(left(two, thin)).toBeCloseTo(2, 9);
    expect(left(two, two, two)).toBe(0);
  });

  it("stand between the formula's own and the usual ones, with the lot they come from", () => {
    expect(lactic).toMatchObject({
      line: null,
      kind: "acid",
      strengthPercent: 88,
      lot,
      parts: [{ material: "lactic-acid", percent: 100 }],
    });
    expect(agentsOf(withShelf).map(({ name }) => name)[0]).toBe("lactic acid 88 %, lot L-7");
    expect(agentsOf({ ...withShelf, materials: new Map() }).some((one) => one.lot !== undefined)).toBe(false);
  });

  it("what was dosed leaves the lot, also into a sample that was poured away: 2 g and a tenth of 5 g", () => {
    const entries = [
      dosed(lactic, 2),
      entry({ kind: "sample-taken", step: "ph", grams: 40 }),
      entry({ kind: "sample-dosed", step: "ph", agent: dilutedTenfold(lactic), grams: 5 }),
      entry({ kind: "sample-lost", step: "ph", reason: "fell over" }),
    ];
    expect(lotsDosed(withShelf, entries).byLot.get("lot-1")).toBeCloseTo(2.5, 9);
    expect(besidesOf(withShelf, entries).map(({ grams }) => grams)).toEqual([2]);
  });

  it("of a line's own acid the part that was lost with a sample is told by its line", () => {
    const own = planBatch(
      sheetOf([
        ["water-distilled", "q.s."],
        ["cocamidopropyl-betaine", 30],
        ["citric-acid-solution-50", 1],
      ]),
      500,
      library,
    );
    const agent = agentsOf(own).find(({ line }) => line === "citric-acid-solution-50") as BenchAgent;
    const lost = [
      entry({ kind: "sample-taken", step: "ph", grams: 40 }),
      entry({ kind: "sample-dosed", step: "ph", agent: dilutedTenfold(agent), grams: 5 }),
      entry({ kind: "sample-lost", step: "ph", reason: "fell over" }),
    ];
    expect(lotsDosed(own, lost).lostByLine.get("citric-acid-solution-50")).toBeCloseTo(0.5, 9);
  });
});
