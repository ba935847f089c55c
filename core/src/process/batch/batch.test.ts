import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import { entry, weighed } from "../../testing/batchEntries.ts";
import { stepsOf } from "../stepsOf.ts";
import { batchState, standingEntries } from "./batchState.ts";
import type { BatchEntry } from "./entries.ts";
import { nextStep } from "./nextStep.ts";
import { planBatch } from "./planBatch.ts";
import { preflight, type LotForBatch } from "./preflight.ts";

const formula = sheetOf([
  ["water-distilled", "q.s."],
  ["cocamidopropyl-betaine", 20],
  ["coco-glucoside", 10],
  ["citric-acid-anhydrous", 0.2],
]);
const plan = planBatch(formula, 500, library);

const NOW = "2026-11-26T10:00:30.000Z";
const lineOf = (entries: readonly BatchEntry[], line: string) => batchState(plan, entries).lines.get(line);

describe("a batch as planned", () => {
  it("500 g with 20 % betaine and 10 % glucoside weigh 100 and 50 g, and it begins with the first step", () => {
    expect(plan.targets.get("cocamidopropyl-betaine")).toBe(100);
    expect(plan.targets.get("coco-glucoside")).toBe(50);
    const state = batchState(plan, []);
    expect(nextStep(state, NOW).step?.id).toBe("prepare");
    expect(state.steps.every(({ state: of }) => of === "open")).toBe(true);
    expect(state.finished).toBeNull();
  });

  it("the targets come to the batch", () => {
    expect([...plan.targets.values()].reduce((sum, grams) => sum + grams, 0)).toBeCloseTo(500, 9);
  });
});

describe("entries", () => {
  it("steps are through when done or skipped, in whatever order `after` allows", () => {
    const state = batchState(plan, [
      entry({ kind: "done", step: "prepare" }),
      entry({ kind: "skipped", step: plan.steps[1]?.id ?? "", reason: "did it yesterday" }),
    ]);
    expect(state.steps.slice(0, 2)).toMatchObject([
      { state: "done", reason: null },
      { state: "skipped", reason: "did it yesterday" },
    ]);
    expect(nextStep(state, NOW).step?.id).toBe(plan.steps[2]?.id);
  });

  it("one that came twice counts once; one taken back counts as never made, until that is taken back too", () => {
    const done = entry({ kind: "done", step: "prepare" });
    const back = entry({ kind: "taken-back", entry: done.id });
    const again = entry({ kind: "taken-back", entry: back.id });
    expect(batchState(plan, [done, done]).standing).toHaveLength(1);
    expect(nextStep(batchState(plan, [done, back]), NOW).step?.id).toBe("prepare");
    expect(nextStep(batchState(plan, [done, back, again]), NOW).step?.id).not.toBe("prepare");
  });

  it("102 g of 100 g is the last that does not ask, 102.1 g asks until it is answered", () => {
    expect(lineOf([weighed("cocamidopropyl-betaine", 102)], "cocamidopropyl-betaine")?.asks).toBe(false);
    const off = weighed("cocamidopropyl-betaine", 102.1);
    expect(lineOf([off], "cocamidopropyl-betaine")).toMatchObject({ asks: true, actualGrams: 102.1, deviation: { asks: true } });
    expect(lineOf([off, entry({ kind: "accepted", line: "cocamidopropyl-betaine" })], "cocamidopropyl-betaine")?.asks).toBe(false);
  });

  it("a minor line may be 5 % off: 1.05 g of 1 g does not ask, 1.06 g does", () => {
    expect(lineOf([weighed("citric-acid-anhydrous", 1.05)], "citric-acid-anhydrous")?.asks).toBe(false);
    expect(lineOf([weighed("citric-acid-anhydrous", 1.06)], "citric-acid-anhydrous")?.asks).toBe(true);
  });

  it("corrected, the lines still to come follow: 110 g betaine make 55 g glucoside of 50, and what is weighed stays", () => {
    const entries = [
      weighed("coco-glucoside", 50),
      weighed("cocamidopropyl-betaine", 110),
      entry({ kind: "corrected", line: "cocamidopropyl-betaine" }),
    ];
    expect(lineOf(entries, "coco-glucoside")).toMatchObject({ targetGrams: 50, asks: false });
    expect(lineOf(entries, "citric-acid-anhydrous")?.targetGrams).toBe(1.1);
    expect(lineOf([...entries, weighed("citric-acid-anhydrous", 1.1)], "citric-acid-anhydrous")?.asks).toBe(false);
  });

  it("weighed again, the later weight counts and asks anew", () => {
    const entries = [weighed("coco-glucoside", 60), entry({ kind: "accepted", line: "coco-glucoside" }), weighed("coco-glucoside", 58)];
    expect(lineOf(entries, "coco-glucoside")).toMatchObject({ actualGrams: 58, asks: true });
  });

  it("tares, notes and the yield are kept", () => {
    const state = batchState(plan, [
      entry({ kind: "tared", vessel: "main", grams: 210.5 }),
      entry({ kind: "noted", step: null, text: "power cut" }),
      entry({ kind: "finished", yieldGrams: 488 }),
    ]);
    expect(state.tares.get("main")).toBe(210.5);
    expect(state.standing).toMatchObject([{ kind: "tared" }, { text: "power cut" }, { kind: "finished" }]);
    expect(state.finished?.yieldGrams).toBe(488);
  });

  it("sending any part of them again changes nothing", () => {
    const kinds = fc.constantFrom("done", "skipped", "noted");
    const some = fc.array(fc.tuple(kinds, fc.nat(plan.steps.length - 1)), { maxLength: 12 });
    fc.assert(
      fc.property(some, fc.nat(12), (drawn, from) => {
        const entries = drawn.map(([kind, at], place): BatchEntry => {
          const step = plan.steps[at]?.id ?? "";
          const head = { id: `p${place}`, at: "2026-11-26T10:00:00Z" };
          if (kind === "noted") return { ...head, kind, step, text: "x" };
          return kind === "done" ? { ...head, kind, step } : { ...head, kind: "skipped", step, reason: "x" };
        });
        expect(standingEntries([...entries, ...entries.slice(from)])).toEqual(standingEntries(entries));
      }),
    );
  });
});

describe("before the first weight", () => {
  const { vessels } = stepsOf(formula, library);
  const lot = (changes: Partial<LotForBatch> = {}): LotForBatch => ({
    line: "coco-glucoside",
    code: "CG-1",
    wantedGrams: 50,
    freeGrams: 50,
    endsOn: null,
    onHold: "",
    ...changes,
  });
  const stops = (lots: readonly LotForBatch[], tares = new Map<string, number>()) =>
    preflight({ plan, vessels, lots, tares, today: "2026-11-26", writtenDay: (iso) => `day ${iso}` })
      .filter(({ state }) => state === "stop")
      .map(({ id }) => id);

  it("asks what only the maker can see to: clean, protected, meter", () => {
    const items = preflight({ plan, vessels, lots: [], tares: new Map(), today: "2026-11-26", writtenDay: (iso) => `day ${iso}` });
    expect(items.filter(({ state }) => state === "ask").map(({ id }) => id)).toEqual(["clean", "wear", "meter"]);
    expect(items.find(({ id }) => id === "wear")?.what).toContain("goggles");
  });

  it("just enough is enough, a gram too little stops", () => {
    expect(stops([lot()])).toEqual([]);
    expect(stops([lot({ wantedGrams: 51 })])).toEqual(["enough CG-1"]);
  });

  it("a lot may be used on its last day, not after", () => {
    expect(stops([lot({ endsOn: "2026-11-26" })])).toEqual([]);
    expect(stops([lot({ endsOn: "2026-11-25" })])).toEqual(["ended CG-1"]);
    expect(stops([lot({ onHold: "smells of paint" })])).toEqual(["hold CG-1 coco-glucoside"]);
    const today = { today: "2026-11-26", writtenDay: (iso: string) => `day ${iso}` };
    const items = preflight({ plan, vessels, lots: [lot({ endsOn: "2026-11-25" })], tares: new Map(), ...today });
    expect(items.find(({ id }) => id === "ended CG-1")?.what).toContain("expired on day 2026-11-25.");
  });

  it("what is poured into a beaker counts as what is weighed into it: 1,740 g of cleansers poured into 1,160 g of water", () => {
    const heavy = planBatch(
      sheetOf([
        ["water-distilled", "q.s."],
        ["coco-glucoside", 30],
        ["cocamidopropyl-betaine", 30],
      ]),
      2_900,
      library,
    );
    const items = preflight({
      plan: heavy,
      vessels,
      lots: [],
      tares: new Map([["main", 200]]),
      today: "2026-11-26",
      writtenDay: (iso) => `day ${iso}`,
    });
    expect(items.filter(({ state }) => state === "stop").map(({ id }) => id)).toEqual(["capacity main"]);
  });

  it("beaker and content must not be more than the strongest scale carries", () => {
    expect(stops([], new Map([["main", 100]]))).toEqual([]);
    expect(stops([], new Map([["main", 2990]]))).toEqual(["capacity main"]);
  });
});
