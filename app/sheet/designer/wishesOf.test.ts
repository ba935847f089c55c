import { describe, expect, it } from "vitest";
import { wishesOf, withWish, type DesignerWishes } from "./wishesOf";

const usual: DesignerWishes = {
  ...{ against: "cost", activePercent: { low: 9, high: 15 }, mostIrritation: 120, leastFlash: null, leastStability: null },
  ...{ thickening: "any", mostCost: null, mostSaltPercent: null, mostAnionicPercent: 75, count: { low: 2, high: 3 }, mustHave: [] },
  ...{ onlyShelf: true, coldOnly: false, mustNot: [], preservative: null },
};
const read = (text: string) => wishesOf(new URLSearchParams(text), usual);

describe("wishes in the address", () => {
  it("says the usual where nothing is said", () => {
    expect(read("")).toEqual(usual);
  });

  it("reads numbers with a point or a comma, and none for a wish that is left out", () => {
    expect(read("mostIrritation=none&leastFlash=5,5&mostCost=0.60")).toMatchObject({
      mostIrritation: null,
      leastFlash: 5.5,
      mostCost: 0.6,
    });
  });

  it("what nobody could have chosen is as usual, and what is too much is the most", () => {
    expect(read("against=beauty&thickening=starch&mostIrritation=mild&countHigh=99&must=%3Cscript%3E&cold=maybe")).toMatchObject({
      ...{ against: "cost", thickening: "any", mostIrritation: 120, count: { low: 2, high: 5 }, mustHave: [], coldOnly: false },
    });
  });

  it("a change of one wish keeps the others, and comes back as it was", () => {
    const address = withWish(withWish(new URLSearchParams("shelf=all"), "mostCost", 0.6), "must", ["coco-glucoside", "aos-40"]);
    expect(wishesOf(address, usual)).toMatchObject({ onlyShelf: false, mostCost: 0.6, mustHave: ["coco-glucoside", "aos-40"] });
    expect(wishesOf(withWish(address, "mostCost", null), usual).mostCost).toBeNull();
  });
});
