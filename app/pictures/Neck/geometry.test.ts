import { describe, expect, it } from "vitest";
import { neckGeometry } from "./geometry";

describe("the small neck", () => {
  it("stands 2.7 px for each percent of a 20 % neck, without gaps", () => {
    const picture = neckGeometry(
      [
        { charge: "anionic", percent: 6 },
        { charge: "amphoteric", percent: 4 },
        { charge: "nonionic", percent: 0 },
      ],
      { low: 10, high: 15 },
    );
    expect(picture.bands).toHaveLength(2);
    expect(picture.bands[0]?.y).toBeCloseTo(58 - 6 * 2.7, 9);
    expect(picture.bands[0]?.height).toBeCloseTo(6 * 2.7, 9);
    expect(picture.bands[1]?.y).toBeCloseTo(58 - 10 * 2.7, 9);
    expect(picture.bracket.top).toBeCloseTo(58 - 15 * 2.7, 9);
    expect(picture.bracket.bottom).toBeCloseTo(58 - 10 * 2.7, 9);
  });

  it("an empty one has no band and a bracket all the same", () => {
    const picture = neckGeometry([], { low: 8, high: 15 });
    expect(picture.bands).toEqual([]);
    expect(picture.bracket.bottom).toBeGreaterThan(picture.bracket.top);
  });
});
