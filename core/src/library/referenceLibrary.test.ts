import { describe, expect, it } from "vitest";
import { nicknames, severalMeanings } from "./nicknames.ts";
import { isNotChosen } from "./notChosen.ts";
import { referenceLibrary } from "./referenceLibrary.ts";
import { shownMaterial } from "./shownMaterial.ts";

const bySlug = new Map(referenceLibrary.map((material) => [material.slug, material]));

describe("the reference library", () => {
  it("holds 317 materials to choose from, with a slug of their own each", () => {
    expect(referenceLibrary.filter((material) => !isNotChosen(material))).toHaveLength(317);
    expect(bySlug.size).toBe(referenceLibrary.length);
  });

  it("shows no two materials under one name", () => {
    const names = referenceLibrary.map((material) => shownMaterial(material).name.toLowerCase());
    expect(names.filter((name, at) => names.indexOf(name) !== at)).toEqual([]);
  });

  it("counts what a name says: what is called about 30 % active has 30 %", () => {
    const told = referenceLibrary.flatMap((material) => {
      const [, percent] = /about ([\d.]+) % (?:active|soap)/.exec(material.name) ?? [];
      return percent === undefined || material.active === null ? [] : [[material.slug, Number(percent), material.active.typical] as const];
    });
    expect(told.length).toBeGreaterThan(35);
    for (const [slug, percent, typical] of told) expect(percent, slug).toBe(typical);
  });

  it("gives every nickname to one material that is there", () => {
    const all = Object.entries(nicknames).flatMap(([slug, names]) => names.map((name) => ({ slug, name })));
    for (const { slug, name } of all) {
      expect(bySlug.has(slug), slug).toBe(true);
      expect(all.filter((other) => other.name === name).length, name).toBe(1);
      expect(Object.hasOwn(severalMeanings, name), name).toBe(false);
    }
    for (const slug of Object.values(severalMeanings).flat()) expect(bySlug.has(slug), slug).toBe(true);
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
