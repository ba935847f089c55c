import { referenceLibrary } from "@tensidrum/core/reference";
import { describe, expect, it } from "vitest";
import { guessColumns } from "./columns";
import { codeKey, lotRows } from "./lotRows.server";
import { readTable } from "./readTable.server";

const materials = referenceLibrary.map((facts) => ({ id: facts.slug, facts }));
const rowsOf = (text: string, taken: readonly string[] = []) => {
  const table = readTable(text);
  return lotRows(table, guessColumns(table.heads), { materials, taken: new Set(taken) });
};

describe("reading a table", () => {
  it.each([
    ["commas", "material,code,grams\nGlycerin,G-1,500"],
    ["semicolons, and a comma in the number", 'material;code;grams\nGlycerin;G-1;"0,5 kg"'],
    ["tabs", "material\tcode\tgrams\nGlycerin\tG-1\t500"],
  ])("separated by %s", (_, text) => {
    expect(rowsOf(text)).toMatchObject([
      { material: { id: "glycerin", isGuess: false }, lot: { code: "G-1", packGrams: 500 }, problems: [] },
    ]);
  });

  it("in an older encoding keeps its letters", () => {
    const bytes = Uint8Array.from([..."code;supplier\nG-1;M"].map((sign) => sign.charCodeAt(0)).concat(0xfc, 0x68, 0x6c, 0x65));
    expect(readTable(bytes).rows[0]?.[1]).toBe("Mühle");
  });

  it("leaves a mark at the beginning and empty lines out", () => {
    expect(readTable("\uFEFFmaterial,code\n\nGlycerin,G-1\n,\n")).toEqual({ heads: ["material", "code"], rows: [["Glycerin", "G-1"]] });
  });

  it.each([
    ["nothing", " \n ", "nothing to read"],
    ["one column", "material\nGlycerin", "Only one column"],
    ["heads alone", "material,code", "no rows"],
    ["20,000 rows", `material,code\n${"Glycerin,G\n".repeat(20_000)}`, "20,000 rows"],
  ])("%s is answered in words", (_, text, words) => {
    expect(() => readTable(text)).toThrow(words);
  });
});

describe("what the rows make", () => {
  it("a name with a mistake is guessed and says so; what is nowhere is named", () => {
    const [guess, nowhere] = rowsOf("material,code,grams\ncocamidopropil betain,B-1,500\nmoondust,M-1,5");
    expect(guess).toMatchObject({ material: { id: "cocamidopropyl-betaine", isGuess: true }, problems: [] });
    expect(nowhere?.material).toBeNull();
    expect(nowhere?.problems[0]).toContain("moondust");
  });

  it("two rows of one lot, and one that stands there already, are told", () => {
    const text = "material,code,grams\nGlycerin,G-1,500\nglycerin,G-1,500\nGlycerin,G-2,500";
    const [first, second, third] = rowsOf(text, [codeKey("glycerin", "G-2")]);
    expect(first?.problems).toEqual([]);
    expect(second?.problems).toEqual(["Row 1 names the same lot."]);
    expect(third?.problems[0]).toContain("already");
  });

  it("percent over 100 and a price that is none are named in their row", () => {
    const [row] = rowsOf("material,code,grams,assay,price\nGlycerin,G-1,500,101,cheap");
    expect(row?.problems).toHaveLength(2);
  });

  it("a cell that begins like a formula of a spreadsheet stays text", () => {
    const [row] = rowsOf('material,code,grams,note\nGlycerin,G-1,500,"=1+1"');
    expect(row?.lot.note).toBe("=1+1");
    const [marked] = rowsOf("material,code,grams,note\nGlycerin,G-1,500,'=1+1");
    expect(marked?.lot.note).toBe("=1+1");
  });
});
