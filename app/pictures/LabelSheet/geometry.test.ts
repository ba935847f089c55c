import { describe, expect, it } from "vitest";
import { labelRules, onGrid } from "./geometry";

describe("the rules of a label", () => {
  it("have a number each 10 mm and end at the label", () => {
    const { across, down, viewBox } = labelRules(84, 48);
    expect(across.flatMap(({ word }) => word ?? [])).toEqual(["0", "10", "20", "30", "40", "50", "60", "70", "80"]);
    expect(down.at(-1)?.at).toBe(48);
    expect(viewBox).toBe("-4 -4 91 53");
  });

  it("what is moved keeps to half millimetres", () => {
    expect([onGrid(3.2), onGrid(3.3), onGrid(-0.1)]).toEqual([3, 3.5, -0]);
  });
});
