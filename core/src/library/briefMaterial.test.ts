import { describe, expect, it } from "vitest";
import { assess } from "../formula/assess.ts";
import { library, sheetOf } from "../testing/exampleSheet.ts";
import { briefMaterial, wholeMaterial } from "./briefMaterial.ts";
import { referenceLibrary } from "./referenceLibrary.ts";

describe("a material in few words", () => {
  it("comes back whole but for its prose, every one of the library", () => {
    for (const material of referenceLibrary) {
      const { handling: _h, caution: _c, restrictions: _r, ...facts } = wholeMaterial(briefMaterial(material));
      const { handling: _h2, caution: _c2, restrictions: _r2, ...original } = material;
      // A blend leaves to its leaves whether it counts as active; left out reads as false, and its parts speak.
      const counts = material.parts === undefined ? {} : { countsAsActive: false };
      expect(facts, material.slug).toEqual({ ...original, ...counts });
    }
  });

  it("gives the same readings", () => {
    const sheet = sheetOf([
      ["water-distilled", "q.s."],
      ["aos-40", 15],
      ["mild-anionic-preblend", 10],
      ["cetrimonium-chloride", 2],
    ]);
    const brief = new Map([...library].map(([slug, material]) => [slug, wholeMaterial(briefMaterial(material))]));
    expect(assess(sheet, brief)).toEqual(assess(sheet, library));
  });

  it("is over a third shorter for what is no cleanser", () => {
    const glycerin = library.get("glycerin");
    if (glycerin === undefined) throw new Error("no glycerin");
    expect(JSON.stringify(briefMaterial(glycerin)).length).toBeLessThan((JSON.stringify(glycerin).length * 2) / 3);
  });
});
