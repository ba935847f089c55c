import { describe, expect, it } from "vitest";
import { codesOf, read, water } from "../testing/findings.ts";

describe("mass", () => {
  it("MASS_OVER stops, names the water line and the excess: 101.40 − 100 = 1.40 %", () => {
    const [finding] = read([water, ["glycerin", 101.4]]).findings.filter(({ code }) => code === "MASS_OVER");
    expect(finding).toMatchObject({ severity: "stop", lines: ["water-distilled"] });
    expect(finding?.what).toContain("101.40 %");
    expect(finding?.cure).toBe("Remove 1.40 %.");
  });

  it("MASS_OVER lets 100 % pass", () => {
    expect(codesOf([water, ["glycerin", 100]])).not.toContain("MASS_OVER");
    expect(codesOf([["glycerin", 100.005]])).not.toContain("MASS_OVER");
    expect(codesOf([["glycerin", 100.0051]])).toContain("MASS_OVER");
  });

  it("MASS_OPEN fires below 99.995 % without a q.s. line and never with one", () => {
    expect(codesOf([["glycerin", 99.994]])).toContain("MASS_OPEN");
    expect(codesOf([["glycerin", 99.995]])).not.toContain("MASS_OPEN");
    expect(codesOf([water, ["glycerin", 2]])).not.toContain("MASS_OPEN");
    expect(read([["glycerin", 91]]).findings[0]?.what).toContain("9.00 % is open");
  });

  it("MASS_NO_QS is only to consider, fires at exactly 100 % and not on a dry product", () => {
    const [finding] = read([["glycerin", 100]]).findings.filter(({ code }) => code === "MASS_NO_QS");
    expect(finding?.severity).toBe("consider");
    expect(codesOf([["glycerin", 100]], { profile: "powder-cleanser" })).not.toContain("MASS_NO_QS");
    expect(codesOf([["glycerin", 99]])).not.toContain("MASS_NO_QS");
    expect(codesOf([water, ["glycerin", 9]])).not.toContain("MASS_NO_QS");
  });
});
