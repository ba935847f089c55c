import { randomLcg } from "d3-random";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { blindResult, drawCups, oddCup, ratedResult } from "./blindTest.ts";

/** Sum of the probabilities of k and more of n, term by term. */
function tail(k: number, n: number, p: number): number {
  const choose = (m: number): number => Array.from({ length: m }, (_, i) => (n - i) / (i + 1)).reduce((a, b) => a * b, 1);
  let sum = 0;
  for (let m = k; m <= n; m += 1) sum += choose(m) * p ** m * (1 - p) ** (n - m);
  return sum;
}

describe("a blind test", () => {
  it("9 of 12 triangles come by chance 4 times in 1,000, 7 of 12 once in 15", () => {
    expect(blindResult("triangle", 9, 12).chance).toBeCloseTo(0.00386, 5);
    expect(blindResult("triangle", 7, 12)).toMatchObject({ isShown: false });
    expect(blindResult("triangle", 8, 12)).toMatchObject({ isShown: true });
  });

  it("10 of 12 for one of a pair is told whichever it is", () => {
    expect(blindResult("paired", 10, 12).chance).toBeCloseTo(0.0386, 4);
    expect(blindResult("paired", 2, 12).chance).toBeCloseTo(0.0386, 4);
    expect(blindResult("paired", 6, 12).chance).toBe(1);
  });

  it("agrees with the sum term by term, and of nobody says nothing", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.nat(40), (testers, wanted) => {
        const right = Math.min(wanted, testers);
        expect(blindResult("triangle", right, testers).chance).toBeCloseTo(tail(right, testers, 1 / 3), 8);
      }),
    );
    expect(blindResult("triangle", 0, 0)).toEqual({ chance: 1, isShown: false });
    expect(() => blindResult("paired", 3, 2)).toThrow("no count");
  });

  it("gives every order as often as every other, and names the odd cup", () => {
    const cups = drawCups("triangle", 12, randomLcg(0.4));
    const counts = new Map<string, number>();
    for (const one of cups) counts.set(one.join(""), (counts.get(one.join("")) ?? 0) + 1);
    expect([...counts.values()]).toEqual([2, 2, 2, 2, 2, 2]);
    expect(oddCup(["A", "B", "A"])).toBe(1);
    expect(oddCup(["B", "A", "A"])).toBe(0);
    expect(drawCups("paired", 3, randomLcg(0.4))).toHaveLength(3);
  });
});

describe("marks of two washes", () => {
  const pairs = (a: readonly number[], b: readonly number[]) => a.map((mark, at) => ({ a: mark, b: b[at]! }));

  it("4, 5, 4 beside 3, 3, 3 differ by 1.33, by chance 57 times in 1,000", () => {
    const result = ratedResult(pairs([4, 5, 4], [3, 3, 3]))!;
    expect(result).toMatchObject({ meanB: 3, spreadB: 0, isShown: false });
    expect(result.difference.mean).toBeCloseTo(4 / 3, 12);
    expect(result.spreadA).toBeCloseTo(Math.sqrt(1 / 3), 12);
    // Two-sided Student, t = 4 with 2 degrees: 1 − 4 ⁄ √(2 + 16).
    expect(result.chance).toBeCloseTo(1 - 4 / Math.sqrt(18), 6);
  });

  it("of one tester tell nothing, and marks that never differ show nothing", () => {
    expect(ratedResult(pairs([5], [1]))).toBeNull();
    expect(ratedResult(pairs([3, 4, 2], [3, 4, 2]))!.chance).toBeCloseTo(1, 12);
    expect(ratedResult(pairs([2, 2], [1, 1]))!.chance).toBeGreaterThan(0.1);
  });

  it("find a difference that is not there one time in twenty at most, and hold one that is 19 times of 20", () => {
    const draw = randomLcg(0.4);
    const mark = (middle: number): number => Math.min(5, Math.max(1, Math.round(middle + 1.6 * (draw() + draw() + draw() - 1.5))));
    let [shown, held] = [0, 0];
    for (let test = 0; test < 800; test += 1) {
      const testers = Array.from({ length: 16 }, () => ({ a: mark(3), b: mark(3) }));
      const result = ratedResult(testers)!;
      if (result.isShown) shown += 1;
      if (result.difference.low <= 0 && result.difference.high >= 0) held += 1;
    }
    expect(shown / 800).toBeLessThan(0.07);
    expect(held / 800).toBeGreaterThan(0.92);
  });
});
