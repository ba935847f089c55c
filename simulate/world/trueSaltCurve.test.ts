import { describe, expect, it } from "vitest";
import { drawsFrom } from "./draws";
import { classOf, hillKinds, trueSaltCurve, type HillKind } from "./trueSaltCurve";

const bases = () => Array.from({ length: 300 }, (_, number) => trueSaltCurve(drawsFrom(number)));
const ofKind = (kind: HillKind) => bases().filter(({ classes }) => classes.hill === kind);

describe("bases that answer to salt each in its way", () => {
  it.each(hillKinds)("%s is drawn often enough to tell of", (kind) => expect(ofKind(kind).length).toBeGreaterThan(20));

  it("one that never thickens stands where it was after any salt", () => {
    for (const base of ofKind("never")) {
      const before = base.trueViscosity();
      base.add(base.batchGrams * 0.02);
      expect(base.trueViscosity()).toBe(before);
      expect(base.isPastPeak()).toBe(false);
    }
  });

  it("one past its peak only thins", () => {
    for (const base of ofKind("past the peak")) {
      expect(base.isPastPeak()).toBe(true);
      const before = base.trueViscosity();
      base.add(base.batchGrams * 0.004);
      expect(base.trueViscosity()).toBeLessThan(before);
    }
  });

  it("a flat one gains at most three times", () => {
    for (const base of ofKind("flat")) {
      const before = base.trueViscosity();
      for (let k = 0; k < 40; k += 1) {
        base.add(base.batchGrams * 0.001);
        expect(base.trueViscosity()).toBeLessThanOrEqual(3 * before * 1.0001);
      }
    }
  });

  it.each(["log-normal", "skewed", "two slopes"] as const)("a %s one thickens up to its peak and thins after it", (kind) => {
    for (const base of ofKind(kind)) {
      let before = base.trueViscosity();
      for (let k = 0; k < 50; k += 1) {
        const wasPast = base.isPastPeak();
        base.add(base.batchGrams * 0.001);
        if (wasPast || !base.isPastPeak()) expect(base.trueViscosity() > before).toBe(!wasPast);
        before = base.trueViscosity();
      }
      expect(base.isPastPeak()).toBe(true);
    }
  });

  it("words are those of the class the thickness falls in", () => {
    expect([0.01, 0.05, 0.4, 2.5, 12, 40].map(classOf)).toEqual([0, 1, 2, 3, 4, 5]);
    for (const base of bases().filter(({ classes }) => classes.gauge === "words"))
      expect(classOf(base.read())).toBe(classOf(base.trueViscosity()));
  });

  it("the same number is the same base", () => {
    const [one, again] = [trueSaltCurve(drawsFrom(7)), trueSaltCurve(drawsFrom(7))];
    expect([one.target, one.read()]).toEqual([again.target, again.read()]);
  });
});
