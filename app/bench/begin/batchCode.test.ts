import { describe, expect, it } from "vitest";
import { batchCode, batchCodeStart } from "./batchCode";
import { proposeLots } from "./proposeLots";

describe("the code of a batch", () => {
  const code = (pattern: string, name: string, taken: readonly string[] = []) => batchCode(pattern, { name, day: "2026-11-26", taken });
  const USUAL = "{letters}-{yymmdd}-{n}";

  it.each([
    ["Curtain Call shampoo", "CC-261126-1"],
    ["Lights Down greasepaint remover", "LD-261126-1"],
    ["wash", "B-261126-1"],
    ["Élan 3", "E3-261126-1"],
  ])("%s", (name, written) => {
    expect(code(USUAL, name)).toBe(written);
  });

  it("takes the first number that is free", () => {
    expect(code(USUAL, "Curtain Call", ["CC-261126-1", "CC-261126-3"])).toBe("CC-261126-2");
  });

  it("follows the pattern of the maker", () => {
    expect(code("{yyyy}/{mm}/{dd} {letters}{n}", "Prop Room hand wash")).toBe("2026/11/26 PR1");
    expect(code("lot {n}", "Prop Room", ["lot 1"])).toBe("lot 2");
    expect(batchCodeStart("lot {n} of {letters}", { name: "Prop Room", day: "2026-11-26" })).toBe("lot ");
  });
});

describe("lots for a line", () => {
  const lots = [
    { id: "old", freeGrams: 30 },
    { id: "new", freeGrams: 500 },
  ];
  const propose = (grams: number, chosen: Parameters<typeof proposeLots>[0]["chosen"] = []) =>
    proposeLots({ line: "b", grams, lots, chosen }).map((share) => [share.lotId, share.grams]);

  it("the one to be used up first gives what it has, the next the rest", () => {
    expect(propose(84)).toEqual([
      ["old", 30],
      ["new", 54],
    ]);
    expect(propose(30)).toEqual([["old", 30]]);
  });

  it("what was chosen on the sheet stands; without grams it takes what the others leave", () => {
    expect(
      propose(84, [
        { lotId: "new", grams: 34 },
        { lotId: "old", grams: null },
      ]),
    ).toEqual([
      ["new", 34],
      ["old", 50],
    ]);
  });

  it("where the shelf does not hold enough the first lot is asked for all, and none for a line without a lot", () => {
    expect(propose(600)).toEqual([["old", 600]]);
    expect(proposeLots({ line: "b", grams: 5, lots: [], chosen: [] })).toEqual([]);
  });
});
