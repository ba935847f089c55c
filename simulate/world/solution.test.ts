import { describe, expect, it } from "vitest";
import { activityLoss, amine, balancePh, protolytes, weakCharge } from "./solution";

describe("a solution as it is", () => {
  it("loses of an activity what Davies says: 0.107 at 0.1 mol/kg", () => {
    // √0.1 = 0.316228, ⁄ 1.316228 = 0.240253, − 0.03 = 0.210253, × 0.509.
    expect(activityLoss(0.1)).toBeCloseTo(0.107, 4);
    expect(activityLoss(0)).toBe(0);
  });

  it("pure water stands at half its ion product", () => {
    expect(balancePh([], 0, 0)).toBeCloseTo(13.995 / 2, 6);
  });

  it("lactic acid of 100 mmol/kg in pure water stands at 2.438", () => {
    // Ka = 1.38038 · 10⁻⁴: h = (−Ka + √(Ka² + 4 Ka · 0.1)) ⁄ 2 = 3.647 · 10⁻³.
    expect(balancePh([{ protolyte: protolytes.lactate, amount: 100 }], 0, 0)).toBeCloseTo(2.438, 3);
  });

  it.each([
    { what: "an acid without charge, half of it used", protolyte: protolytes.lactate, strongIons: 50, atNoSalt: 3.86, losses: -1 },
    {
      what: "the second proton of phosphate, half of it used",
      protolyte: protolytes.phosphate,
      strongIons: 150,
      atNoSalt: 7.199,
      losses: -3,
    },
    { what: "an amine, half of it with its proton", protolyte: amine(9.5), strongIons: -50, atNoSalt: 9.5, losses: 1 },
  ])("salt moves $what by $losses losses of a single charge", ({ protolyte, strongIons, atNoSalt, losses }) => {
    const dissolved = [{ protolyte, amount: 100 }];
    expect(balancePh(dissolved, strongIons, 0)).toBeCloseTo(atNoSalt, 2);
    expect(balancePh(dissolved, strongIons, 0.1)).toBeCloseTo(atNoSalt + 0.1 * losses, 2);
  });

  it("weak and strong ions balance at the pH it finds", () => {
    const dissolved = [
      { protolyte: protolytes.citrate, amount: 40 },
      { protolyte: protolytes.carbonate, amount: 7 },
    ];
    for (const strongIons of [0, 30, 90, 130])
      expect(weakCharge(dissolved, balancePh(dissolved, strongIons, 0.12), 0.12)).toBeCloseTo(-strongIons, 6);
  });
});
