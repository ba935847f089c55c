import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { agentTables } from "./alkalinity.ts";
import { chargeOf, nearPhFrom, phOf, type PlausibleBatch } from "./plausibleBatch.ts";

const acid = agentTables({ kind: "acid", molarMass: 192.12, pKas: [3.13, 4.76, 6.4], strengthPercent: 20 });
const base = agentTables({ kind: "base", molarMass: 40, pKas: [14], strengthPercent: 10 });
const dosed = { agent: acid, counter: base };
const KNOWN = [3.13, 4.19, 6.4];

/** A batch of three known sites and perhaps one more, at its own pH before anything is dosed. */
const batches = fc
  .record({
    sites: fc.array(fc.double({ min: 0, max: 40, noNaN: true }), { minLength: 4, maxLength: 4 }),
    unknownPKa: fc.double({ min: 2, max: 10.5, noNaN: true }),
    background: fc.double({ min: 5, max: 25, noNaN: true }),
    startPh: fc.double({ min: 4, max: 9, noNaN: true }),
    thinned: fc.double({ min: 0.8, max: 1, noNaN: true }),
    agentTotal: fc.double({ min: 0, max: 5, noNaN: true }),
    counterTotal: fc.double({ min: 0, max: 2, noNaN: true }),
  })
  .map(({ sites, unknownPKa, startPh, ...rest }): PlausibleBatch => {
    const batch: PlausibleBatch = {
      ...rest,
      sites: Float64Array.from(sites),
      pKas: Float64Array.from([...KNOWN, unknownPKa]),
      siteCount: 4,
      level: 1,
      excess: 0,
    };
    const before = { ...batch, agentTotal: 0, counterTotal: 0, thinned: 1 };
    batch.excess = chargeOf(before, startPh, dosed);
    return batch;
  });

describe("the pH of a batch beside a reading", () => {
  it("is the batch's own, to 0.05, wherever within 0.3 the reading lies", () => {
    fc.assert(
      fc.property(batches, fc.double({ min: -0.3, max: 0.3, noNaN: true }), (batch, beside) => {
        const exact = phOf(batch, dosed);
        fc.pre(exact > 3 && exact < 9);
        const near = nearPhFrom(exact + beside, dosed)(batch);
        expect(Math.abs(near - exact)).toBeLessThan(0.05);
      }),
    );
  });

  it("without a counter agent nothing is taken back", () => {
    fc.assert(
      fc.property(batches, fc.double({ min: 3, max: 10, noNaN: true }), (batch, reading) => {
        const alone = { ...batch, counterTotal: 0 };
        const without = nearPhFrom(reading, { agent: acid, counter: null })(alone);
        expect(without).toBeCloseTo(nearPhFrom(reading, dosed)(alone), 9);
      }),
    );
  });
});
