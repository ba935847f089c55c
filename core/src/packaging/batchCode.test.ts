import { describe, expect, it } from "vitest";
import { batchCode, batchCodeStart } from "./batchCode.ts";

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
