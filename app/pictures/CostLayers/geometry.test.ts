import type { CostLayer } from "@tensidrum/core/packaging";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { BOTTLE, costLayersGeometry } from "./geometry";

const layer = (cost: number, at = 0): CostLayer => ({ name: `m${at}`, cost, kind: "material", tenthPercent: 0 });

describe("layers of what a bottle costs", () => {
  it("1.50 and 0.50 are three quarters below and one above", () => {
    const [first, second] = costLayersGeometry([layer(1.5), layer(0.5)]);
    expect([first?.y, first?.height]).toEqual([BOTTLE.height / 4, (3 * BOTTLE.height) / 4]);
    expect([second?.y, second?.height]).toEqual([0, BOTTLE.height / 4]);
    expect(costLayersGeometry([])).toEqual([]);
  });

  it("fills the bottle, and no words stand on each other or outside", () => {
    const costs = fc.array(fc.double({ min: 0.001, max: 5, noNaN: true }), { minLength: 1, maxLength: 9 });
    fc.assert(
      fc.property(costs, (drawn) => {
        const layers = costLayersGeometry(drawn.map(layer));
        expect(layers.reduce((sum, { height }) => sum + height, 0)).toBeCloseTo(BOTTLE.height, 6);
        layers.forEach(({ wordsY }, at) => {
          const next = layers[at + 1];
          if (next !== undefined) expect(wordsY - next.wordsY).toBeGreaterThan(18.9);
          expect(wordsY).toBeGreaterThanOrEqual(9);
          expect(wordsY).toBeLessThanOrEqual(BOTTLE.height + 9);
        });
      }),
    );
  });
});
