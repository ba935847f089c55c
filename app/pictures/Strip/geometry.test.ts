import { describe, expect, it } from "vitest";
import { doseScale, stripGeometry } from "./geometry";

describe("a strip", () => {
  it("of 464 px from pH 0 to 14: 3.5 to 7 covers the second quarter", () => {
    const { range, ticks } = stripGeometry({ scale: { low: 0, high: 14 }, range: { low: 3.5, high: 7 }, frame: null, dots: [], steps: 4 });
    expect(range).toEqual({ x: 116, width: 116 });
    expect(ticks.map(({ x, value }) => [x, value])).toEqual([
      [0, 0],
      [116, 3.5],
      [232, 7],
      [348, 10.5],
      [464, 14],
    ]);
  });

  it("keeps what lies beyond at its end, and shows a range of one value", () => {
    const strip = stripGeometry({
      scale: { low: 0, high: 10 },
      range: { low: 5, high: 5 },
      frame: { low: -1, high: 20 },
      dots: [12, 5],
      steps: 5,
    });
    expect(strip.range).toEqual({ x: 232, width: 2 });
    expect(strip.frame).toEqual({ x: 0, width: 464 });
    expect(strip.dots).toEqual([464, 232]);
  });

  it("the scale of doses ends above all that is shown", () => {
    expect(doseScale([0.3, 14])).toEqual({ low: 0, high: 20 });
    expect(doseScale([0.15])).toEqual({ low: 0, high: 0.2 });
    expect(doseScale([])).toEqual({ low: 0, high: 0.2 });
    expect(doseScale([100])).toEqual({ low: 0, high: 100 });
  });
});
