import { describe, expect, it } from "vitest";
import { findMaterials, materialFinder } from "./findMaterials.ts";
import { referenceLibrary } from "./referenceLibrary.ts";

const all = referenceLibrary.map((facts) => ({ id: facts.slug, facts }));
const slugsFor = (text: string) => findMaterials(all, text).map((found) => found.id);

describe("finding a material", () => {
  it.each([
    ["cocamidopropyl betaine", "cocamidopropyl-betaine"],
    ["xanthan", "xanthan-gum"],
    ["Glycerin", "glycerin"],
  ])("by name: %s finds %s first", (text, slug) => {
    expect(slugsFor(text)[0]).toBe(slug);
  });

  it("by INCI name: Mel is honey", () => {
    expect(slugsFor("Hydroxypropyltrimonium Honey")[0]).toBe("hydroxypropyltrimonium-honey");
    expect(slugsFor("Tetrasodium Glutamate Diacetate")).toContain("tetrasodium-glda");
  });

  it("by role: preservatives come up for preservative", () => {
    const roles = findMaterials(all, "preservative").map((found) => found.facts.role);
    expect(roles.filter((role) => role === "preservative").length).toBeGreaterThan(5);
  });

  it.each(["cocamidopropil betain", "cocoamidopropyl betaine"])("forgives %s", (text) => {
    expect(slugsFor(text)).toContain("cocamidopropyl-betaine");
  });

  it.each([
    ["olefin sulfonate 40", "aos-40"],
    ["olefin sulfonate powder", "aos-powder"],
    ["betaine cocamidopropyl", "cocamidopropyl-betaine"],
    ["coco-glucoside", "coco-glucoside"],
    ["cetrimonium", "cetrimonium-chloride"],
    ["sles 70", "sles-2eo-70"],
    ["salt", "sodium-chloride"],
    ["citric acid 50", "citric-acid-solution-50"],
  ])("words in any order: %s finds %s first", (text, slug) => {
    expect(slugsFor(text)[0]).toBe(slug);
  });

  it("takes signs as nothing special", () => {
    expect(slugsFor("'glycerin |")[0]).toBe("glycerin");
    expect(slugsFor("!")).toEqual([]);
  });

  it("finds nothing for nonsense, and at most twelve of anything", () => {
    expect(slugsFor("zzqqxx")).toEqual([]);
    expect(slugsFor("sodium").length).toBeLessThanOrEqual(12);
  });
});

describe("a library of 5,220", () => {
  const many = Array.from({ length: 20 }, (_, copy) =>
    referenceLibrary.map((facts) => {
      const slug = copy === 0 ? facts.slug : `${facts.slug}-${copy}`;
      return { id: slug, facts: { ...facts, slug, name: copy === 0 ? facts.name : `${facts.name} of shelf ${copy}` } };
    }),
  ).flat();
  const find = materialFinder(many);

  it.each([
    "cocamidopropyl betaine",
    "cocamidopropil betain",
    "xanthan",
    "Hydroxypropyltrimonium Honey",
    "betaine cocamidopropyl",
    "olefin sulfonate powder",
    "sles 70",
    "pantenol",
  ])("finds for %s what the short one finds first", (text) => {
    expect(find(text)[0]?.facts.slug.replace(/-\d+$/, "")).toBe(findMaterials(all, text)[0]?.facts.slug.replace(/-\d+$/, ""));
  });

  it("finds a single one of them by its number, and nothing for nonsense", () => {
    expect(find("glycerin shelf 17")[0]?.id).toBe("glycerin-17");
    expect(find("zzqqxx")).toEqual([]);
  });
});
