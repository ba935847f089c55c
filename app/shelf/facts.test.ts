import { referenceLibrary } from "@tensidrum/core/reference";
import { describe, expect, it } from "vitest";
import { factRows } from "./facts";

const material = (slug: string) => {
  const found = referenceLibrary.find((one) => one.slug === slug);
  if (found === undefined) throw new Error(slug);
  return found;
};

describe("the facts of a material", () => {
  it("a 30 % betaine tells its strength and from where to where it varies", () => {
    const betaine = material("cocamidopropyl-betaine");
    const [active] = factRows(betaine);
    expect(active).toMatchObject({ name: "active matter", value: `${betaine.active?.typical} %` });
    expect(active?.range).toBe(`${betaine.active?.low} to ${betaine.active?.high}`);
  });

  it("a fact the library is not sure of is called an estimate, no other is", () => {
    for (const one of referenceLibrary) {
      const estimates = factRows(one).filter(({ source }) => source === "estimate").length;
      expect(estimates, one.slug).toBeLessThanOrEqual(one.uncertain.length);
    }
    const unsure = { ...material("cocamidopropyl-betaine"), uncertain: ["densityGramsPerMl"] };
    expect(
      factRows(unsure)
        .filter(({ source }) => source === "estimate")
        .map(({ name }) => name),
    ).toEqual(["density"]);
  });

  it("a cleanser owns up to what is not known; glycerin leaves it out", () => {
    const mute = { ...material("cocamidopropyl-betaine"), zein: null };
    expect(factRows(mute)).toContainEqual({ name: "irritation index, alone", value: "", range: "", source: "not known" });
    expect(factRows(material("glycerin")).some(({ source }) => source === "not known")).toBe(false);
  });
});
