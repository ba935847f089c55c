import { randomLcg } from "d3-random";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { blindResult, drawCups, oddCup } from "./blindTest.ts";

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
