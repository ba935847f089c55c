import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { assess } from "../assessment/assess.ts";
import { profiles } from "../formula/profiles.ts";
import { library, sheetOf, type WrittenLine } from "../testing/exampleSheet.ts";
import { briefMaterial, wholeMaterial } from "./briefMaterial.ts";
import { referenceLibrary } from "./referenceLibrary.ts";

const throughBrief = new Map([...library].map(([slug, material]) => [slug, wholeMaterial(briefMaterial(material))]));

describe("a material in few words", () => {
  it("has the same shape again afterwards", () => {
    for (const material of referenceLibrary) {
      const again = throughBrief.get(material.slug);
      expect(Object.keys(again ?? {}).sort(), material.slug).toEqual(Object.keys(material).sort());
    }
  });

  it("gives the same readings as the whole, whatever the sheet", () => {
    const line = fc.tuple(fc.constantFrom(...library.keys()), fc.integer({ min: 0, max: 3000 }));
    fc.assert(
      fc.property(fc.array(line, { maxLength: 12 }), fc.constantFrom(...profiles), (drawn, profile) => {
        const written = drawn.map(([slug, hundredths]): WrittenLine => [slug, hundredths / 100]);
        const sheet = sheetOf([["water-distilled", "q.s."], ...written], { profile: profile.slug });
        expect(assess(sheet, throughBrief)).toEqual(assess(sheet, library));
      }),
    );
  });

  it("is less than two thirds as long", () => {
    const length = (materials: readonly unknown[]) => JSON.stringify(materials).length;
    expect(length(referenceLibrary.map(briefMaterial))).toBeLessThan((length(referenceLibrary) * 2) / 3);
  });
});
