import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { library, sheetOf } from "../testing/exampleSheet.ts";
import { assess } from "./assess.ts";
import { bodyComposition } from "../formula/bodyComposition.ts";
import { Refusal } from "../quantities/refusal.ts";
import { resolveLines } from "../formula/resolveLines.ts";
import { completeSnapshot } from "../formula/snapshot.ts";
import type { Formula } from "../formula/types.ts";

const wash = sheetOf([
  ["water-distilled", "q.s."],
  ["glycerin", 2],
  ["aos-40", 15],
  ["cocamidopropyl-betaine", 14],
  ["mild-anionic-preblend", 5],
  ["sodium-benzoate", 0.4],
]);

describe("the assessment of a sheet", () => {
  it("600 g: glycerin 2 % is 12.00 g on the fine scale, water 63.6 % is 381.6 g on the bench scale", () => {
    const { lines, totalPercent } = assess(wash, library);
    expect(totalPercent).toBe(100);
    expect(lines[1]).toMatchObject({ id: "glycerin", percent: 2, grams: 12, gramsToWeigh: 12, scale: "fine" });
    expect(lines[0]).toMatchObject({ gramsToWeigh: 381.6, scale: "bench", tooSmall: false });
    expect(lines[0]?.percent).toBeCloseTo(63.6, 10);
  });

  it("says per line what active matter it brings: 15 × 0.39 = 5.85 %", () => {
    expect(assess(wash, library).lines[2]?.activePercent).toBeCloseTo(5.85, 10);
  });

  it("an open sheet says how much is open and weighs what is there", () => {
    const open = assess(
      sheetOf([
        ["glycerin", 40],
        ["aos-40", 51],
      ]),
      library,
    );
    expect(open).toMatchObject({ totalPercent: 91, openPercent: 9 });
    const grams = open.lines.reduce((sum, line) => sum + line.gramsToWeigh, 0);
    expect(grams).toBeCloseTo(546, 9);
  });

  it("an overfull sheet gives the water nothing", () => {
    const over = assess(
      sheetOf([
        ["water-distilled", "q.s."],
        ["aos-40", 101.4],
      ]),
      library,
    );
    expect(over.lines[0]).toMatchObject({ percent: 0, gramsToWeigh: 0 });
    expect(over.totalPercent).toBeCloseTo(101.4, 10);
  });

  it("refuses an unknown material or profile in words", () => {
    expect(() => assess(sheetOf([["moon-dust", 1]]), library)).toThrow(Refusal);
    expect(() => assess({ ...wash, profile: "floor-polish" as Formula["profile"] }, library)).toThrow("floor-polish");
  });

  it("reads 10,000 lines", () => {
    const lines = Array.from({ length: 10_000 }, (_, i) => ({ id: `l${i}`, phase: "A", material: "glycerin", percent: 0.01 }));
    const read = assess(sheetOf([], { lines }), library);
    expect(read.totalPercent).toBeCloseTo(100, 6);
    expect(read.lines).toHaveLength(10_000);
  });

  it("always weighs out to the batch when water is q.s.", () => {
    const percents = fc.array(fc.integer({ min: 1, max: 9000 }), { minLength: 1, maxLength: 10 });
    fc.assert(
      fc.property(percents, fc.integer({ min: 50, max: 20_000 }), (drawn, batchGrams) => {
        const lines = drawn.map((thousandths, i) => ({ id: `l${i}`, phase: "A", material: "glycerin", percent: thousandths / 1000 }));
        const water = { id: "w", phase: "A", material: "water-distilled", qs: true } as const;
        const read = assess(sheetOf([], { lines: [water, ...lines], batchGrams }), library);
        const sum = read.lines.reduce((total, line) => total + line.gramsToWeigh, 0);
        expect(Number(sum.toFixed(6))).toBe(batchGrams);
      }),
    );
  });
});

describe("what the bottle holds beside the actives", () => {
  it("comes, together with the active matter, to the whole", () => {
    const { sheet } = resolveLines(wash, library);
    const assessed = assess(wash, library);
    const layers = bodyComposition(sheet.lines, assessed.lines);
    const sum = layers.reduce((total, layer) => total + layer.percent, 0);
    expect(sum + assessed.activeMatter.percent).toBeCloseTo(100, 9);
    // what the three cleansers' bottles hold beside the actives: 15 × 0.61 + 14 × 0.70 + 5 × 0.67001
    expect(layers.find((layer) => layer.kind === "brought")?.percent).toBeCloseTo(9.15 + 9.8 + 3.35005, 9);
    expect(layers[0]?.kind).toBe("rest");
  });
});

describe("a complete snapshot", () => {
  const snapshot = completeSnapshot(wash, library);

  it("embeds every material it uses and the parts of its blends, each once", () => {
    const slugs = snapshot.materials?.map((material) => material.slug) ?? [];
    expect(new Set(slugs).size).toBe(slugs.length);
    expect(slugs).toContain("sodium-lauroyl-sarcosinate-powder");
    expect(slugs).toContain("glycerin");
    expect(slugs).toHaveLength(9);
  });

  it("reads the same with an empty library, and after a trip through text", () => {
    const read = assess(JSON.parse(JSON.stringify(snapshot)) as Formula, new Map());
    expect(read).toEqual(assess(wash, library));
  });
});
