import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { massBalance } from "./massBalance.ts";

const qs = { qs: true } as const;

describe("mass balance", () => {
  it("water takes what 22 % and 18 % leave: 60 %", () => {
    const balance = massBalance([qs, { percent: 22 }, { percent: 18 }]);
    expect(balance).toMatchObject({ state: "closed", qsPercent: 60, totalPercent: 100, openPercent: 0 });
  });

  it("with q.s. the others may reach 100 but not pass it", () => {
    expect(massBalance([qs, { percent: 100 }])).toMatchObject({ state: "closed", qsPercent: 0 });
    expect(massBalance([qs, { percent: 100 }, { percent: 0.001 }])).toMatchObject({ state: "over", qsPercent: 0 });
    // ten tenths are 0.9999999999999999 of it in doubles
    expect(massBalance([qs, ...Array.from({ length: 1000 }, () => ({ percent: 0.1 }))]).state).toBe("closed");
  });

  it.each([
    [99.994, "open"],
    [99.995, "closed"],
    [100, "closed"],
    [100.005, "closed"],
    [100.006, "over"],
  ])("without q.s. %d %% is %s", (percent, state) => {
    expect(massBalance([{ percent }]).state).toBe(state);
  });

  it("says what is open: 85 base and 6 oil leave 9", () => {
    expect(massBalance([{ percent: 85 }, { percent: 6 }])).toMatchObject({ openPercent: 9, totalPercent: 91 });
  });

  it("with q.s. always comes to 100 unless the others already pass it", () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 40, noNaN: true }), { maxLength: 6 }), (percents) => {
        const balance = massBalance([qs, ...percents.map((percent) => ({ percent }))]);
        if (balance.state === "over") expect(balance.othersPercent).toBeGreaterThan(100);
        else expect(balance.othersPercent + balance.qsPercent).toBeCloseTo(100, 8);
      }),
    );
  });
});
