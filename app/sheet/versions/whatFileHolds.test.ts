import { describe, expect, it } from "vitest";
import { whatFormulaFileHolds } from "./whatFileHolds";

describe("what a formula file holds", () => {
  it("name, lines, batch and the materials it brings along", () => {
    const file = { name: "Green Room body wash", batchGrams: 1000, lines: [{}, {}], materials: [{}] };
    expect(whatFormulaFileHolds(JSON.stringify(file))).toBe("Green Room body wash, 2 lines, 1000 g, with 1 material");
    expect(whatFormulaFileHolds(JSON.stringify({ name: " ", lines: [{}] }))).toBe("Untitled formula, 1 line");
  });

  it.each(["", "no file", "[]", "null", '{"name":"x"}', '{"lines":3}'])("%j is none", (text) => {
    expect(whatFormulaFileHolds(text)).toBeNull();
  });
});
