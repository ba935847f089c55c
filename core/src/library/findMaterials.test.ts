import { describe, expect, it } from "vitest";
import { findMaterials, materialFinder } from "./findMaterials.ts";
import { queries } from "./testing/queries.ts";
import { referenceLibrary } from "./referenceLibrary.ts";

const all = referenceLibrary.map((facts) => ({ id: facts.slug, facts }));
const finder = materialFinder(all);
const slugsFor = (text: string) => finder(text).map((found) => found.id);

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

describe("what people type", () => {
  it("is at least 120 queries, none twice", () => {
    expect(queries.length).toBeGreaterThanOrEqual(120);
    expect(new Set(queries.map(([typed]) => typed)).size).toBe(queries.length);
  });

  it("finds what is meant first in 95 of 100, and among the first three always", () => {
    const found = queries.map(([typed, wanted]) => ({ typed, wanted, hits: slugsFor(typed).slice(0, 3) }));
    const isMeant = ({ wanted, hits }: (typeof found)[number], most: number) =>
      wanted === null ? hits.length === 0 : hits.slice(0, most).includes(wanted);
    expect(found.filter((each) => !isMeant(each, 3))).toEqual([]);
    expect(found.filter((each) => isMeant(each, 1)).length).toBeGreaterThanOrEqual(0.95 * queries.length);
  });

  it("puts whole words before starts of words before near letters", () => {
    expect(slugsFor("salt").slice(0, 2)).toEqual(["sodium-chloride", "fine-sea-salt"]);
    expect(slugsFor("lactic")[0]).toBe("lactic-acid-90");
    expect(slugsFor("ceramide")).toEqual([]);
  });

  it("never finds what stands for a material that is yet to be chosen", () => {
    expect(slugsFor("not chosen")).toEqual([]);
  });
});

describe("a library of 5,088", () => {
  const many = Array.from({ length: 16 }, (_, copy) =>
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
    expect(find("glycerin shelf 15")[0]?.id).toBe("glycerin-15");
    expect(find("zzqqxx")).toEqual([]);
  });
});
