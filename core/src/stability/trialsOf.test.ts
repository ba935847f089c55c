import { describe, expect, it } from "vitest";
import type { BatchEntry } from "../process/batch/entries.ts";
import { trialsOf } from "./trialsOf.ts";

const head = (n: number) => ({ id: `e${n}`, at: "2026-11-26T10:00:00Z" });
const thick = (n: number, viscosity: number, unit: "Pa·s" | "s" = "Pa·s"): BatchEntry => ({
  ...head(n),
  kind: "thickness-read",
  step: "salt",
  viscosity,
  unit,
  said: "",
});
const scent = (n: number): BatchEntry => ({ ...head(n), kind: "weighed", step: "scent", line: "oil", grams: 2 });
const look = (n: number, clarity: "clear" | "hazy"): BatchEntry => ({
  ...head(n),
  kind: "looked",
  step: "scent",
  when: "now",
  thickness: "",
  clarity,
  words: [],
  text: "",
});
const salted = (n: number): BatchEntry => ({
  ...head(n),
  kind: "salted",
  step: "salt",
  grams: 1,
  salt: { name: "salt", line: null, strengthPercent: 100 },
});
const lines = [{ id: "oil", material: "juniper-berry-oil", percent: 0.3 }];
const of = (...entries: BatchEntry[]) => trialsOf("GR-1", lines, entries)[0];

describe("what a scent did to a batch", () => {
  it("is the reading before it and the one after it, and whether it clouded", () => {
    expect(of(thick(1, 4), look(2, "clear"), scent(3), thick(4, 2), look(5, "hazy"))).toMatchObject({
      viscosityBefore: 4,
      viscosityAfter: 2,
      clouded: true,
    });
  });

  it("is not known where salt came between, the units differ, or nobody read", () => {
    const nothing = { viscosityBefore: null, viscosityAfter: null };
    expect(of(thick(1, 4), salted(2), scent(3), thick(4, 2))).toMatchObject(nothing);
    expect(of(thick(1, 4), scent(2), salted(3), thick(4, 5))).toMatchObject(nothing);
    expect(of(thick(1, 4), scent(2), thick(3, 12, "s"))).toMatchObject(nothing);
    expect(of(scent(1), thick(2, 4))).toMatchObject({ ...nothing, clouded: null });
  });

  it("is nothing of a line that was not weighed, or whose weight was taken back", () => {
    expect(of(thick(1, 4), thick(2, 2))).toBeUndefined();
    expect(of(thick(1, 4), scent(2), { ...head(3), kind: "taken-back", entry: "e2" }, thick(4, 2))).toBeUndefined();
  });

  it("pH before and after it, and what later checks tell of clarity and colour", () => {
    const ph = (n: number, value: number): BatchEntry => ({
      ...head(n),
      kind: "ph-read",
      step: "ph",
      ph: value,
      way: "dilution",
      sampleGrams: 1,
    });
    const seen = { colour: "", lab: null, clarity: "" } as const;
    const one = (later: Parameters<typeof trialsOf>[3]) => trialsOf("GR-1", lines, [ph(1, 5.4), scent(2), ph(3, 5.2)], later)[0];
    expect(one([])?.phMoved).toBeCloseTo(-0.2, 9);
    expect(one([])).toMatchObject({ clouded: null, colourChanged: null });
    expect(
      one([
        { ...seen, clarity: "clear" },
        { ...seen, clarity: "hazy" },
      ]),
    ).toMatchObject({ clouded: true, colourChanged: null });
    expect(one([{ ...seen, colour: "as at the start" }])?.colourChanged).toBe(false);
    expect(one([{ ...seen, colour: "stronger" }])?.colourChanged).toBe(true);
    const lab = (b: number) => ({ ...seen, lab: { l: 80, a: 0, b } });
    expect(one([lab(10)])?.colourChanged).toBeNull();
    expect([one([lab(10), lab(12)])?.colourChanged, one([lab(10), lab(30)])?.colourChanged]).toEqual([false, true]);
  });
});
