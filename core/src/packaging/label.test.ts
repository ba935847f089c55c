import { describe, expect, it } from "vitest";
import type { Formula } from "../formula/types.ts";
import { library, sheetOf, type WrittenLine } from "../testing/exampleSheet.ts";
import { labelOf } from "./label.ts";

const label = (lines: readonly WrittenLine[], changes: Partial<Formula> = {}, naming: "inci" | "common" = "inci") =>
  labelOf(sheetOf(lines, changes), naming, library);
const names = (lines: readonly WrittenLine[], changes: Partial<Formula> = {}, naming: "inci" | "common" = "inci") =>
  label(lines, changes, naming).ingredients.map(({ name }) => name);

describe("the ingredient list", () => {
  it("falls by amount, and marks what is below 1 %: 22 % betaine is 6.6 % of itself and 1.144 % salt", () => {
    const { ingredients } = label([
      ["water-distilled", "q.s."],
      ["cocamidopropyl-betaine", 22],
      ["sodium-benzoate", 0.5],
    ]);
    expect(ingredients.map(({ name, belowOnePercent }) => [name, belowOnePercent])).toEqual([
      ["Aqua", false],
      ["Cocamidopropyl Betaine", false],
      ["Sodium Chloride", false],
      ["Sodium Benzoate", true],
      ["Glycerin", true],
    ]);
    expect(ingredients[1]?.percent).toBeCloseTo(6.6, 12);
  });

  it("1 % is not below 1 %, 0.999 % is", () => {
    const below = (percent: number) =>
      label([
        ["water-distilled", "q.s."],
        ["kaolin", percent],
      ]).ingredients.find(({ name }) => name === "Kaolin");
    expect(below(1)?.belowOnePercent).toBe(false);
    expect(below(0.999)?.belowOnePercent).toBe(true);
  });

  it("names colours last, however much there is of them, and their carriers by amount", () => {
    const listed = names([
      ["water-distilled", "q.s."],
      ["mica", 10],
      ["glycerin", 2],
      ["water-soluble-dye-powder", 0.01],
    ]);
    expect(listed).toEqual(["Aqua", "Glycerin", "Sodium Chloride", "Sodium Sulfate", "Mica", "CI 77891", "CI 42090"]);
  });

  it("in everyday names a material of one ingredient lends its own", () => {
    const listed = names(
      [
        ["water-distilled", "q.s."],
        ["kaolin", 10],
      ],
      {},
      "common",
    );
    expect(listed).toEqual([library.get("water-distilled")?.name, library.get("kaolin")?.name]);
  });

  it("leaves out what is not in it", () => {
    expect(
      names([
        ["water-distilled", "q.s."],
        ["glycerin", 0],
      ]),
    ).toEqual(["Aqua"]);
  });
});

describe("allergens", () => {
  it("0.3 % juniper oil with 40 % pinene and 0.3 % terpineol: 0.12 % is named, 0.0009 % only where it stays on", () => {
    const lines: WrittenLine[] = [
      ["water-distilled", "q.s."],
      ["juniper-berry-oil", 0.3],
    ];
    const rinsed = label(lines).allergens;
    expect(rinsed[0]).toEqual({ name: "Pinene", percent: 0.12 });
    expect(rinsed.map(({ name }) => name)).toEqual(["Pinene", "Limonene"]);
    const leftOn = label(lines, { profile: "micellar-water" }).allergens;
    expect(leftOn.map(({ name }) => name)).toEqual(["Pinene", "Limonene", "Beta-Caryophyllene", "Terpinolene", "Alpha-Terpinene"]);
  });

  it("stand in the list as well, a preservative that is one only once", () => {
    const { ingredients, allergens } = label([
      ["water-distilled", "q.s."],
      ["benzyl-alcohol", 0.8],
      ["ylang-ylang-oil", 0.5],
    ]);
    for (const { name } of allergens) expect(ingredients.filter((entry) => entry.name === name)).toHaveLength(1);
    expect(allergens[0]?.name).toBe("Benzyl Alcohol");
  });
});

describe("warnings", () => {
  it("say traces of nuts where a nut oil is, and not where there is none", () => {
    const traces = (lines: readonly WrittenLine[]) => label(lines).warnings.filter((warning) => warning.includes("nuts"));
    expect(
      traces([
        ["water-distilled", "q.s."],
        ["sweet-almond-oil", 1],
      ]),
    ).toHaveLength(1);
    expect(
      traces([
        ["water-distilled", "q.s."],
        ["sunflower-oil", 1],
      ]),
    ).toHaveLength(0);
  });

  it("always leave the last word to the authority", () => {
    expect(label([["water-distilled", "q.s."]]).warnings.at(-1)).toContain("authority");
  });
});
