import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { library, materialOf, sheetOf } from "../../testing/exampleSheet.ts";
import { assess } from "../../assessment/assess.ts";
import { profileOf, type Profile } from "../profiles.ts";
import { Refusal } from "../../quantities/refusal.ts";
import { formulaMaterial } from "./formulaMaterial.ts";
import { daysLeft, madeUpWater, replaceWater } from "./madeUpWater.ts";
import { blendMaterial, nextRound, scentBlend, scentDifference, scentInFormula, type ScentRound } from "./scentBlend.ts";

const bodyWash = profileOf("body-wash") as Profile;
const first: ScentRound = {
  countedIn: "drops",
  oils: [
    { material: "juniper-berry-oil", count: 12 },
    { material: "pine-needle-oil", count: 8 },
  ],
  dropMilligrams: new Map([
    ["juniper-berry-oil", 30],
    ["pine-needle-oil", 25],
  ]),
};

describe("a scent blend", () => {
  it("12 drops of 30 mg and 8 of 25 mg: 0.36 and 0.20 g, 64.29 and 35.71 %", () => {
    const { total, shares } = scentBlend(first, library);
    expect(total).toBeCloseTo(0.56, 12);
    expect(shares.map(({ percent }) => Number(percent.toFixed(2)))).toEqual([64.29, 35.71]);
  });

  it("takes the library's drop where the maker has not weighed one, and parts as they are", () => {
    const drop = materialOf("juniper-berry-oil").dropMilligrams ?? 0;
    expect(scentBlend({ countedIn: "drops", oils: [{ material: "juniper-berry-oil", count: 10 }] }, library).total).toBeCloseTo(
      drop / 100,
      12,
    );
    const parts = scentBlend({ ...first, countedIn: "parts" }, library);
    expect(parts.shares[0]?.percent).toBeCloseTo(60, 12);
  });

  it("sums allergens through the blend: pinene 0.6429 × 40 + 0.3571 × 48 = 42.86 % of it", () => {
    const { allergens, oils } = scentInFormula(scentBlend(first, library), { percent: 0.5, profile: bodyWash }, library);
    expect(allergens[0]).toMatchObject({ name: "Pinene", mustBeNamed: true });
    expect(allergens[0]?.percentOfBlend).toBeCloseTo(42.857, 3);
    expect(allergens[0]?.percentOfFormula).toBeCloseTo(0.21429, 5);
    expect(oils[0]?.percentOfFormula).toBeCloseTo(0.32143, 5);
  });

  it("holds the product's cap and every oil's own limit", () => {
    const blend = scentBlend(first, library);
    const cap = scentInFormula(blend, { percent: 1.01, profile: bodyWash }, library);
    expect(cap.isOverCap).toBe(true);
    expect(scentInFormula(blend, { percent: 1, profile: bodyWash }, library).isOverCap).toBe(false);
    const { mostPercent } = cap;
    expect(scentInFormula(blend, { percent: mostPercent, profile: bodyWash }, library)).toMatchObject({ isOverCap: false });
    for (const oil of scentInFormula(blend, { percent: mostPercent * 0.999, profile: bodyWash }, library).oils)
      expect(oil.isOver).toBe(false);
  });

  it("is a material: as a line of the sheet it names the same allergens", () => {
    const blend = blendMaterial(scentBlend(first, library), { slug: "house-scent", name: "House scent" });
    expect(blend.parts.reduce((sum, { percent }) => sum + percent, 0)).toBeCloseTo(100, 12);
    const { composition } = assess(
      sheetOf(
        [
          ["water-distilled", "q.s."],
          ["house-scent", 0.5],
        ],
        { materials: [blend] },
      ),
      library,
    );
    expect(composition.find(({ inci }) => inci === "Juniperus Communis Fruit Oil")?.percent).toBeCloseTo(0.32143, 5);
  });

  it("the next round starts from the last and differs in one oil", () => {
    const second = nextRound(first, { material: "bergamot-oil", count: 4 });
    expect(second.oils).toHaveLength(3);
    expect(nextRound(second, { material: "bergamot-oil", count: 0 }).oils).toEqual(first.oils);
    const changes = scentDifference(scentBlend(first, library), scentBlend(second, library));
    expect(changes[0]).toMatchObject({ material: "bergamot-oil", before: 0 });
    expect(scentDifference(scentBlend(first, library), scentBlend(first, library))).toEqual([]);
  });

  it("shares come to 100 whatever is counted", () => {
    const oil = fc.record({
      material: fc.constantFrom("lemon-oil", "clove-bud-oil", "lavender-oil"),
      count: fc.integer({ min: 1, max: 40 }),
    });
    fc.assert(
      fc.property(fc.array(oil, { minLength: 1, maxLength: 6 }), (oils) => {
        const { shares } = scentBlend({ countedIn: "drops", oils }, library);
        expect(shares.reduce((sum, { percent }) => sum + percent, 0)).toBeCloseTo(100, 9);
      }),
    );
  });

  it("refuses an empty round, an unknown oil and a drop nobody weighed", () => {
    expect(() => scentBlend({ countedIn: "drops", oils: [] }, library)).toThrow(Refusal);
    expect(() => scentBlend({ countedIn: "drops", oils: [{ material: "moon-dust", count: 1 }] }, library)).toThrow("moon-dust");
    expect(() => scentBlend({ countedIn: "drops", oils: [{ material: "menthol-crystals", count: 1 }] }, library)).toThrow("unknown");
  });
});

describe("a made-up water", () => {
  const birch = { slug: "birch-water", name: "Birch leaf water", extractInci: "Betula Alba Leaf Extract", plantGrams: 20, waterGrams: 500 };

  it("20 g of leaf in 500 g, 400 g strained: a fifth of the leaf is 1 % of it", () => {
    const { material, yieldGrams, daysOfLife, steps } = madeUpWater(birch);
    expect(yieldGrams).toBe(400);
    expect(material.inci.map(({ name, percent }) => [name, percent])).toEqual([
      ["Aqua", 99],
      ["Betula Alba Leaf Extract", 1],
    ]);
    expect(material.uncertain).toContain("inci");
    expect(material.flags).toContain("microbe-food");
    expect(daysOfLife).toBe(7);
    expect(steps).toHaveLength(5);
  });

  it("lives at most two weeks unless it was challenge-tested", () => {
    expect(madeUpWater({ ...birch, daysOfLife: 14 }).daysOfLife).toBe(14);
    expect(() => madeUpWater({ ...birch, daysOfLife: 15 })).toThrow("15 days");
    expect(madeUpWater({ ...birch, daysOfLife: 60, isChallengeTested: true }).daysOfLife).toBe(60);
    expect(daysLeft({ daysOfLife: 7 }, 8)).toBe(-1);
  });

  it("takes half of 80 % water and leaves the other half the rest", () => {
    const wash = sheetOf([
      ["water-distilled", "q.s."],
      ["decyl-glucoside", 20],
    ]);
    const line = { id: "birch", phase: "A", material: "birch-water" };
    const { formula, percent, isMuch } = replaceWater(wash, { sharePercent: 50, line });
    expect([percent, isMuch]).toEqual([40, false]);
    const { lines } = assess({ ...formula, materials: [madeUpWater(birch).material] }, library);
    expect(lines.map((each) => [each.id, each.percent])).toEqual([
      ["water-distilled", 40],
      ["birch", 40],
      ["decyl-glucoside", 20],
    ]);
    expect(replaceWater(wash, { sharePercent: 51, line }).isMuch).toBe(true);
  });

  it("refuses a water of nothing, and a sheet without a rest", () => {
    expect(() => madeUpWater({ ...birch, plantGrams: 0 })).toThrow(Refusal);
    expect(() =>
      replaceWater(sheetOf([["glycerin", 100]]), { sharePercent: 50, line: { id: "b", phase: "A", material: "birch-water" } }),
    ).toThrow(Refusal);
  });
});

describe("a formula as a material", () => {
  const named = { slug: "green-room-v1", name: "Green Room v1" };
  const wash = sheetOf([
    ["water-distilled", "q.s."],
    ["cocamidopropyl-betaine", 22],
    ["glycerin", 4],
  ]);

  it("its parts are its lines, the rest line with what the others leave: 74, 22 and 4 %", () => {
    const { parts, role } = formulaMaterial(wash, library, named);
    expect(role).toBe("base");
    expect(parts).toEqual([
      { material: "water-distilled", percent: 74 },
      { material: "cocamidopropyl-betaine", percent: 22 },
      { material: "glycerin", percent: 4 },
    ]);
  });

  it("lines of one material stand together, a measured density goes along, and what brings nothing is no part", () => {
    const twice = {
      ...wash,
      lines: [
        ...wash.lines,
        { id: "g2", phase: "A", material: "glycerin", percent: 1 },
        { id: "n", phase: "A", material: "sodium-chloride", percent: 0 },
      ],
    };
    const base = formulaMaterial({ ...twice, measured: { densityGramsPerMl: 1.02 } }, library, named);
    expect(base.parts.map(({ material, percent }) => [material, percent])).toEqual([
      ["water-distilled", 73],
      ["cocamidopropyl-betaine", 22],
      ["glycerin", 5],
    ]);
    expect(base.trueDensityGramsPerMl).toBe(1.02);
  });

  it("a sheet made of nothing but it says what the formula says", () => {
    const base = formulaMaterial(wash, library, named);
    const [made, nested] = [assess(wash, library), assess(sheetOf([["green-room-v1", 100]]), new Map([...library, [base.slug, base]]))];
    expect(nested.activeMatter.percent).toBeCloseTo(made.activeMatter.percent, 9);
    expect(nested.saltPercent).toBeCloseTo(made.saltPercent ?? 0, 9);
    expect(nested.composition.map(({ inci }) => inci)).toEqual(made.composition.map(({ inci }) => inci));
  });

  it("lines that do not come to 100 % make none", () => {
    expect(() => formulaMaterial(sheetOf([["glycerin", 50]]), library, named)).toThrow("100 %");
    expect(() =>
      formulaMaterial(
        sheetOf([
          ["glycerin", 101],
          ["water-distilled", "q.s."],
        ]),
        library,
        named,
      ),
    ).toThrow(Refusal);
  });
});
