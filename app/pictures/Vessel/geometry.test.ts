import { describe, expect, it } from "vitest";
import { PLACE, vesselGeometry, vesselKind } from "./geometry";

describe("what a material stands in", () => {
  it("liquids in bottles, scents in vials, solids in jars, from 2 kg all in canisters", () => {
    expect(vesselKind("liquid", 1999, false)).toBe("bottle");
    expect(vesselKind("oil", 50, true)).toBe("vial");
    expect(vesselKind("powder", 100, true)).toBe("jar");
    expect(vesselKind(null, 100, false)).toBe("bottle");
    expect(vesselKind("powder", 2000, false)).toBe("canister");
  });
});

describe("a vessel's geometry", () => {
  it("has four heights by pack: 42, 54, 68 and 82 px", () => {
    const heights = [30, 150, 600, 601].map((pack) => PLACE.height - vesselGeometry("bottle", pack, 0).cap.y);
    expect(heights).toEqual([42, 54, 68, 82]);
  });

  // 1 kg bottle: top at 10, neck to 20, body from 20 + 0.24 × 82 = 39.68 to 92: 52.32 px.
  it("half of the pack fills half of the body, and never more than all of it", () => {
    expect(vesselGeometry("bottle", 1000, 500).surfaceY).toBeCloseTo(92 - 52.32 / 2, 9);
    expect(vesselGeometry("bottle", 1000, 1000).surfaceY).toBeCloseTo(39.68, 9);
    expect(vesselGeometry("bottle", 1000, 1300).surfaceY).toBeCloseTo(39.68, 9);
  });

  it("nothing left draws no fill, and less than nothing neither", () => {
    expect(vesselGeometry("jar", 100, 0).fill).toBe("");
    expect(vesselGeometry("jar", 100, -5).fill).toBe("");
  });

  it("the sign stands in the middle of what is left, where it has room", () => {
    const full = vesselGeometry("bottle", 1000, 1000);
    expect(full.signY).toBeCloseTo((92 + 39.68) / 2, 9);
    expect(vesselGeometry("bottle", 1000, 100).signY).toBeNull();
  });
});
