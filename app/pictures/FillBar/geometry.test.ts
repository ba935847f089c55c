import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { FILL_BAR, fillBarGeometry } from "./geometry";

const betaine = { target: 84, low: 82.32, high: 85.68 };

describe("the bar of a weight", () => {
  it("84 g with room to 97.92: 61.38 g fill 486 of 776, the window stands about the target", () => {
    const drawn = fillBarGeometry(61.38, betaine);
    expect(drawn.filled).toBeCloseTo((61.38 / 97.92) * FILL_BAR.width, 6);
    expect(drawn.window.from).toBeLessThan(drawn.target);
    expect(drawn.window.to).toBeGreaterThan(drawn.target);
    expect(drawn.ticks.map(({ grams }) => grams)).toEqual([0, 20, 40, 60]);
  });

  it("nothing is nothing, below 0 too; far too much ends at the end and is told", () => {
    expect(fillBarGeometry(0, betaine).filled).toBe(0);
    expect(fillBarGeometry(-5, betaine).filled).toBe(0);
    expect(fillBarGeometry(500, betaine)).toMatchObject({ filled: FILL_BAR.width, isOver: true });
    expect(fillBarGeometry(97, betaine).isOver).toBe(false);
    expect(fillBarGeometry(1, { target: 0, low: 0, high: 0 }).filled).toBe(0);
  });

  it("more is never shorter, and few ticks stand below the target", () => {
    const target = fc.double({ min: 0.001, max: 5_000, noNaN: true });
    fc.assert(
      fc.property(target, fc.double({ min: 0, max: 2, noNaN: true }), fc.double({ min: 0, max: 2, noNaN: true }), (grams, one, other) => {
        const window = { target: grams, low: grams * 0.98, high: grams * 1.02 };
        const [less, more] = [Math.min(one, other), Math.max(one, other)].map((share) => fillBarGeometry(share * grams, window));
        expect(less?.filled).toBeLessThanOrEqual(more?.filled ?? 0);
        expect(more?.ticks.length).toBeLessThanOrEqual(6);
        for (const tick of more?.ticks ?? []) expect(tick.grams).toBeLessThan(grams);
      }),
    );
  });
});
