import { describe, expect, it } from "vitest";
import { done, entry, weighed } from "../../testing/batchEntries.ts";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import { whyNot } from "../batch/admit.ts";
import { batchState } from "../batch/batchState.ts";
import { planBatch } from "../batch/planBatch.ts";
import { hydrating } from "./hydrating.ts";
import { polymerTunings } from "./polymerTuning.ts";

const plan = planBatch(
  sheetOf([
    ["water-distilled", "q.s."],
    ["sles-2eo-28", 30],
    ["cocamidopropyl-betaine", 15],
    ["xanthan-gum", 0.5],
    ["glycerin", 5],
    ["peg-150-pentaerythrityl-tetrastearate-blend", 1],
  ]),
  400,
  library,
);
const stepId = plan.steps.find(({ tunes }) => tunes === "polymer")?.id ?? "";
const folded = (grams: number) => entry({ kind: "thickened", step: stepId, line: "peg-150-pentaerythrityl-tetrastearate-blend", grams });

describe("a late thickener by small steps", () => {
  it("a quarter of a percent at a time, 1 g of 400 g, up to the 4 g that were planned", () => {
    const at = (grams: readonly number[]) => polymerTunings(plan, batchState(plan, grams.map(folded)), stepId)[0];
    expect(at([])).toMatchObject({ plannedGrams: 4, addedGrams: 0, nextGrams: 1, lastAt: null });
    expect(at([1, 1])).toMatchObject({ addedGrams: 2, nextGrams: 1 });
    expect(at([1, 1, 1, 0.4])?.nextGrams).toBeCloseTo(0.6, 9);
    expect(at([1, 1, 1, 1])?.nextGrams).toBe(0);
  });

  it("each part is looked at after half an hour, and the whole rests until next morning", () => {
    const state = batchState(plan, [folded(1), done(stepId)]);
    expect(state.waits.map(({ until }) => until)).toEqual(["2026-11-26T10:30:00.000Z", "2026-11-26T20:00:00.000Z"]);
    expect(state.lines.get("peg-150-pentaerythrityl-tetrastearate-blend")?.actualGrams).toBe(1);
  });

  it.each([
    [folded(0), "more than 0 g"],
    [{ ...folded(1), line: "glycerin" }, "No thickener is folded in here"],
    [{ ...folded(1), step: "ph" }, "No thickener is folded in here"],
    [weighed("peg-150-pentaerythrityl-tetrastearate-blend", 4, stepId), "dosed by readings"],
  ])("%j cannot be", (one, words) => {
    expect(whyNot(plan, [], one as typeof one & { kind: "thickened" })).toContain(words);
  });
});

describe("what has not come to its thickness", () => {
  const at = (now: string, entries = [weighed("xanthan-gum", 2)]) => hydrating(plan, batchState(plan, entries), now);

  it("a gum of ten o'clock is looked at from 10:20 and judged from ten the next day", () => {
    expect(at("2026-11-26T11:00:00.000Z")).toMatchObject([
      { kind: "gum", firstLook: "2026-11-26T10:20:00.000Z", judgeFrom: "2026-11-27T10:00:00.000Z" },
    ]);
    expect(at("2026-11-27T10:00:00.000Z")).toEqual([]);
  });

  it("what is not in yet does not count, and the longest comes first", () => {
    expect(at("2026-11-26T11:00:00.000Z", [])).toEqual([]);
    const both = at("2026-11-26T11:00:00.000Z", [folded(1), weighed("xanthan-gum", 2)]);
    expect(both.map(({ kind }) => kind)).toEqual(["gum", "associative"]);
  });
});
