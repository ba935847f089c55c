import type { Formula } from "@tensidrum/core/formula";
import { referenceLibrary } from "@tensidrum/core/reference";
import { describe, expect, it } from "vitest";
import { fillingBatch, inHandBatch, potBatch, usualFilling, usualPot } from "./batchWays";

const library = new Map(referenceLibrary.map((material) => [material.slug, material]));
const formula: Formula = {
  format: "tensidrum-formula/1",
  name: "Prop Room hand wash",
  profile: "hand-wash",
  batchGrams: 500,
  scales: [],
  phases: [{ id: "A", title: "", temperatureC: 22 }],
  lines: [
    { id: "water", phase: "A", material: "water-distilled", qs: true },
    { id: "betaine", phase: "A", material: "cocamidopropyl-betaine", percent: 18 },
  ],
};

describe("to fill containers", () => {
  it("12 bottles of 250 g at 3 % loss and 20 g of tests: 12 × 250 ÷ 0.97 + 20 = 3112.8, made as 3,113 g", () => {
    const typed = { ...usualFilling, containers: "12", content: "250", unit: "g" as const };
    expect(fillingBatch(typed, null)).toEqual({ ok: true, grams: 3113 });
  });

  it("4 bottles of 250 mL at 1.03 g/mL, no loss, nothing for tests: 4 × 257.5 = 1,030 g", () => {
    const typed = { containers: "4", content: "250", unit: "mL" as const, loss: "0", samples: "0" };
    expect(fillingBatch(typed, 1.03)).toEqual({ ok: true, grams: 1030 });
  });

  it("asks for grams where the density is not known", () => {
    const wanted = fillingBatch({ ...usualFilling, containers: "4", content: "250" }, null);
    expect(wanted).toMatchObject({ ok: false, problem: expect.stringContaining("in grams") as string });
  });

  it.each([
    ["a part of a container", { containers: "2.5", content: "250" }],
    ["no container", { containers: "0", content: "250" }],
    ["nothing in it", { containers: "2", content: "0" }],
    ["a loss of everything", { containers: "2", content: "250", loss: "100" }],
    ["words", { containers: "two", content: "250" }],
  ])("says what is wrong with %s", (_, typed) => {
    const wanted = fillingBatch({ ...usualFilling, unit: "g", ...typed }, null);
    expect(wanted.ok).toBe(false);
    expect(wanted.ok || wanted.problem).not.toBe("");
  });
});

describe("to use up a material", () => {
  it("83 g of what is 18 % of it make 461.1 g, rounded down to what is there", () => {
    expect(inHandBatch(formula, { material: "cocamidopropyl-betaine", grams: "83" }, library)).toEqual({ ok: true, grams: 461.1 });
  });

  it("says so when the formula holds none of it", () => {
    expect(inHandBatch(formula, { material: "glycerin", grams: "83" }, library).ok).toBe(false);
  });
});

describe("to fit the largest pot", () => {
  it("2,400 g of soap do not fit 1.5 L: half of it, twice", () => {
    const half = potBatch(2400, { ...usualPot, holds: "1.5" }, 1.01);
    expect(half).toMatchObject({ ok: true, grams: 1200 });
    expect(half.ok && half.note).toMatch(/^2 rounds of it are 2,?400/);
  });

  it("says by which density it calculates, also where none is known", () => {
    expect(potBatch(500, { ...usualPot, holds: "1" }, null)).toMatchObject({
      grams: 800,
      note: expect.stringContaining("1 g/mL") as string,
    });
    expect(potBatch(500, { ...usualPot, holds: "1" }, 1.03)).toMatchObject({ note: expect.stringContaining("1.03 g/mL") as string });
  });

  it("rounds add up to what is said: 2,393.87 g are twice 1,196.9 g, 2,393.8 g in all", () => {
    const half = potBatch(2393.87, { ...usualPot, holds: "1.5" }, 1.01);
    expect(half).toMatchObject({ ok: true, grams: 1196.9, note: expect.stringMatching(/are 2,?393\.8 g\./) as string });
  });

  it("says that a batch fits, and what the pot takes at most", () => {
    const fits = potBatch(500, { holds: "900", unit: "mL", free: "20" }, 1.03);
    expect(fits).toMatchObject({ ok: true, grams: 741 });
    expect(fits.ok && fits.note).toContain("fits");
  });

  it.each([
    ["no pot yet", { holds: "" }],
    ["an empty pot", { holds: "0" }],
    ["all of it left free", { holds: "2", free: "100" }],
  ])("says what is wrong with %s", (_, typed) => {
    expect(potBatch(500, { ...usualPot, ...typed }, null).ok).toBe(false);
  });
});
