import { describe, expect, it } from "vitest";
import type { Material, NestedMaterial } from "../library/material.ts";
import { library, materialOf } from "../testing/exampleSheet.ts";
import { leavesOf } from "./leaves.ts";
import { Refusal } from "../quantities/refusal.ts";

function blend(slug: string, parts: NestedMaterial["parts"]): Material {
  const { inci: _own, ...facts } = materialOf("glycerin");
  return { ...facts, slug, name: slug, parts } as NestedMaterial;
}

describe("the leaves of a nested material", () => {
  it("half of a base that is a quarter betaine brings an eighth of betaine", () => {
    const inner = blend("inner", [
      { material: "cocamidopropyl-betaine", percent: 25 },
      { material: "water-distilled", percent: 75 },
    ]);
    const outer = blend("outer", [
      { material: "inner", percent: 50 },
      { material: "glycerin", percent: 50 },
    ]);
    const leaves = leavesOf(outer, new Map([...library, ["inner", inner]]));
    expect(leaves.map((leaf) => [leaf.material.slug, leaf.fraction])).toEqual([
      ["cocamidopropyl-betaine", 0.125],
      ["water-distilled", 0.375],
      ["glycerin", 0.5],
    ]);
  });

  it("a plain material is its own leaf", () => {
    expect(leavesOf(materialOf("glycerin"), library)).toHaveLength(1);
  });

  it("refuses a material that contains itself and shows the way round", () => {
    const a = blend("a", [{ material: "b", percent: 100 }]);
    const b = blend("b", [{ material: "a", percent: 100 }]);
    const materials = new Map([
      ["a", a],
      ["b", b],
    ]);
    expect(() => leavesOf(a, materials)).toThrow(Refusal);
    expect(() => leavesOf(a, materials)).toThrow("a in b in a");
  });

  it("refuses an unknown part by its name", () => {
    const lost = blend("lost", [{ material: "moon-dust", percent: 100 }]);
    expect(() => leavesOf(lost, library)).toThrow('"moon-dust"');
  });
});
