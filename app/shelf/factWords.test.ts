import { describe, expect, it } from "vitest";
import { factName, factWords } from "./factWords";

describe("a fact in words", () => {
  it.each([
    ["saltPercent", 5.2, "5.2 % NaCl"],
    ["active", { low: 28, typical: 30, high: 32 }, "30, 28 to 32 %"],
    ["active", { low: 30, typical: 30, high: 30 }, "30 %"],
    ["phStable", { low: 4, high: 6 }, "4 to 6"],
    ["phStable", null, "not known"],
    ["flags", ["hard-water-tolerant", "nut"], "hard water tolerant, nut"],
    ["flags", null, "none"],
    ["caution", "Keep nitrite-type things away.", "Keep nitrite-type things away."],
    ["countsAsActive", true, "yes"],
    ["parts", [{ material: "glycerin", percent: 90 }], "glycerin 90 %"],
    ["buffers", [{ pKa: 2.2, mmolPerGram: { low: 0.7, high: 0.9 } }], "pKa 2.2; mmol/g 0.7 to 0.9"],
  ])("%s", (fact, value, words) => {
    expect(factWords(fact, value)).toBe(words);
  });

  it("has a name, if only its own", () => {
    expect(factName("saltPercent")).toBe("salt brought in");
    expect(factName("somethingNew")).toBe("something new");
  });
});
