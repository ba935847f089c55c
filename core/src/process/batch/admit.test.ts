import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { done, entry, weighed } from "../../testing/batchEntries.ts";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import { whyNot } from "./admit.ts";
import { batchState } from "./batchState.ts";
import type { BatchEntry } from "./entries.ts";
import { planBatch } from "./planBatch.ts";

const plan = planBatch(
  sheetOf([
    ["water-distilled", "q.s."],
    ["cocamidopropyl-betaine", 20],
  ]),
  500,
  library,
);
const stepOf = (line: string) => plan.steps.find(({ lines }) => lines.includes(line))?.id ?? "";
const [water, betaine] = ["water-distilled", "cocamidopropyl-betaine"];
const weigh = (line: string, grams: number) => weighed(line, grams, stepOf(line));
const why = (entries: readonly BatchEntry[], next: BatchEntry) => whyNot(plan, entries, next);
/** The whole batch, every line at its target, every step done. */
const whole = plan.steps.flatMap(({ id, lines }) => [...lines.map((line) => weigh(line, plan.targets.get(line) ?? 0)), done(id)]);

describe("what may be entered next", () => {
  it("is the whole batch in its order", () => {
    whole.forEach((next, at) => expect(why(whole.slice(0, at), next)).toBeNull());
    expect(why(whole, entry({ kind: "finished", yieldGrams: 480 }))).toBeNull();
  });

  it("containers whole and named, and only where it is filled; the pH and the thickness once more there, but not at the water", () => {
    const filled = (count: number, container: string, step = "fill") => why([], entry({ kind: "filled", step, count, container }));
    expect(filled(2, "pump bottle 250 mL")).toBeNull();
    expect(filled(0, "pump bottle 250 mL")).toContain("whole ones");
    expect(filled(1.5, "pump bottle 250 mL")).toContain("whole ones");
    expect(filled(2, "")).toContain("Say what was filled");
    expect(filled(2, "pump bottle 250 mL", "prepare")).toContain("Nothing is filled");
    const ph = (step: string) => why([], entry({ kind: "ph-read", step, ph: 5.2, way: "dilution", sampleGrams: 2 }));
    const thick = (step: string) => why([], entry({ kind: "thickness-read", step, viscosity: 2, unit: "Pa·s", said: "" }));
    expect([ph("fill"), thick("fill")]).toEqual([null, null]);
    expect([ph("prepare"), thick("prepare")]).toEqual(["No pH is read in this step.", "No thickness is read in this step."]);
  });

  it("a step only once: of two devices that take it the second is told", () => {
    expect(why([done("prepare")], done("prepare"))).toContain("done already");
    expect(why([done("prepare")], entry({ kind: "skipped", step: "prepare", reason: "x" }))).toContain("done already");
    expect(why([], done("no-such-step"))).toBe("This step is not in the batch.");
  });

  it("a line only once, in its own step, and again when its weight was taken back", () => {
    const first = weigh(water, 400);
    expect(why([first], weigh(water, 401))).toContain("weighed already");
    expect(why([first, entry({ kind: "taken-back", entry: first.id })], weigh(water, 401))).toBeNull();
    expect(why([], weighed(water, 400, stepOf(betaine) === stepOf(water) ? "prepare" : stepOf(betaine)))).toContain(
      "not weighed in this step",
    );
  });

  it("no weight below 0 or above the strongest scale; the strongest scale itself may be full", () => {
    expect(why([], weigh(water, -0.1))).toContain("not below 0");
    expect(why([], weigh(water, Number.NaN))).not.toBeNull();
    const most = Math.max(...plan.formula.scales.map(({ capacityGrams }) => capacityGrams));
    expect(why([], weigh(water, most))).toBeNull();
    expect(why([], weigh(water, most + 1))).toContain("more than your strongest scale carries");
    expect(why([], entry({ kind: "tared", vessel: "main", grams: -1 }))).toContain("not below 0");
  });

  it("a step not before all its lines are weighed, what is off is answered, and what comes first is through", () => {
    const step = stepOf(betaine);
    expect(why([done("prepare")], done(step))).toContain("not been weighed yet");
    const before = whole.slice(
      0,
      whole.findIndex((one) => one.kind === "weighed" && one.line === betaine),
    );
    const off = weigh(betaine, 110);
    expect(why([...before, off], done(step))).toContain("weight that is off");
    expect(why([...before, off, entry({ kind: "accepted", line: betaine })], done(step))).toBeNull();
    expect(why([], done("rest"))).toContain("comes first");
  });

  it("an answer only to what asks", () => {
    expect(why([weigh(betaine, 100)], entry({ kind: "accepted", line: betaine }))).toContain("Nothing is to be decided");
    expect(why([weigh(betaine, 110)], entry({ kind: "corrected", line: betaine }))).toBeNull();
  });

  it("an end only when nothing is open, and it names what is", () => {
    const end = entry({ kind: "finished", yieldGrams: 480 });
    expect(why(whole.slice(0, -1), end)).toContain('One step is still open: "Judge it, then fill"');
    expect(why([], end)).toContain(`${plan.steps.length} steps are still open`);
    expect(why(whole, entry({ kind: "finished", yieldGrams: 0 }))).toContain("Weigh the yield");
    const closed = [...whole, end];
    expect(why(closed, entry({ kind: "timer", text: "x", minutes: 5 }))).toContain("closed");
    expect(why(closed, entry({ kind: "noted", step: null, text: "good foam" }))).toBeNull();
    expect(why(closed, entry({ kind: "taken-back", entry: end.id }))).toBeNull();
  });

  it("skips and notes say something; clocks run from above 0 to seven days; a pause ends before the next", () => {
    expect(why([], entry({ kind: "skipped", step: "prepare", reason: "" }))).toContain("Say why");
    expect(why([], entry({ kind: "noted", step: null, text: "" }))).toContain("Write the note");
    for (const [minutes, isRight] of [
      [0, false],
      [0.5, true],
      [10_080, true],
      [10_081, false],
    ] as const)
      expect(why([], entry({ kind: "timer", text: "x", minutes })) === null).toBe(isRight);
    expect(why([], entry({ kind: "resumed" }))).toContain("goes on already");
    expect(why([entry({ kind: "paused" })], entry({ kind: "paused" }))).toContain("stands still already");
    expect(why([entry({ kind: "paused" })], entry({ kind: "resumed" }))).toBeNull();
  });

  it("a clock is ended once; nothing is taken back twice, but a taking back can be", () => {
    const timer = entry({ kind: "timer", text: "x", minutes: 5 });
    const end = entry({ kind: "wait-ended", wait: timer.id });
    expect(why([timer], end)).toBeNull();
    expect(why([timer, end], entry({ kind: "wait-ended", wait: timer.id }))).toContain("ended already");
    expect(why([], end)).toContain("ended already");
    const back = entry({ kind: "taken-back", entry: timer.id });
    expect(why([timer], back)).toBeNull();
    expect(why([timer, back], entry({ kind: "taken-back", entry: timer.id }))).toContain("nothing to take back");
    expect(why([timer, back], entry({ kind: "taken-back", entry: back.id }))).toBeNull();
  });

  it("a batch is discarded while nothing was weighed, and not afterwards; discarded it is closed, and can be opened again", () => {
    const discarded = entry({ kind: "discarded" });
    expect(why([], discarded)).toBeNull();
    const step = whole.find(({ kind }) => kind === "weighed");
    if (step === undefined) throw new Error("nothing is weighed in this batch");
    expect(why([step], discarded)).toContain("Something has been weighed");
    expect(why([step, entry({ kind: "taken-back", entry: step.id })], discarded)).toBeNull();
    expect(why([discarded], entry({ kind: "paused" }))).toContain("closed");
    expect(batchState(plan, [discarded]).finished).toMatchObject({ yieldGrams: 0, isDiscarded: true });
    expect(why([discarded], entry({ kind: "taken-back", entry: discarded.id }))).toBeNull();
  });

  it("two devices that go through one batch in any order store every step and every line exactly once", () => {
    fc.assert(
      fc.property(fc.array(fc.boolean(), { minLength: whole.length * 2, maxLength: whole.length * 2 }), (turns) => {
        const copies = [whole, whole.map((one) => ({ ...one, id: `other ${one.id}` }))];
        const at = [0, 0];
        const stored: BatchEntry[] = [];
        for (const turn of turns) {
          const device = turn ? 1 : 0;
          const next = copies[device]?.[at[device] ?? 0];
          if (next === undefined) continue;
          at[device] = (at[device] ?? 0) + 1;
          if (whyNot(plan, stored, next) === null) stored.push(next);
        }
        const taken = stored.map((one) => (one.kind === "weighed" ? one.line : one.kind === "done" ? one.step : ""));
        expect(new Set(taken).size).toBe(taken.length);
      }),
      { numRuns: 30 },
    );
  });
});
