import { describe, expect, it } from "vitest";
import { addStep, deleteStep, isAsSuggested, mergeWithNext, moveLine, moveStep, nudgeStep, splitStep } from "./editSteps";

const process = {
  steps: [
    { id: "water", lines: ["w"] },
    { id: "clay", lines: ["k", "b"] },
    { id: "rest", lines: [] },
  ],
};
const ids = ({ steps }: { readonly steps: readonly { readonly id: string }[] }) => steps.map(({ id }) => id).join(" ");

describe("steps as the maker changes them", () => {
  it("are moved to where another stands, or one place on; at the ends they stay", () => {
    expect(ids(moveStep(process, "rest", "water"))).toBe("rest water clay");
    expect(ids(moveStep(process, "water", "rest"))).toBe("clay rest water");
    expect(ids(moveStep(process, "water", "nowhere"))).toBe("water clay rest");
    expect(ids(nudgeStep(process, "water", 1))).toBe("clay water rest");
    expect(ids(nudgeStep(process, "water", -1))).toBe("water clay rest");
  });

  it("are added behind another, and deleted only where they hold no line", () => {
    expect(ids(addStep(process, "water", { id: "mine", lines: [] }))).toBe("water mine clay rest");
    expect(ids(addStep(process, null, { id: "mine", lines: [] }))).toBe("mine water clay rest");
    expect(ids(deleteStep(process, "rest"))).toBe("water clay");
    expect(ids(deleteStep(process, "clay"))).toBe("water clay rest");
  });

  it("merge with the next one with lines and words; the last has none", () => {
    const merged = mergeWithNext(process, "water", ({ id }) => `Do ${id}.`);
    expect(merged.steps[0]).toEqual({ id: "water", lines: ["w", "k", "b"], do: "Do water. Do clay." });
    expect(mergeWithNext(process, "rest", () => "")).toEqual(process);
  });

  it("split off some of their lines, never all or none", () => {
    const split = splitStep(process, "clay", ["b"], "new");
    expect(split.steps.map(({ id, lines }) => [id, lines])).toEqual([
      ["water", ["w"]],
      ["clay", ["k"]],
      ["new", ["b"]],
      ["rest", []],
    ]);
    expect(splitStep(process, "clay", ["k", "b"], "new")).toEqual(process);
    expect(splitStep(process, "clay", [], "new")).toEqual(process);
  });

  it("a line goes into one step and out of the other", () => {
    expect(moveLine(process, "k", "water").steps.map(({ lines }) => lines)).toEqual([["w", "k"], ["b"], []]);
  });

  it("are as suggested until a word or a line differs", () => {
    const suggested = { lines: ["k", "b"] };
    expect(isAsSuggested({ id: "clay", lines: ["b", "k"] }, suggested)).toBe(true);
    expect(isAsSuggested({ id: "clay", lines: ["k"] }, suggested)).toBe(false);
    expect(isAsSuggested({ id: "clay", lines: ["k", "b"], title: "Clay in" }, suggested)).toBe(false);
    expect(isAsSuggested({ id: "mine", lines: [] }, undefined)).toBe(false);
  });
});
