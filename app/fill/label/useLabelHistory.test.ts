import { labelFromTemplate } from "@tensidrum/core/packaging";
import { describe, expect, it } from "vitest";
import { withBoxMoved } from "./editLabel";
import { labelHistory } from "./useLabelHistory";

const first = [labelFromTemplate("wrap", { widthMm: 84, heightMm: 48, netGrams: 100 })];
const moved = (history: ReturnType<typeof labelHistory>, x: number) =>
  labelHistory(history, { kind: "change", step: (design) => withBoxMoved(design, { id: "name", isSize: false, x, y: 0 }) });
const xOf = (history: ReturnType<typeof labelHistory>) => history.at(-1)?.boxes.find(({ id }) => id === "name")?.x ?? 0;

describe("taking back on the label", () => {
  it("takes back one change after the other, and the first design stays", () => {
    const twice = moved(moved(first, 3), 0.5);
    expect(xOf(twice)).toBeCloseTo(xOf(first) + 3.5, 9);
    const once = labelHistory(twice, { kind: "undo" });
    expect(xOf(once)).toBeCloseTo(xOf(first) + 3, 9);
    expect(labelHistory(labelHistory(once, { kind: "undo" }), { kind: "undo" })).toEqual(first);
  });
});
