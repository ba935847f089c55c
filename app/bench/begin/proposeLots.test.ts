import { describe, expect, it } from "vitest";
import { proposeLots } from "./proposeLots";

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
