import { labelFromTemplate } from "@tensidrum/core/packaging";
import { describe, expect, it } from "vitest";
import { withBoxMoved } from "./editLabel";
import { labelHistory } from "./useLabelHistory";

const first = [{ design: labelFromTemplate("wrap", { widthMm: 84, heightMm: 48, netGrams: 100 }), hold: null }];
const moved = (history: ReturnType<typeof labelHistory>, hold: string | null) =>
  labelHistory(history, { kind: "change", step: (design) => withBoxMoved(design, "name", { x: 0.5, y: 0 }, false), hold });
const xOf = (history: ReturnType<typeof labelHistory>) => history.at(-1)?.design.boxes.find(({ id }) => id === "name")?.x ?? 0;

describe("taking back on the label", () => {
  it("a drag of many half millimetres is taken back as one, a key press by itself", () => {
    const before = xOf(first);
    const dragged = moved(moved(moved(first, "hand"), "hand"), "hand");
    expect(xOf(dragged)).toBeCloseTo(before + 1.5, 9);
    expect(xOf(labelHistory(dragged, { kind: "undo" }))).toBe(before);
    const pressed = moved(moved(dragged, null), null);
    expect(xOf(labelHistory(pressed, { kind: "undo" }))).toBeCloseTo(before + 2, 9);
  });

  it("a second hold is another change, and the first design stays", () => {
    const twice = moved(moved(first, "one"), "two");
    expect(xOf(labelHistory(twice, { kind: "undo" }))).toBeCloseTo(xOf(first) + 0.5, 9);
    expect(labelHistory(first, { kind: "undo" })).toBe(first);
  });
});
