import { describe, expect, it } from "vitest";
import { worthwhileGrams, type Ways } from "./worthwhile.ts";

const beaker = { massGrams: 500, strengthPercent: 100, saltNow: 1, isByWord: false };
const ways = (members: readonly { aim: number; peak?: number; thick?: number }[]): Ways => ({
  toAim: Float64Array.from(members, ({ aim }) => aim),
  toPeak: Float64Array.from(members, ({ peak = Infinity }) => peak),
  toTooThick: Float64Array.from(members, ({ thick = Infinity }) => thick),
});
const many = <T>(count: number, one: T): T[] => Array.from({ length: count }, () => one);

describe("the addition that is worth most", () => {
  it("goes all the way where every curve agrees and nothing stands against it", () => {
    const grams = worthwhileGrams(ways(many(100, { aim: 3, thick: 4 })), beaker);
    expect(grams).toBeGreaterThanOrEqual(3 * 0.95);
    expect(grams).toBeLessThan(4);
  });

  it("stops short of what carries more curves past the peak than it brings on", () => {
    const half = [...many(50, { aim: 3 }), ...many(50, { aim: Infinity, peak: 1 })];
    // Under the chance of 0.2 % it tells something up to 1 g; beyond, half of the curves are lost.
    expect(worthwhileGrams(ways(half), beaker)).toBeLessThanOrEqual(1);
    expect(worthwhileGrams(ways(half), beaker)).toBeGreaterThan(0.9);
  });

  it("is nothing where hardly a curve can be helped and many can be spoilt", () => {
    expect(worthwhileGrams(ways([...many(5, { aim: 3 }), ...many(95, { aim: Infinity, peak: 0 })]), beaker)).toBe(0);
    expect(worthwhileGrams(ways(many(100, { aim: Infinity })), beaker)).toBe(0);
    expect(worthwhileGrams(ways(many(100, { aim: 0 })), beaker)).toBe(0);
  });

  it("never beyond 2.4 % in all while the target is more likely out of reach: 7.17 g of dry salt from 1 % in 500 g", () => {
    const late = [...many(40, { aim: 12 }), ...many(60, { aim: Infinity })];
    expect(worthwhileGrams(ways(late), beaker)).toBeLessThanOrEqual(7.18);
    expect(worthwhileGrams(ways(late), beaker)).toBeGreaterThan(6.5);
    expect(worthwhileGrams(ways(many(100, { aim: 12 })), beaker)).toBeGreaterThan(11);
  });

  it("weighs a little too thick less where the thickness is told in words", () => {
    const near = [...many(90, { aim: 3, thick: 4 }), ...many(10, { aim: 1, thick: 1.5 })];
    expect(worthwhileGrams(ways(near), { ...beaker, isByWord: true })).toBeGreaterThan(worthwhileGrams(ways(near), beaker));
  });
});
