import { labelFromTemplate, type LabelDesign } from "@tensidrum/core/packaging";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { withBoxMoved, withField, withoutBox } from "./editLabel";

const label = labelFromTemplate("wrap", { widthMm: 84, heightMm: 48, netGrams: 100 });
const boxOf = (design: LabelDesign, id: string) => design.boxes.find((box) => box.id === id);

describe("a label that is changed", () => {
  it("moves a box by what the hand moved, and its corner where that is taken", () => {
    const { x = 0, y = 0, width = 0 } = boxOf(label, "name") ?? {};
    expect(boxOf(withBoxMoved(label, { id: "name", isSize: false, x: 1, y: 2 }), "name")).toMatchObject({ x: x + 1, y: y + 2, width });
    expect(boxOf(withBoxMoved(label, { id: "name", isSize: true, x: 1, y: 0 }), "name")).toMatchObject({ x, y, width: width + 1 });
    expect(withBoxMoved(label, { id: "none", isSize: false, x: 1, y: 1 })).toBe(label);
  });

  it("never leaves a box beyond the label or without a side", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: -90, max: 90 }), fc.integer({ min: -60, max: 60 }), fc.boolean()), { maxLength: 12 }),
        (hands) => {
          const moved = hands.reduce((design, [x, y, isSize]) => withBoxMoved(design, { id: "net", isSize, x, y }), label);
          const { x = 0, y = 0, width = 0, height = 0 } = boxOf(moved, "net") ?? {};
          expect(Math.min(x, y)).toBeGreaterThanOrEqual(0);
          expect(Math.min(width, height)).toBeGreaterThanOrEqual(2);
          expect(x + width).toBeLessThanOrEqual(84 + 0.1);
          expect(y + height).toBeLessThanOrEqual(48 + 0.1);
        },
      ),
    );
  });

  it("a second field of a kind has a name of its own, and what is deleted is gone", () => {
    const two = withField(withField(label, "text", 4.5), "text", 4.5);
    expect(two.boxes.map(({ id }) => id).filter((id) => id.startsWith("text"))).toEqual(["text", "text-2"]);
    expect(boxOf(withoutBox(two, "text"), "text")).toBeUndefined();
  });
});
