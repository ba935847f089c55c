import type { DesignedBlend } from "@tensidrum/core/design";
import { describe, expect, it } from "vitest";
import { changesOf, changeWords, proposalsOf } from "./proposals";

const blend = (irritation: number): DesignedBlend => ({
  ...{ lines: [], activePercent: 10, irritation, flash: 6, density: 6, stability: 6, cost: null },
  ...{ saltPercent: 0, changePercent: 1, answersToSalt: false, clarity: "clear" },
});
const blends = [blend(100), blend(80), blend(70)];
const corners = (knee: number, mildest: number) => ({ mildest, cheapest: 0, mostFoam: 0, knee });

describe("three proposals", () => {
  it("least change, best bargain, mildest", () => {
    const told = proposalsOf({ blends, corners: corners(1, 2) }).map(({ name, blend: { irritation } }) => [name, irritation]);
    expect(told).toEqual([
      ["least change", 100],
      ["best bargain", 80],
      ["mildest", 70],
    ]);
  });

  it("the same blend is proposed once", () => {
    expect(proposalsOf({ blends: [blend(100)], corners: corners(0, 0) }).map(({ name }) => name)).toEqual(["least change"]);
    expect(proposalsOf({ blends: [], corners: null })).toEqual([]);
  });
});

describe("the difference to the sheet", () => {
  const present = [
    { material: "sulfate", percent: 20 },
    { material: "betaine", percent: 10 },
    { material: "glucoside", percent: 3 },
  ];
  const lines = [
    { material: "betaine", percent: 12.5, activePercent: 3.75 },
    { material: "glucoside", percent: 3.001, activePercent: 1.5 },
    { material: "taurate", percent: 4, activePercent: 1.2 },
  ];

  it("what goes, what changes and what is new; what stays is not told", () => {
    expect(changesOf(present, { lines }).map((change) => [change.material, changeWords(change)])).toEqual([
      ["sulfate", "goes"],
      ["betaine", "10.00 → 12.50 %"],
      ["taurate", "new, 4.00 %"],
    ]);
  });
});
