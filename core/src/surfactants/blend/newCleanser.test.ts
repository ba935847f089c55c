import { describe, expect, it } from "vitest";
import type { Material } from "../../library/material.ts";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import { applyChange } from "../../formula/changes/formulaChange.ts";
import { newCleanser } from "./newCleanser.ts";
import { cornerShares } from "./rebalance.ts";

const material = (slug: string): Material => {
  const found = library.get(slug);
  if (found === undefined) throw new Error(slug);
  return found;
};

// aos-40 is 39 % active, cocamidopropyl-betaine 30 %
const plain = sheetOf([
  ["water-distilled", "q.s."],
  ["aos-40", 900 / 39],
  ["glycerin", 2],
]);

describe("a cleanser of a type that is missing", () => {
  it("comes in at a tenth of the blend: 9 % anionic ask for 1 % active, 3.33 % of a 30 % betaine", () => {
    const change = newCleanser(plain, material("cocamidopropyl-betaine"), library);
    expect(change).toMatchObject({ kind: "add", material: "cocamidopropyl-betaine", beside: "aos-40" });
    expect(change?.percent).toBeCloseTo(10 / 3, 9);
    const grown = change === null ? plain : applyChange(plain, change);
    expect(cornerShares(grown, library)?.amphoteric).toBeCloseTo(10, 9);
  });

  it("takes no more than the rest has", () => {
    const full = sheetOf([
      ["water-distilled", "q.s."],
      ["aos-40", 60],
      ["glycerin", 39],
    ]);
    expect(newCleanser(full, material("cocamidopropyl-betaine"), library)?.percent).toBeCloseTo(1, 9);
  });

  it("does not come in where nothing cleanses, where nothing is left, or when it does not cleanse itself", () => {
    const betaine = material("cocamidopropyl-betaine");
    expect(newCleanser(sheetOf([["water-distilled", "q.s."]]), betaine, library)).toBeNull();
    expect(newCleanser(sheetOf([["aos-40", 100]]), betaine, library)).toBeNull();
    expect(newCleanser(plain, material("glycerin"), library)).toBeNull();
  });
});
