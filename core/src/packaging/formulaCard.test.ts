import { describe, expect, it } from "vitest";
import { library, sheetOf } from "../testing/exampleSheet.ts";
import { cardMarkdown, cardOf, cautionText, factText } from "./formulaCard.ts";

const wash = sheetOf(
  [
    ["water-distilled", "q.s."],
    ["aos-40", 15],
    ["cocamidopropyl-betaine", 14],
  ],
  { name: "Wash | of <the> *lake*" },
);

describe("a card to hand on", () => {
  it("percent and grams side by side, and what each is there for: 15 % of 600 g are 90 g", () => {
    const { lines, facts } = cardOf(wash, library);
    expect(lines[1]).toMatchObject({ percent: "15.00", grams: "90.00", purpose: "surfactant" });
    expect(lines[0]?.percent).toBe("71.00 (q.s.)");
    expect(facts.map(factText)[0]).toBe("Active matter 10.05 %.");
  });

  it("cautions of the materials once each, and those that always stand", () => {
    const { cautions } = cardOf(wash, library);
    const said = cautions.map(cautionText);
    expect(new Set(said).size).toBe(said.length);
    expect(said.at(-1)).toContain("check where you live");
  });

  it("signs in a name mean nothing in the Markdown", () => {
    const markdown = cardMarkdown(cardOf(wash, library));
    expect(markdown.split("\n")[0]).toBe("# Wash \\| of \\<the\\> \\*lake\\*");
    expect(markdown).toContain("| --- | --- | ---: | ---: | --- |");
  });
});
