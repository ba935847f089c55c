import { describe, expect, it } from "vitest";
import { corridorGeometry, tellingLanes } from "./geometry";

const data = {
  lanes: [
    { name: "body wash", low: 4.5, high: 6 },
    {
      name: "benzoate",
      low: 2.5,
      high: 5,
      strength: [
        { ph: 3, workingPercent: 0.4 },
        { ph: 5, workingPercent: 0.1 },
      ],
    },
  ],
  low: 4.5,
  high: 5,
  isEmpty: false,
  measured: 5.5,
};

describe("the corridor's geometry", () => {
  it("pH 2 to 8 over 462 units: the opening from 4.5 to 5 begins at 150 + 2.5 ⁄ 6 × 462 = 342.5 and is 38.5 wide", () => {
    const { opening, plumb } = corridorGeometry(data);
    expect(opening?.x).toBeCloseTo(342.5, 9);
    expect(opening?.width).toBeCloseTo(38.5, 9);
    expect(plumb?.x).toBeCloseTo(150 + (3.5 / 6) * 462, 9);
  });

  it("a strength is as high as it is strong: a quarter of the lane at pH 5", () => {
    const path = corridorGeometry(data).lanes[1]?.path ?? "";
    // the lane lies from y 49 to 67; full at pH 3, 18 ⁄ 4 = 4.5 high at pH 5
    expect(path).toBe("M227,49L381,62.5L381,67L227,67Z");
  });

  it("an empty corridor has no opening, an unmeasured one no plumb line", () => {
    const picture = corridorGeometry({ ...data, isEmpty: true, measured: null });
    expect([picture.opening, picture.plumb]).toEqual([null, null]);
  });

  it("nothing lies outside the box, whatever is claimed", () => {
    const { lanes } = corridorGeometry({ ...data, lanes: [{ name: "anything", low: 0, high: 14 }] });
    expect(lanes[0]?.x).toBeGreaterThanOrEqual(150);
    expect((lanes[0]?.x ?? 0) + (lanes[0]?.width ?? 0)).toBeLessThanOrEqual(612);
  });

  it("shows the main lanes and the three tightest others, in their order", () => {
    const lanes = [1, 2, 3, 4, 5].map((width) => ({ name: `m${width}`, low: 4, high: 4 + width }));
    const names = tellingLanes([{ name: "aim", low: 2, high: 12, isMain: true }, ...lanes]).map(({ name }) => name);
    expect(names).toEqual(["aim", "m1", "m2", "m3"]);
  });
});
