import { describe, expect, it } from "vitest";
import { library, sheetOf } from "../testing/exampleSheet.ts";
import { aimedProfile, aimKeys, aimOf, noAim, type Aim } from "./aim.ts";
import { assess } from "../assessment/assess.ts";

const aim: Aim = {
  ...noAim,
  school: "sulfate-free",
  look: "creamy",
  leftOn: true,
  forWhom: "the chorus",
  thickness: "pump-gel",
  without: ["nuts"],
};

describe("an aim", () => {
  it("is written into a formula and read back", () => {
    const formula = { ...sheetOf([]), ...aimKeys(aim) };
    expect(formula).toMatchObject({ school: "sulfate-free", wantsClear: false, leftOn: true });
    expect(aimOf(formula)).toEqual(aim);
    expect(aimKeys(noAim)).toEqual({});
    expect(aimOf(sheetOf([]))).toEqual(noAim);
  });

  it("left on lowers the cap of scent to 0.2 % and names allergens from 0.001 %", () => {
    const left = aimedProfile({ ...sheetOf([]), leftOn: true });
    expect(left).toMatchObject({ leftOn: true, scentCapPercent: 0.2 });
    expect(aimedProfile({ ...sheetOf([], { profile: "micellar-water" }), leftOn: false }).leftOn).toBeUndefined();
  });

  it("what must not be in it is found by word, by flag and by role", () => {
    const lines = [
      ["water-distilled", "q.s."],
      ["sles-2eo-28", 20],
      ["lavender-oil", 0.2],
      ["sweet-almond-oil", 1],
    ] as const;
    const breaches = (without: readonly string[]) =>
      assess(sheetOf(lines, { aim: { without } }), library)
        .findings.filter(({ code }) => code === "SCHOOL_BREACH")
        .flatMap((finding) => finding.lines);
    expect(breaches(["sulfates"])).toEqual(["sles-2eo-28"]);
    expect(breaches(["scent"])).toEqual(["lavender-oil"]);
    expect(breaches(["almond"])).toEqual(["sweet-almond-oil"]);
    expect(breaches(["nuts"])).toEqual(["sweet-almond-oil"]);
    expect(breaches(["colour", ""])).toEqual([]);
  });
});

describe("clarity", () => {
  const outlook = (...lines: readonly (readonly [string, number])[]) =>
    assess(sheetOf([["water-distilled", "q.s."], ["coco-glucoside", 20], ...lines]), library).clarity.outlook;

  it("opacifiers cloud, proteins and loose oil haze, nothing else does", () => {
    expect(outlook()).toBe("clears");
    expect(
      assess(
        sheetOf([
          ["water-distilled", "q.s."],
          ["smct-paste", 20],
        ]),
        library,
      ).clarity.outlook,
    ).toBe("clear");
    expect(outlook(["glycol-distearate", 2])).toBe("cloudy");
    expect(outlook(["hydrolysed-wheat-protein", 2])).toMatch(/hazy|cloudy/);
    expect(outlook(["sunflower-oil", 4])).toBe("hazy");
  });
});
