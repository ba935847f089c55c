import { describe, expect, it } from "vitest";
import {
  addStep,
  deleteStep,
  isAsSuggested,
  mergeWithNext,
  moveLine,
  moveStep,
  nudgeStep,
  setPortion,
  settle,
  splitStep,
  takePortion,
} from "./editSteps";

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

describe("parts of a line", () => {
  it("begin as half of it in the same step, move like a line, and are none at 0 or 100 %", () => {
    const parted = takePortion(process, "w");
    expect(parted.portions).toEqual([{ id: "w-part", of: "w", percentOfLine: 50 }]);
    expect(parted.steps[0]?.lines).toEqual(["w", "w-part"]);
    expect(takePortion(parted, "w"), "once").toBe(parted);
    const moved = moveLine(parted, "w-part", "rest");
    expect(moved.steps.map(({ lines }) => lines.join(" "))).toEqual(["w", "k b", "w-part"]);
    expect(setPortion(moved, "w-part", 30).portions).toEqual([{ id: "w-part", of: "w", percentOfLine: 30 }]);
    for (const none of [0, 100]) {
      expect(setPortion(moved, "w-part", none)).toEqual({ steps: process.steps.map(({ id, lines }) => ({ id, lines })) });
    }
  });
});

describe("what is settled first", () => {
  const suggested = [
    { id: "water", lines: ["w", "b"] },
    { id: "shear", lines: ["k"] },
    { id: "rest", lines: [] },
  ];
  const own = {
    steps: [
      { id: "water", lines: ["w"], title: "My water" },
      { id: "own-1", lines: ["k"], title: "Look" },
      { id: "clay", lines: ["b"], title: "gone" },
      { id: "rest", lines: [] },
    ],
    portions: [{ id: "w-part", of: "w", percentOfLine: 50 }],
    choices: { route: "warm" as const },
  };

  it("suggests anew, keeps what was said of steps that are still there, and one's own behind the step they followed", () => {
    expect(settle(own, { route: "cold" }, suggested)).toEqual({
      steps: [
        { id: "water", lines: ["w", "b"], title: "My water" },
        { id: "own-1", lines: [], title: "Look" },
        { id: "shear", lines: ["k"] },
        { id: "rest", lines: [] },
      ],
      choices: { route: "cold" },
    });
  });

  it("nothing settled leaves no choices behind", () => {
    expect(settle(own, { acidInWater: false }, suggested)).not.toHaveProperty("choices");
  });
});
