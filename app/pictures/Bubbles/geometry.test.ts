import { bubbleSizes } from "@tensidrum/core/stability";
import { describe, expect, it } from "vitest";
import { bubbleGeometry, BUBBLES } from "./geometry";

describe("drawn bubbles", () => {
  it("are fewer the coarser they are, and lie in their picture beside each other", () => {
    const drawn = bubbleSizes.map(bubbleGeometry);
    const counts = drawn.map((bubbles) => bubbles.length);
    expect(counts).toEqual(counts.toSorted((a, b) => b - a));
    for (const bubbles of drawn) {
      for (const { x, y, r } of bubbles) {
        expect(x + r).toBeLessThanOrEqual(BUBBLES.width);
        expect(y + r).toBeLessThanOrEqual(BUBBLES.height + 1e-9);
      }
      const [first, ...others] = bubbles;
      for (const other of others) expect(Math.hypot(other.x - first!.x, other.y - first!.y)).toBeGreaterThan(2 * first!.r);
    }
  });
});
