import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { resolveLines } from "../../formula/resolveLines.ts";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import type { Agent } from "../equivalents.ts";
import { equivalentsPerMole } from "../equivalents.ts";
import { adviseTitration } from "./adviseTitration.ts";
import { keepBook, type Titration, type TitrationReading } from "./bookkeeping.ts";
import { bufferCurve, drawnCurve } from "./bufferCurve.ts";
import { knownBuffersOf } from "./knownBuffers.ts";
import { merged, pooled } from "./plausibleBatches.ts";
import { wholeDrops } from "./wholeDrops.ts";

const lactic: Agent = { kind: "acid", molarMass: 90.08, pKas: [3.86], strengthPercent: 10 };
const soda: Agent = { kind: "base", molarMass: 40, pKas: [14], strengthPercent: 10 };

const titrationOf = (readings: readonly TitrationReading[], changes: Partial<Titration> = {}): Titration => ({
  batchGrams: 500,
  agent: lactic,
  target: { low: 4.6, high: 5.4 },
  dropGrams: null,
  counterAgent: null,
  knownBuffers: [{ pKa: 5, low: 20, high: 20 }],
  readings,
  ...changes,
});

/** A batch of one known site: pH after so many mmol/kg of a strong acid, by the closed form of Henderson and Hasselbalch. */
const oneSitePh = (sites: number, startPh: number, acid: number): number => {
  const charged = sites / (1 + 10 ** (5 - startPh)) - acid;
  return 5 + Math.log10(charged / (sites - charged));
};

describe("the books of a titration", () => {
  it("a sample of 20 g leaves 480: 2 g of 10 % lactic acid are 4.6255 mmol/kg", () => {
    const { stations, leftGrams } = keepBook(
      titrationOf([
        { doseGramsTotal: 0, ph: 7, sampleGrams: 20 },
        { doseGramsTotal: 2, ph: 6 },
      ]),
    );
    expect(stations[1]!.agentTotal).toBeCloseTo(4.625518, 6);
    expect(leftGrams).toBe(480);
  });

  it("a later sample takes its share away and the total per kilogram stays", () => {
    const { stations } = keepBook(
      titrationOf([
        { doseGramsTotal: 0, ph: 7 },
        { doseGramsTotal: 2, ph: 6, sampleGrams: 100 },
        { doseGramsTotal: 2, ph: 6 },
      ]),
    );
    expect(stations[2]!.agentTotal).toBeCloseTo(stations[1]!.agentTotal, 12);
    expect(stations[2]!.isRepeat).toBe(true);
  });

  it("500 g of brine in between halve what is in a kilogram", () => {
    const { stations, leftGrams } = keepBook(
      titrationOf([
        { doseGramsTotal: 0, ph: 7 },
        { doseGramsTotal: 2, ph: 6 },
        { doseGramsTotal: 2, otherGramsTotal: 500, ph: 6 },
      ]),
    );
    expect(stations[2]!.agentTotal).toBeCloseTo(stations[1]!.agentTotal / 2, 12);
    expect(stations[2]!.isRepeat).toBe(false);
    expect(leftGrams).toBe(1000);
  });

  it("a sample of 50 g that comes back into 450 leaves nine tenths of what was dosed, and all of the batch's own sites", () => {
    const { stations, leftGrams } = keepBook(
      titrationOf([
        { doseGramsTotal: 0, ph: 7, sampleGrams: 50 },
        { doseGramsTotal: 2, ph: 6 },
        { doseGramsTotal: 2, backGramsTotal: 50, ph: 6.1 },
      ]),
    );
    expect(stations[2]!.agentTotal).toBeCloseTo(stations[1]!.agentTotal * 0.9, 12);
    expect([stations[2]!.thinned, stations[2]!.isRepeat, leftGrams]).toEqual([1, false, 500]);
  });

  it("readings of one dose count as their mean, ± σ ⁄ √n", () => {
    const { stations } = keepBook(
      titrationOf([
        { doseGramsTotal: 0, ph: 7 },
        { doseGramsTotal: 0, ph: 7.1 },
        { doseGramsTotal: 1, ph: 6 },
      ]),
    );
    const [first, second] = pooled(stations);
    expect(first!.ph).toBeCloseTo(7.05, 12);
    expect(first!.sigma).toBeCloseTo(0.03 / Math.SQRT2, 12);
    expect(second!.ph).toBe(6);
  });
});

describe("the batch's own buffer curve", () => {
  const curveOf = (readings: readonly TitrationReading[], changes: Partial<Titration> = {}) => {
    const titration = titrationOf(readings, changes);
    return bufferCurve(keepBook(titration).stations, titration.agent, titration.counterAgent);
  };

  it("B = m z: 4 g in 500 g are 8.881 mmol/kg, at pH 4.86 ten elevenths of it", () => {
    const curve = curveOf([
      { doseGramsTotal: 0, ph: 7 },
      { doseGramsTotal: 4, ph: 4.86 },
    ]);
    expect(curve).toHaveLength(2);
    expect(curve[0]).toEqual({ ph: 7, mmolPerKg: 0 });
    expect(curve[1]!.mmolPerKg).toBeCloseTo((8.880995 * 10) / 11, 5);
  });

  it("a later reading at one dose stands in the place of the earlier one", () => {
    const curve = curveOf([
      { doseGramsTotal: 0, ph: 7 },
      { doseGramsTotal: 2, ph: 6.1 },
      { doseGramsTotal: 2, ph: 6 },
    ]);
    expect(curve.map(({ ph }) => ph)).toEqual([7, 6]);
  });

  it("a reading that goes back is pooled with its neighbour", () => {
    const curve = curveOf([
      { doseGramsTotal: 0, ph: 7 },
      { doseGramsTotal: 2, ph: 6 },
      { doseGramsTotal: 3, ph: 6.02 },
      { doseGramsTotal: 4, ph: 5 },
    ]);
    expect(curve.map(({ ph }) => ph)).toEqual([7, 6.01, 5]);
  });

  it("base dosed back comes off", () => {
    const readings = [
      { doseGramsTotal: 0, ph: 7 },
      { doseGramsTotal: 4, ph: 4.5 },
      { doseGramsTotal: 4, counterGramsTotal: 0.4, ph: 4.9 },
    ];
    const titration = titrationOf(readings, { counterAgent: soda });
    const { agentTotal, counterTotal } = keepBook(titration).stations[2]!;
    const back = agentTotal * equivalentsPerMole(lactic, 4.9) - counterTotal;
    expect(curveOf(readings, { counterAgent: soda }).some(({ mmolPerKg }) => Math.abs(mmolPerKg - back) < 1e-6)).toBe(true);
  });

  it("a strip among readings of a meter is not drawn; strips alone are", () => {
    const strip = { doseGramsTotal: 3, ph: 5.5, phSigma: 0.25 };
    const meter = [
      { doseGramsTotal: 0, ph: 7 },
      { doseGramsTotal: 2, ph: 6 },
    ];
    expect(curveOf([...meter, strip, { doseGramsTotal: 4, ph: 5 }]).map(({ ph }) => ph)).toEqual([7, 6, 5]);
    expect(curveOf([{ doseGramsTotal: 0, ph: 7, phSigma: 0.25 }, strip]).map(({ ph }) => ph)).toEqual([7, 5.5]);
  });

  it("is drawn through its points and on with the secant of the last two", () => {
    const drawn = drawnCurve([
      { ph: 7, mmolPerKg: 0 },
      { ph: 6, mmolPerKg: 4 },
      { ph: 5, mmolPerKg: 10 },
    ]);
    [7, 6, 5].forEach((ph, k) => expect(drawn(ph)).toBeCloseTo([0, 4, 10][k]!, 12));
    expect(drawn(4)).toBeCloseTo(16, 12);
    expect(drawn(8)).toBeCloseTo(-4, 12);
  });
});

describe("what a formula brings", () => {
  it("1 % of citric acid of 5.075 to 5.283 mmol/g: 50.75 to 52.83 mmol/kg at each of its pKa", () => {
    const { sheet } = resolveLines(
      sheetOf([
        ["water-distilled", "q.s."],
        ["citric-acid-anhydrous", 1],
      ]),
      library,
    );
    const known = knownBuffersOf(sheet);
    expect(known.map(({ pKa }) => pKa)).toEqual([3.13, 4.76, 6.4]);
    expect(known[0]!.low).toBeCloseTo(50.75, 9);
    expect(known[0]!.high).toBeCloseTo(52.83, 9);
  });

  it("sites of nearly one pKa are one, at their weighted mean", () => {
    const [one, ...others] = merged([
      { pKa: 4.2, low: 10, high: 10 },
      { pKa: 4.3, low: 30, high: 30 },
      { pKa: 9, low: 0, high: 0 },
    ]);
    expect(others).toEqual([]);
    expect(one!.pKa).toBeCloseTo(4.275, 12);
    expect([one!.low, one!.high]).toEqual([40, 40]);
  });
});

describe("the advisor", () => {
  it("doses short of the far edge, in the right direction, and says what to expect", () => {
    const { state, recommend, text } = adviseTitration(titrationOf([{ doseGramsTotal: 0, ph: 6.5 }]));
    expect(state).toBe("dose");
    expect(recommend.agent).toBe("agent");
    expect(recommend.grams).toBeGreaterThan(0);
    expect(recommend.overshootChance).toBeLessThanOrEqual(0.02);
    expect(recommend.expectedPhLow).toBeGreaterThan(4.6);
    expect(recommend.expectedPh).toBeLessThan(6.5);
    expect(recommend.finalEstimateGrams).toBeGreaterThanOrEqual(recommend.grams);
    expect(text).toContain("estimate");
  });

  it("finds the total of a batch of one known site, 20 mmol/kg at pKa 5, once three readings lie on its curve", () => {
    const strong: Agent = { kind: "acid", molarMass: 40, pKas: [], strengthPercent: 10 };
    // mmol/kg of strong acid, 0.2 g of solution per mmol in 500 g
    const readings = [0, 4, 7].map((acid) => ({ doseGramsTotal: acid * 0.2, ph: oneSitePh(20, 6.2, acid) }));
    const { recommend } = adviseTitration(titrationOf(readings, { agent: strong }));
    const toMiddle = 20 / (1 + 10 ** (5 - 6.2)) - 10;
    expect(recommend.finalEstimateGrams).toBeGreaterThan(toMiddle * 0.2 * 0.85);
    expect(recommend.finalEstimateGrams).toBeLessThan(toMiddle * 0.2 * 1.15);
  });

  it("is the same for the same seed and differs little for another", () => {
    const titration = titrationOf([
      { doseGramsTotal: 0, ph: 7 },
      { doseGramsTotal: 1, ph: 6.2 },
    ]);
    expect(adviseTitration(titration)).toEqual(adviseTitration(titration));
    const other = adviseTitration(titration, { seed: 7 }).recommend.finalEstimateGrams;
    const here = adviseTitration(titration).recommend.finalEstimateGrams;
    expect(Math.abs(other / here - 1)).toBeLessThan(0.15);
  });

  it("in the middle of the window nothing more goes in", () => {
    const { state, recommend, insideChance } = adviseTitration(
      titrationOf([
        { doseGramsTotal: 0, ph: 7 },
        { doseGramsTotal: 4, ph: 5 },
      ]),
    );
    expect(state).toBe("in-target");
    expect(recommend.grams).toBe(0);
    expect(insideChance).toBeGreaterThanOrEqual(0.975);
  });

  it("just inside the near edge it asks to read again; after two more readings it doses on", () => {
    const edge = [
      { doseGramsTotal: 0, ph: 7 },
      { doseGramsTotal: 3, ph: 5.39 },
    ];
    const again = { doseGramsTotal: 3, ph: 5.39 };
    expect(adviseTitration(titrationOf(edge)).state).toBe("reread");
    expect(adviseTitration(titrationOf([...edge, again, again])).state).toBe("dose");
  });

  it("a strip of ± 0.25 is never certain where a meter would be", () => {
    const readings = [
      { doseGramsTotal: 0, ph: 7, phSigma: 0.25 },
      { doseGramsTotal: 4, ph: 5, phSigma: 0.25 },
    ];
    expect(adviseTitration(titrationOf(readings)).insideChance).toBeLessThan(0.975);
  });

  it("is never inside while the reading lies outside: 7.34, 4.38, 4.23 with lactic acid, wish 6.1 to 6.7", () => {
    const readings = [
      { doseGramsTotal: 0, ph: 7.34 },
      { doseGramsTotal: 2, ph: 4.38 },
      { doseGramsTotal: 2, ph: 4.23 },
    ];
    for (const seed of [1, 2, 3]) {
      expect(adviseTitration(titrationOf(readings, { target: { low: 6.1, high: 6.7 } }), { seed }).state).not.toBe("in-target");
    }
  });

  it("a dose that did nothing fits no plausible batch: it asks to read again, and after two readings it doses on", () => {
    const start = { doseGramsTotal: 0, ph: 7 };
    const nothing = { doseGramsTotal: 30, ph: 6.98 };
    const { state, recommend, text } = adviseTitration(titrationOf([start, nothing], { knownBuffers: [] }));
    if (state === "reread") {
      expect(recommend.grams).toBe(0);
      expect(text).toMatch(/read again/i);
    } else expect(recommend.overshootChance).toBeLessThanOrEqual(0.02);
  });

  it("a reading that fits nothing is read again; the same again it stands, and the advice follows it", () => {
    const buffered = { knownBuffers: [4, 5, 6].map((pKa) => ({ pKa, low: 80, high: 80 })), counterAgent: soda };
    const odd = { doseGramsTotal: 1, ph: 3.6 };
    const first = adviseTitration(titrationOf([{ doseGramsTotal: 0, ph: 7 }, odd], buffered));
    expect([first.state, first.said.code, first.recommend.grams]).toEqual(["reread", "no-fit", 0]);
    const again = adviseTitration(titrationOf([{ doseGramsTotal: 0, ph: 7 }, odd, odd], buffered));
    expect([again.state, again.recommend.agent]).toEqual(["overshot", "counterAgent"]);
    expect(again.recommend.grams).toBeGreaterThan(0);
  });

  it("where nothing is known the first dose probes, and says so; where many sites are listed it goes further", () => {
    const unknown = adviseTitration(titrationOf([{ doseGramsTotal: 0, ph: 8 }], { knownBuffers: [] }));
    const listed = adviseTitration(titrationOf([{ doseGramsTotal: 0, ph: 8 }], { knownBuffers: [{ pKa: 5, low: 60, high: 60 }] }));
    expect(unknown.said).toMatchObject({ code: "dose", isProbing: true });
    expect(unknown.text).toContain("as a probing dose");
    expect(listed.recommend.grams).toBeGreaterThan(unknown.recommend.grams);
  });

  it("a strip far from a window narrower than 1 says at once that it does not resolve it", () => {
    const { state, text } = adviseTitration(titrationOf([{ doseGramsTotal: 0, ph: 7.5, phSigma: 0.25 }]));
    expect(state).toBe("dose");
    expect(text).toContain("does not resolve this window");
    expect(adviseTitration(titrationOf([{ doseGramsTotal: 0, ph: 7.5 }])).text).not.toContain("strip");
  });

  it("a strip in reach of a window it cannot resolve says to use a meter, and nothing more goes in", () => {
    const { state, recommend, text } = adviseTitration(
      titrationOf([
        { doseGramsTotal: 0, ph: 7, phSigma: 0.25 },
        { doseGramsTotal: 4, ph: 5.5, phSigma: 0.25 },
      ]),
    );
    expect([state, recommend.grams]).toEqual(["reread", 0]);
    expect(text).toContain("Read with a meter");
  });

  it("a meter that is off by a tenth does not get better by reading it again: doubt at the edge stays", () => {
    const edge = { doseGramsTotal: 3, ph: 5.39 };
    const readings = [{ doseGramsTotal: 0, ph: 7 }, ...Array.from({ length: 9 }, () => edge)];
    expect(adviseTitration(titrationOf(readings)).insideChance).toBeLessThan(0.8);
  });

  it("past the far edge it calls for the other agent, and doses it when there is one", () => {
    const past = [
      { doseGramsTotal: 0, ph: 7 },
      { doseGramsTotal: 8, ph: 4.2 },
    ];
    const without = adviseTitration(titrationOf(past));
    expect(without.state).toBe("overshot");
    expect(without.recommend.grams).toBe(0);
    expect(without.text).toContain("It takes a base");
    const { state, recommend } = adviseTitration(titrationOf(past, { counterAgent: soda }));
    expect([state, recommend.agent]).toEqual(["overshot", "counterAgent"]);
    expect(recommend.grams).toBeGreaterThan(0);
    expect(recommend.expectedPh).toBeGreaterThan(4.2);
    expect(recommend.expectedPhHigh).toBeLessThan(5.4);
  });

  it("a batch that starts below the window needs the other agent", () => {
    const { state, text } = adviseTitration(titrationOf([{ doseGramsTotal: 0, ph: 4 }]));
    expect(state).toBe("needs-other-agent");
    expect(text).toContain("Below 4.60 to 5.40 already");
  });

  it("base brings a sour batch up", () => {
    const { state, recommend } = adviseTitration(titrationOf([{ doseGramsTotal: 0, ph: 3.5 }], { agent: soda }));
    expect(state).toBe("dose");
    expect(recommend.expectedPh).toBeGreaterThan(3.5);
    expect(recommend.expectedPhHigh).toBeLessThan(5.4);
  });

  it.each([
    [lactic, 7.5, "acid raised the pH"],
    [soda, 3.2, "base lowered the pH"],
  ])("a reading that goes the wrong way is said, not dosed on", (agent, ph, said) => {
    const start = agent === lactic ? 7 : 3.5;
    const { state, recommend, text } = adviseTitration(
      titrationOf(
        [
          { doseGramsTotal: 0, ph: start },
          { doseGramsTotal: 1, ph },
        ],
        { agent },
      ),
    );
    expect([state, recommend.grams]).toEqual(["reread", 0]);
    expect(text).toContain(said);
  });

  it("the same reading five times is one reading, better known", () => {
    const five = Array.from({ length: 5 }, () => ({ doseGramsTotal: 0, ph: 6.5 }));
    const { state, recommend, bufferCurve: points } = adviseTitration(titrationOf(five));
    expect(state).toBe("dose");
    expect(recommend.grams).toBeGreaterThan(0);
    expect(points).toEqual([{ ph: 6.5, mmolPerKg: 0 }]);
  });

  it("where one drop is too much it advises none and a weaker solution", () => {
    const strong = { ...soda, strengthPercent: 50 };
    const { state, recommend, text } = adviseTitration(
      titrationOf([{ doseGramsTotal: 0, ph: 4.4 }], { batchGrams: 30, agent: strong, dropGrams: 0.2 }),
    );
    expect([state, recommend.drops, recommend.grams]).toEqual(["dose", 0, 0]);
    expect(text).toContain("weaker solution");
  });

  it("an earlier batch of the version narrows what is expected", () => {
    const earlier = titrationOf([0, 1, 2, 3].map((k) => ({ doseGramsTotal: k, ph: oneSitePh(20, 6.2, k * 2.2 * 0.93) })));
    const now = titrationOf([{ doseGramsTotal: 0, ph: 6.2 }]);
    const width = ({ recommend }: ReturnType<typeof adviseTitration>) =>
      (recommend.expectedPhHigh - recommend.expectedPhLow) / recommend.grams;
    expect(width(adviseTitration(now, { earlier: [earlier] }))).toBeLessThan(width(adviseTitration(now)));
  });
});

describe("whole drops", () => {
  it("the nearest number that stays safe, at least one where one is safe", () => {
    expect(wholeDrops({ wanted: 0.26, safe: 1, dropGrams: 0.05 })).toEqual({ count: 5, oneIsTooMuch: false });
    expect(wholeDrops({ wanted: 0.26, safe: 0.21, dropGrams: 0.05 })).toEqual({ count: 4, oneIsTooMuch: false });
    expect(wholeDrops({ wanted: 0.01, safe: 0.2, dropGrams: 0.05 })).toEqual({ count: 1, oneIsTooMuch: false });
    expect(wholeDrops({ wanted: 0.04, safe: 0.049, dropGrams: 0.05 })).toEqual({ count: 0, oneIsTooMuch: true });
  });

  it("never more than is safe", () => {
    const mass = fc.double({ min: 0, max: 10, noNaN: true });
    fc.assert(
      fc.property(mass, mass, fc.double({ min: 0.01, max: 0.1, noNaN: true }), (wanted, safe, dropGrams) => {
        expect(wholeDrops({ wanted, safe, dropGrams }).count * dropGrams).toBeLessThanOrEqual(safe * (1 + 1e-9) + 1e-9);
      }),
    );
  });
});
