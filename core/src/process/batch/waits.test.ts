import { describe, expect, it } from "vitest";
import { done, entry } from "../../testing/batchEntries.ts";
import type { Step } from "../step.ts";
import { nextStep } from "./nextStep.ts";
import { isRunning, waitsOf } from "./waits.ts";

function step(id: string, changes: Partial<Step> = {}): Step {
  const bare = { stage: "weigh", phase: null, title: id, do: "", why: "", lines: [], caution: null, check: null, vessel: "main" } as const;
  return { ...bare, id, waitMinutes: 0, waitUntilMinutes: 0, after: [], ...changes };
}

/** Gum swells in the main beaker while cleansers are mixed in their own; both join. */
const steps = [
  step("gum", { waitMinutes: 30, waitUntilMinutes: 60 }),
  step("water", { after: ["gum"], waitMinutes: 5, waitUntilMinutes: 5 }),
  step("cleansers", { vessel: "surfactants" }),
  step("join", { after: ["water", "cleansers"] }),
];

function at(entries: Parameters<typeof waitsOf>[1], now: string) {
  const through = new Set(entries.flatMap((one) => (one.kind === "done" ? [one.step] : [])));
  const state = steps.map((one) => ({
    step: one,
    state: through.has(one.id) ? ("done" as const) : ("open" as const),
    reason: null,
    at: null,
  }));
  const { step: next, waitsFor } = nextStep({ steps: state, waits: waitsOf(steps, entries) }, now);
  return [next?.id ?? null, ...waitsFor.map(({ until }) => until)];
}

const TEN = "2026-11-26T10:00:00.000Z";

describe("waits", () => {
  it("a step that is done rests as long as it says, to the minute", () => {
    expect(waitsOf(steps, [done("gum", TEN), done("cleansers", TEN)])).toMatchObject([
      { step: "gum", from: TEN, until: "2026-11-26T10:30:00.000Z", latest: "2026-11-26T11:00:00.000Z", endedAt: null },
    ]);
  });

  it("with from and until alike there is no latest", () => {
    expect(waitsOf(steps, [done("water", TEN)])).toMatchObject([{ until: "2026-11-26T10:05:00.000Z", latest: null }]);
  });

  it("a clock of the maker's own runs across midnight and can be ended before its time", () => {
    const timer = entry({ kind: "timer", text: "bath at 40 °C", minutes: 90 }, { at: "2026-11-26T23:00:00.000Z" });
    const end = entry({ kind: "wait-ended", wait: timer.id }, { at: "2026-11-26T23:40:00.000Z" });
    expect(waitsOf(steps, [timer])).toMatchObject([
      { step: null, text: "bath at 40 °C", until: "2026-11-27T00:30:00.000Z", endedAt: null },
    ]);
    const [ended] = waitsOf(steps, [timer, end]);
    expect(ended?.endedAt).toBe("2026-11-26T23:40:00.000Z");
    expect(ended !== undefined && isRunning(ended, "2026-11-26T23:41:00.000Z")).toBe(false);
  });

  it("runs until its last second and not in it", () => {
    const [wait] = waitsOf(steps, [done("gum", TEN)]);
    expect(wait !== undefined && isRunning(wait, "2026-11-26T10:29:59.999Z")).toBe(true);
    expect(wait !== undefined && isRunning(wait, "2026-11-26T10:30:00.000Z")).toBe(false);
  });
});

describe("what is next", () => {
  it("is the first step in order", () => {
    expect(at([], TEN)).toEqual(["gum"]);
  });

  it("while one beaker rests it is the work in the other", () => {
    expect(at([done("gum", TEN)], "2026-11-26T10:01:00.000Z")).toEqual(["cleansers"]);
  });

  it("rested, it is the first again", () => {
    expect(at([done("gum", TEN)], "2026-11-26T10:30:00.000Z")).toEqual(["water"]);
  });

  it("with nothing else to do it is the one that waits, and for what", () => {
    expect(at([done("gum", TEN), done("cleansers", TEN)], "2026-11-26T10:01:00.000Z")).toEqual(["water", "2026-11-26T10:30:00.000Z"]);
  });

  it("with all through there is none", () => {
    expect(
      at(
        steps.map(({ id }) => done(id, TEN)),
        "2026-11-26T10:01:00.000Z",
      ),
    ).toEqual([null]);
  });
});
