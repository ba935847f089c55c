import { describe, expect, it } from "vitest";
import { referenceLibrary } from "./referenceLibrary.ts";

const bySlug = new Map(referenceLibrary.map((material) => [material.slug, material]));

describe("the reference library", () => {
  it("holds 261 materials with a slug of their own each", () => {
    expect(referenceLibrary).toHaveLength(261);
    expect(bySlug.size).toBe(261);
  });

  it("describes each material by its composition or by its parts, adding up to 100 %", () => {
    for (const material of referenceLibrary) {
      const shares = material.inci ?? material.parts;
      const total = shares.reduce((sum, entry) => sum + entry.percent, 0);
      expect(total, material.slug).toBeCloseTo(100, 6);
    }
  });

  it("names only known materials as parts", () => {
    for (const material of referenceLibrary) {
      for (const part of material.parts ?? []) expect(bySlug.has(part.material), part.material).toBe(true);
    }
  });

  it("gives every cleansing active a charge and an ordered active content within 0 to 100 %", () => {
    const actives = referenceLibrary.filter((material) => material.countsAsActive === true);
    expect(actives.length).toBeGreaterThan(45);
    for (const material of actives) {
      expect(material.charge, material.slug).not.toBeNull();
      const active = material.active;
      if (active === null) throw new Error(`${material.slug} has no active content`);
      expect(active.low, material.slug).toBeGreaterThan(0);
      expect(active.low, material.slug).toBeLessThanOrEqual(active.typical);
      expect(active.typical, material.slug).toBeLessThanOrEqual(active.high);
      expect(active.high, material.slug).toBeLessThanOrEqual(100);
    }
  });

  it("never claims more active matter and salt together than a bottle can hold", () => {
    for (const material of referenceLibrary) {
      const active = material.countsAsActive === true ? (material.active?.typical ?? 0) : 0;
      expect(active + (material.saltPercent ?? 0), material.slug).toBeLessThanOrEqual(100);
    }
  });

  it("names as uncertain only facts it has", () => {
    for (const material of referenceLibrary) {
      for (const field of material.uncertain) expect(Object.keys(material), material.slug).toContain(field.split(".")[0]);
    }
  });
});
