import { describe, expect, it } from "vitest";
import { materialOf } from "../testing/exampleSheet.ts";
import { isSameMaterial } from "./isSameMaterial.ts";
import type { Material } from "./material.ts";

const glycerin = materialOf("glycerin");

describe("two materials", () => {
  it("are the same whatever the order of their facts, inside and out", () => {
    const turned = Object.fromEntries(Object.entries(glycerin).reverse()) as unknown as Material;
    const use = glycerin.use === null ? null : { high: glycerin.use.high, low: glycerin.use.low };
    expect(isSameMaterial(glycerin, { ...turned, use })).toBe(true);
  });

  it("differ by a single fact, and by being there at all", () => {
    expect(isSameMaterial(glycerin, { ...glycerin, name: "Lake glycerin" })).toBe(false);
    expect(isSameMaterial(glycerin, undefined)).toBe(false);
  });
});
