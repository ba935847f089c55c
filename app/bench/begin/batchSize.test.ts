import type { Formula } from "@tensidrum/core/formula";
import { referenceLibrary } from "@tensidrum/core/reference";
import { describe, expect, it } from "vitest";
import { batchSize, noSize, type TypedSize } from "./batchSize";

const materials = new Map(referenceLibrary.map((material) => [material.slug, material]));
const formula: Formula = {
  format: "tensidrum-formula/1",
  name: "Prop Room hand wash",
  profile: "hand-wash",
  batchGrams: 600,
  scales: [],
  phases: [{ id: "A" }],
  lines: [
    { id: "w", phase: "A", material: "water-distilled", qs: true },
    { id: "b", phase: "A", material: "cocamidopropyl-betaine", percent: 18 },
  ],
} as unknown as Formula;
const pump = { id: "p", name: "pump 250", nominalMl: 250, brimfulMl: 280, headspaceMl: 15, dipTubeMl: 25 };
const size = (changes: Partial<TypedSize>, grams = "") =>
  batchSize({ formula, materials, grams, size: { ...noSize, ...changes }, containers: [pump] });

describe("how large a batch is to be", () => {
  it("by mass as typed, and the version's own when nothing is typed", () => {
    expect(size({}, "1,2 kg")).toEqual({ grams: 1200, why: null });
    expect(size({})).toEqual({ grams: 600, why: null });
    expect(size({}, "a lot")).toMatchObject({ problem: "Give the batch as 600 g or 1.2 kg." });
  });

  it("by what is in hand: 83 g of 18 % make 461.1 g", () => {
    const made = size({ by: "hand", hand: "83", material: "cocamidopropyl-betaine" });
    expect("grams" in made && made.grams).toBeCloseTo(461.11, 2);
    expect(size({ by: "hand", hand: "", material: "cocamidopropyl-betaine" })).toMatchObject({
      problem: expect.stringContaining("83 g") as string,
    });
    expect(size({ by: "hand", hand: "83", material: "" })).toMatchObject({
      problem: expect.stringContaining("Choose which material") as string,
    });
  });

  it("by containers: what fits under the headspace beside the tube, 240 mL of 250, with 3 % loss and 10 g for tests", () => {
    const made = size({ by: "containers", count: "4", container: "p" });
    const one = size({ by: "containers", count: "1", container: "p" });
    if (!("grams" in made) || !("grams" in one)) throw new Error("no size");
    expect((made.grams - 10) / (one.grams - 10)).toBeCloseTo(4, 9);
    // Water with betaine weighs a little more than water.
    expect((one.grams - 10) * 0.97).toBeGreaterThanOrEqual(240);
    expect((one.grams - 10) * 0.97).toBeLessThan(250);
    expect(size({ by: "containers", count: "1.5", container: "p" })).toMatchObject({
      problem: expect.stringContaining("whole container") as string,
    });
    expect(size({ by: "containers", count: "3", container: "" })).toMatchObject({
      problem: expect.stringContaining("which container") as string,
    });
  });
});
