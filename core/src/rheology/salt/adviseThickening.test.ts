import { describe, expect, it } from "vitest";
import { adviseThickening } from "./adviseThickening.ts";
import { viscosityAt, type SaltCurve } from "./saltCurve.ts";
import type { Thickening } from "./plausibleCurves.ts";

const saltCurve: SaltCurve = { peakSaltPercent: 2.4, width: 0.6, baseline: -1, height: 2 };
const jars = [1.2, 1.6, 2, 2.4, 2.8, 3.2].map((saltPercent) => ({ saltPercent, viscosity: viscosityAt(saltCurve, saltPercent) }));

const thickeningOf = (viscosities: readonly (readonly [number, number])[], changes: Partial<Thickening> = {}): Thickening => ({
  batchGrams: 500,
  hiddenSaltPercent: 0.8,
  strengthPercent: 100,
  target: 3,
  jars: [],
  additions: viscosities.map(([gramsTotal, viscosity]) => ({ gramsTotal, viscosity })),
  ...changes,
});

describe("salt by an ensemble of salt curves", () => {
  it("without jars the first addition stays clear of a peak at 1.2 %", () => {
    const { state, recommend, text } = adviseThickening(thickeningOf([[0, 0.11]]));
    expect(state).toBe("add");
    expect(recommend.peakChance).toBeLessThanOrEqual(0.002);
    // 500 g at 0.8 % reach 1.3 % with 2.53 g
    expect(recommend.grams).toBeGreaterThan(0.5);
    expect(recommend.grams).toBeLessThan(2.53);
    expect(text).toContain("estimate");
  });

  it("jars of the same base lead straight to the target: 1.933 % from 0.8 % is 5.78 g in 500 g", () => {
    const { recommend } = adviseThickening(thickeningOf([[0, viscosityAt(saltCurve, 0.8)]], { jars }));
    expect(recommend.grams).toBeGreaterThan(5.78 * 0.9);
    expect(recommend.grams).toBeLessThan(5.78 * 1.03);
    expect(recommend.peakChance).toBe(0);
  });

  it("brine of 20 % takes the water along: 1.933 % from 0.8 % is 31.4 g in 500 g", () => {
    const { recommend } = adviseThickening(thickeningOf([[0, viscosityAt(saltCurve, 0.8)]], { jars, strengthPercent: 20 }));
    expect(recommend.grams).toBeGreaterThan(31.4 * 0.9);
    expect(recommend.grams).toBeLessThan(31.4 * 1.03);
  });

  it("on target nothing more goes in", () => {
    const { state, recommend } = adviseThickening(
      thickeningOf(
        [
          [0, 0.11],
          [5.7, 3],
        ],
        { jars },
      ),
    );
    expect([state, recommend.grams]).toEqual(["in-target", 0]);
  });

  it("never over the safe part of a known salt curve, however thick the wish", () => {
    const { recommend } = adviseThickening(thickeningOf([[0, viscosityAt(saltCurve, 0.8)]], { jars, target: 9 }));
    // 500 g at 0.8 % reach 2.2 % with 7.16 g
    expect(recommend.grams).toBeLessThan(7.16 * 1.05);
    expect(recommend.peakChance).toBeLessThanOrEqual(0.002);
  });

  it("a wish the jars speak against is unreachable", () => {
    expect(adviseThickening(thickeningOf([[0, viscosityAt(saltCurve, 0.8)]], { jars, target: 100 })).state).toBe("unreachable");
  });

  it("a step that gained less than a tenth after one that gained says stop", () => {
    const { state, recommend, text } = adviseThickening(
      thickeningOf(
        [
          [0, 1],
          [3, 6],
          [6, 12],
          [7, 12.5],
        ],
        { target: 20 },
      ),
    );
    expect([state, recommend.grams]).toEqual(["stop", 0]);
    expect(text).toContain("gained less than a tenth");
  });

  it("a second reading of one rest is no step: the same with each rest read twice", () => {
    const { state, text } = adviseThickening(
      thickeningOf(
        [
          [0, 1],
          [3, 6],
          [6, 12],
          [6, 11.8],
          [7, 12.7],
          [7, 12.3],
        ],
        { target: 20 },
      ),
    );
    expect(state).toBe("stop");
    expect(text).toContain("gained less than a tenth");
    const gaining = thickeningOf([
      [0, 0.5],
      [3, 1],
      [3, 0.95],
    ]);
    expect(adviseThickening(gaining).state).toBe("add");
  });

  it("a step that lost says stop, and that the peak is passed", () => {
    const { state, text } = adviseThickening(
      thickeningOf(
        [
          [0, 1],
          [4, 8],
          [7, 5],
        ],
        { target: 12 },
      ),
    );
    expect(state).toBe("stop");
    expect(text).toContain("peak is passed");
  });

  it("thicker than wanted says stop", () => {
    expect(
      adviseThickening(
        thickeningOf([
          [0, 1],
          [3, 6],
        ]),
      ).text,
    ).toContain("Thicker than wanted");
  });

  it("brine weaker than the salt it should bring is refused its place", () => {
    const { state, recommend, text } = adviseThickening(thickeningOf([[0, viscosityAt(saltCurve, 0.8)]], { jars, strengthPercent: 1 }));
    expect([state, recommend.grams]).toEqual(["stop", 0]);
    expect(text).toContain("stronger one");
  });

  it("before any reading it asks for one", () => {
    expect(adviseThickening(thickeningOf([])).text).toContain("Measure the thickness before");
  });

  it("is the same for the same seed", () => {
    const thickening = thickeningOf([
      [0, 0.11],
      [2, 0.3],
    ]);
    expect(adviseThickening(thickening)).toEqual(adviseThickening(thickening));
  });

  it("a base that never answered is given up, with what else thickens it, and by the fifth addition at the latest", () => {
    const flat = [0, 2, 3.5, 5, 6, 7, 7, 7].map((grams) => [grams, 0.1] as const);
    const advice = adviseThickening(thickeningOf(flat));
    expect([advice.state, advice.recommend.grams]).toEqual(["unreachable", 0]);
    expect(advice.text).toContain("gum slurry");
    // At the foot of a late salt curve the first grams do nothing either: one step in vain is no answer yet.
    expect(adviseThickening(thickeningOf(flat.slice(0, 2))).state).toBe("add");
  });

  it("in words the wanted word is enough, and it says that a word tells no more", () => {
    const byWord = (words: readonly (readonly [number, number])[], target: number): Thickening => ({
      ...thickeningOf([], { target }),
      additions: words.map(([gramsTotal, viscosity]) => ({ gramsTotal, viscosity, gauge: "word" })),
    });
    const there = adviseThickening(byWord([[0, 0.03], [3, 0.4], [4.5, 2.5]], 2.5)); // prettier-ignore
    expect(there.state).toBe("in-target");
    expect(there.text).toContain("pump gel, as wanted; a word cannot tell nearer");
    const short = adviseThickening(byWord([[0, 0.03], [3, 0.4]], 2.5)); // prettier-ignore
    expect(short.state).toBe("add");
    expect(short.recommend.grams).toBeGreaterThan(0);
    // A syrup may be anything from 0.1 to 1: what is expected is as wide.
    expect(short.recommend.high / short.recommend.low).toBeGreaterThan(4);
    expect(adviseThickening(byWord([[0, 0.03], [3, 12]], 2.5)).text).toContain("Thicker than wanted"); // prettier-ignore
  });

  it("before a risky addition it asks for another reading, and not for ever", () => {
    const steep = [[0, 0.1], [2.5, 0.12], [4.5, 0.6]] as const; // prettier-ignore
    const once = adviseThickening(thickeningOf(steep, { target: 8 }));
    const thrice = adviseThickening(thickeningOf([...steep, [4.5, 0.62], [4.5, 0.6]], { target: 8 }));
    if (once.recommend.grams === 0) expect(once.said.code).toBe("doubt");
    expect(thrice.said.code).not.toBe("doubt");
  });

  it("salt the cleansers bring may be told wrongly: jars of the same base are as wrong, and the way between them stays", () => {
    const off = (told: number) =>
      adviseThickening(
        thickeningOf([[0, viscosityAt(saltCurve, 0.8)]], {
          hiddenSaltPercent: told,
          jars: jars.map(({ saltPercent, viscosity }) => ({ saltPercent: saltPercent + told - 0.8, viscosity })),
        }),
      ).recommend.grams;
    expect(off(0.95) / off(0.8)).toBeGreaterThan(0.9);
    expect(off(0.95) / off(0.8)).toBeLessThan(1.1);
  });

  it("a batch that does not answer as its samples do is read again; then it stands without them", () => {
    const readings = [[0, 0.11], [3, 0.11], [6, 0.11]] as const; // prettier-ignore
    const once = adviseThickening(thickeningOf(readings, { jars }));
    expect([once.state, once.said.code, once.recommend.grams]).toEqual(["add", "no-fit", 0]);
    const again = thickeningOf([...readings, [6, 0.112]], { jars });
    expect(adviseThickening(again)).toEqual(adviseThickening({ ...again, jars: [] }));
  });
});
