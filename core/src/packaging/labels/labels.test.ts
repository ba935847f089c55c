import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import type { LabelBox, LabelDesign, LabelTexts } from "./labelDesign.ts";
import { missingIn, mmOfPoints, textWidthMm } from "./labelFont.ts";
import { layOutLabel } from "./layOutLabel.ts";
import { leastPointsOf } from "./leastSizes.ts";
import { labelGrid, labelPapers, paperOf } from "./labelSheet.ts";
import { labelFromTemplate, labelTemplates } from "./labelTemplates.ts";
import { labelTexts } from "./labelTexts.ts";

const nothing: LabelTexts = {
  ...{
    name: "",
    what: "",
    directions: "",
    ingredients: "",
    cautions: "",
    net: "",
    batch: "",
    "best-before": "",
    "after-opening": "",
    "made-in": "",
    contact: "",
  },
};
const box = (changes: Partial<LabelBox> = {}): LabelBox => ({
  ...{
    id: "one",
    field: "text",
    x: 2,
    y: 3,
    width: 40,
    height: 20,
    points: 10,
    leastPoints: 5,
    align: "left",
    isBold: false,
    text: "Lake",
  },
  ...changes,
});
const design = (...boxes: readonly LabelBox[]): LabelDesign => ({
  ...{
    format: "tensidrum-label/1",
    name: "",
    widthMm: 84,
    heightMm: 48,
    naming: "inci",
    months: 12,
    openMonths: null,
    market: "eu",
    netIn: "mass",
    isShared: false,
    boxes,
  },
});
const laid = (changes: Partial<LabelBox> = {}) => layOutLabel(design(box(changes)), nothing)[0]!;

describe("the letters of a label", () => {
  it("10 pt are 3.53 mm; a line is as wide as its letters, twice as wide in twice the size", () => {
    expect(mmOfPoints(10)).toBeCloseTo(3.5278, 4);
    expect(textWidthMm("", 10, false)).toBe(0);
    expect(textWidthMm("Lake", 20, false)).toBeCloseTo(2 * textWidthMm("Lake", 10, false), 9);
    expect(textWidthMm("Lake", 10, true)).toBeGreaterThan(textWidthMm("Lake", 10, false));
    expect(textWidthMm("LakeLake", 7, false)).toBeCloseTo(2 * textWidthMm("Lake", 7, false), 9);
  });

  it("says which characters it has no shape for", () => {
    expect(missingIn("Crème fraîche, 5 °C")).toEqual([]);
    expect(missingIn("кот и кот 水")).toEqual(["к", "о", "т", "и", "水"]);
  });
});

describe("where the text of a label stands", () => {
  it("begins at its box, in the middle or at the right as it is wished", () => {
    const width = textWidthMm("Lake", 10, false);
    expect(laid().lines).toEqual([{ text: "Lake", x: 2, y: expect.closeTo(3 + 0.9 * mmOfPoints(10), 6), width }]);
    expect(laid({ align: "right" }).lines[0]?.x).toBeCloseTo(42 - width, 9);
    expect(laid({ align: "centre" }).lines[0]?.x).toBeCloseTo(22 - width / 2, 9);
  });

  it("shrinks to fit, and says so where even the least size does not", () => {
    const long = "wash with water and rinse it off ".repeat(6).trim();
    expect(laid({ text: long, height: 45 }).state).toBe("fits");
    const shrunk = laid({ text: long, height: 22 });
    expect(shrunk.state).toBe("shrunk");
    expect(shrunk.points).toBeGreaterThanOrEqual(5);
    const over = laid({ text: long, height: 5 });
    expect([over.state, over.points]).toEqual(["does-not-fit", 5]);
    expect(over.lines.map(({ text }) => text).join(" ")).toBe(long);
  });

  it("a word wider than its box does not fit; a box beyond the label is outside; nothing is empty", () => {
    expect(laid({ text: "Phenoxyethanolethylhexylglycerinblend", width: 8 }).state).toBe("does-not-fit");
    expect(laid({ x: 50 }).state).toBe("outside");
    expect(laid({ text: " " }).state).toBe("empty");
    expect(laid({ field: "name", text: "" }).state).toBe("empty");
    expect(laid({ text: "水" }).missing).toEqual(["水"]);
  });

  it("loses no word and keeps every line within its box, whatever is written", () => {
    const words = fc.array(fc.stringMatching(/^[a-zà-ü]{1,12}$/u), { minLength: 1, maxLength: 60 });
    fc.assert(
      fc.property(words, fc.integer({ min: 20, max: 60 }), fc.integer({ min: 5, max: 40 }), (typed, width, height) => {
        const text = typed.join(" ");
        const { lines, state, points } = laid({ text, width, height });
        expect(lines.map((line) => line.text).join(" ")).toBe(text);
        if (state === "does-not-fit") return;
        for (const line of lines) {
          expect(line.x).toBeGreaterThanOrEqual(2 - 1e-6);
          expect(line.x + line.width).toBeLessThanOrEqual(2 + width + 1e-6);
          expect(line.y + 0.3 * mmOfPoints(points)).toBeLessThanOrEqual(3 + height + 1e-6);
        }
      }),
    );
  });
});

describe("least sizes", () => {
  it("the figures of a net content are 2, 3, 4 and 6 mm high by what is in", () => {
    const heights = [50, 100, 250, 2_000].map((grams) => mmOfPoints(leastPointsOf("net", grams)) * 0.655);
    [2, 3, 4, 6].forEach((mm, at) => {
      expect(heights[at]).toBeGreaterThanOrEqual(mm);
      expect(heights[at]).toBeLessThan(mm + 0.03);
    });
    expect(leastPointsOf("ingredients", 250)).toBe(4.5);
  });
});

describe("labels on a sheet", () => {
  it("84 by 48 mm on A4: two by five, apart and on the paper", () => {
    const { columns, rows, places } = labelGrid({ widthMm: 84, heightMm: 48 }, "a4");
    expect([columns, rows, places.length]).toEqual([2, 5, 10]);
    expect(places[1]!.x - places[0]!.x).toBe(86);
    expect(Math.max(...places.map(({ y }) => y + 48))).toBeLessThanOrEqual(297 - 8);
  });

  it("a label wider than the sheet has no place on it", () => {
    expect(labelGrid({ widthMm: 220, heightMm: 20 }, "a4").places).toEqual([]);
    expect(labelGrid({ widthMm: 20, heightMm: 300 }, "letter").places).toEqual([]);
    expect(labelGrid({ widthMm: 63.6, heightMm: 38.1 }, "a4-21").places).toEqual([]);
  });

  it("on labels that are cut already it stands in the middle of each: 60 by 36 mm on 63.5 by 38.1", () => {
    const { columns, rows, places } = labelGrid({ widthMm: 60, heightMm: 36 }, "a4-21");
    expect([columns, rows, places.length]).toEqual([3, 7, 21]);
    expect(places[0]).toEqual({ x: 7.25 + 1.75, y: expect.closeTo(15.15 + 1.05, 9) as number });
    expect(places[4]!.x - places[0]!.x).toBeCloseTo(66, 9);
    expect(places[4]!.y - places[0]!.y).toBeCloseTo(38.1, 9);
  });

  it.each(labelPapers.map(({ id }) => id))("no label of the sheet %s stands beyond the paper", (id) => {
    const { widthMm, heightMm, cut } = paperOf(id);
    const size = cut ?? { widthMm: 30, heightMm: 20 };
    const { places } = labelGrid(size, id);
    expect(places.length).toBeGreaterThanOrEqual(8);
    for (const { x, y } of places) {
      expect(Math.min(x, y)).toBeGreaterThanOrEqual(0);
      expect(x + size.widthMm).toBeLessThanOrEqual(widthMm + 0.05);
      expect(y + size.heightMm).toBeLessThanOrEqual(heightMm + 0.05);
    }
  });
});

describe("what a label says", () => {
  const formula = sheetOf([
    ["water-distilled", "q.s."],
    ["cocamidopropyl-betaine", 20],
    ["sweet-almond-oil", 1],
  ]);
  const batch = { formula, openPart: null, library, code: "GR-1", netGrams: 254.4, densityGramsPerMl: 1.03, bestBefore: "2027-03-01" };
  const usual = { naming: "inci", market: "eu", netIn: "mass", openMonths: null } as const;
  const texts = labelTexts(batch, usual);

  it("of a scrub says to rub gently", () => {
    const scrub = sheetOf([
      ["water-distilled", "q.s."],
      ["pumice-powder", 8],
    ]);
    expect(labelTexts({ ...batch, formula: scrub }, usual).cautions).toContain("Holds grains that scrub");
    expect(texts.cautions).not.toContain("grains");
  });

  it("of a stock solution: for the bench, with what its material asks for", () => {
    const acid = sheetOf([
      ["water-distilled", "q.s."],
      ["citric-acid-anhydrous", 50],
    ]);
    const { what, directions, cautions } = labelTexts({ ...batch, formula: acid }, usual);
    expect([what, directions]).toEqual(["stock solution", "For the bench, not for the skin."]);
    expect(cautions).toContain("Keep away from children");
    expect(cautions).not.toContain("inner arm");
  });

  it("of a base for others says how much of what may be added, and that water may not", () => {
    const { directions } = labelTexts({ ...batch, openPart: { addUpToPercent: 9, what: "scent and oils." } }, usual);
    expect(directions).toContain("up to 9 g into every 91 g. May be added: scent and oils. No water");
  });

  it("names what is in it, what to mind, how much, and until when", () => {
    expect(texts.ingredients).toMatch(/^Ingredients: Aqua, /u);
    expect(texts.cautions).toContain("traces of: nuts");
    expect(texts.cautions).not.toContain("authority");
    expect([texts.net, texts.batch, texts["best-before"]]).toEqual(["254 g (8.96 oz)", "Batch GR-1", "Best before 2027-03-01"]);
    expect(texts["made-in"]).toBe("");
  });

  it("tells the net content as volume where the density is known, and how long it keeps once open", () => {
    // 254.4 ÷ 1.03 = 246.99 mL
    expect(labelTexts(batch, { ...usual, netIn: "volume", openMonths: 6 })).toMatchObject({
      net: "246 mL (8.32 fl oz)",
      "after-opening": "Once open, use within 6 months.",
    });
    expect(labelTexts({ ...batch, densityGramsPerMl: null }, { ...usual, netIn: "volume" }).net).toBe("254 g (8.96 oz)");
    expect(texts["after-opening"]).toBe("");
  });

  it.each(labelTemplates)("a %s begins with every field on the label", (template) => {
    const begun = labelFromTemplate(template, { widthMm: 120, heightMm: 70, netGrams: 250 });
    const states = layOutLabel(begun, texts).map(({ state }) => state);
    expect(states).not.toContain("outside");
    expect(new Set(begun.boxes.map(({ id }) => id)).size).toBe(begun.boxes.length);
  });
});
