import { referenceLibrary } from "@tensidrum/core/reference";
import { describe, expect, it } from "vitest";
import { guessColumns, lotColumns, materialColumns } from "./columns";
import { fileRows } from "./fileRows.server";
import { codeKey, lotRows } from "./lotRows.server";
import { materialRows } from "./materialRows.server";
import { readTable } from "./readTable.server";

const materials = referenceLibrary.map((facts) => ({ id: facts.slug, facts }));
const rowsOf = (text: string, taken: readonly string[] = []) => {
  const table = readTable(text);
  return lotRows(table, guessColumns(table.heads, lotColumns), { materials, taken: new Set(taken), currency: "€" });
};

describe("reading a table", () => {
  it.each([
    ["commas", "material,code,grams\nGlycerin,G-1,500"],
    ["semicolons, and a comma in the number", 'material;code;grams\nGlycerin;G-1;"0,5 kg"'],
    ["tabs", "material\tcode\tgrams\nGlycerin\tG-1\t500"],
  ])("separated by %s", (_, text) => {
    expect(rowsOf(text)).toMatchObject([
      { guess: null, item: { material: "glycerin", lot: { code: "G-1", packGrams: 500 } }, problems: [] },
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
    expect(guess).toMatchObject({
      guess: "a guess for “cocamidopropil betain”",
      item: { material: "cocamidopropyl-betaine" },
      problems: [],
    });
    expect(nowhere?.item).toBeNull();
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
    expect(row?.item).toMatchObject({ lot: { note: "=1+1" } });
    const [marked] = rowsOf("material,code,grams,note\nGlycerin,G-1,500,'=1+1");
    expect(marked?.item).toMatchObject({ lot: { note: "=1+1" } });
  });
});

describe("a table of materials", () => {
  const read = (text: string) => {
    const table = readTable(text);
    return materialRows(table, guessColumns(table.heads, materialColumns), materials);
  };

  it("reads numbers, spans, a composition and parts", () => {
    const [wash, blend] = read(
      [
        "name;role;charge;inci;active;salt;ph low;ph high;flags",
        "Lakeside base wash;surfactant;anionic;Aqua 70; Sodium Cocoyl Glutamate 30;x"
          .replace("Aqua 70; Sodium", '"Aqua 70; Sodium')
          .replace("30;x", '30";30,5;0.4;5;6.5;hard-water-sensitive'),
        "Gum slurry;humectant;;Glycerin 100;;;;;",
      ].join("\n"),
    );
    expect(wash?.problems).toEqual([]);
    expect(wash?.item).toMatchObject({
      kind: "material",
      facts: {
        slug: "lakeside-base-wash",
        active: { low: 30.5, typical: 30.5, high: 30.5 },
        countsAsActive: true,
        saltPercent: 0.4,
        phSupplied: { low: 5, high: 6.5 },
        flags: ["hard-water-sensitive"],
      },
    });
    expect(blend?.item).toMatchObject({ facts: { slug: "gum-slurry", countsAsActive: false } });
  });

  it("a blend is made of materials of the library, and its parts must come to 100", () => {
    const [good, short, unknown] = read(
      [
        "name,role,parts",
        'Slurry,humectant,"glycerin 90; xanthan-gum 10"',
        'Half,humectant,"glycerin 50"',
        'Odd,humectant,"moondust 100"',
      ].join("\n"),
    );
    expect(good?.item).toMatchObject({
      facts: {
        parts: [
          { material: "glycerin", percent: 90 },
          { material: "xanthan-gum", percent: 10 },
        ],
      },
      madeAs: "blend",
    });
    expect(short?.problems[0]).toContain("must come to 100");
    expect(unknown?.problems[0]).toContain("moondust");
  });

  it("two rows of one slug, one the library has, percent over 100 and a role nobody knows are told, each in its row", () => {
    const rows = read(
      [
        "name,role,inci,active",
        "Boathouse soap,surfactant,Potassium Oleate 30,30",
        "Boathouse soap,surfactant,Potassium Oleate 30,30",
        "Glycerin,humectant,Glycerin 100,",
        "Strong stuff,surfactant,Coco-Glucoside 50,150",
        "Odd one,magic,Aqua 100,",
        "Nameless composition,humectant,,",
      ].join("\n"),
    );
    expect(rows.map(({ problems }) => problems.length > 0)).toEqual([false, true, true, true, true, true]);
    expect(rows[1]?.problems[0]).toContain("Row 1 has the same slug");
    expect(rows[2]?.problems[0]).toContain("already");
    expect(rows[3]?.problems.join()).toContain("active");
    expect(rows[4]?.problems.join()).toContain("role");
  });
});

describe("a file of materials and lots", () => {
  const slurry = { slug: "slurry", name: "Slurry", role: "humectant", parts: [{ material: "glycerin", percent: 100 }] };
  const read = (changes: object, taken: readonly string[] = []) =>
    fileRows(JSON.stringify({ format: "tensidrum-materials/1", materials: [slurry], ...changes }), {
      materials,
      own: new Set(["own-thing"]),
      taken: new Set(taken),
    });
  const glycerin = referenceLibrary.find(({ slug }) => slug === "glycerin");

  it("a material and a lot of it, used before", () => {
    const rows = read({ lots: [{ id: "L-1", material: "slurry", packGrams: 100, gramsLeft: 40 }], madeHere: { slurry: "blend" } });
    expect(rows.map(({ problems }) => problems)).toEqual([[], []]);
    expect(rows.map(({ item }) => item)).toMatchObject([
      { kind: "material", facts: { slug: "slurry" }, madeAs: "blend" },
      { kind: "lot", material: "slurry", leftGrams: 40, lot: { code: "L-1", packGrams: 100 } },
    ]);
  });

  it("a material of the library that differs in what a maker may know better becomes their own facts", () => {
    const [own, same, beyond] = [
      read({ materials: [{ ...glycerin, densityGramsPerMl: 1.255 }] }),
      read({ materials: [glycerin] }),
      read({ materials: [{ ...glycerin, flags: ["soap"] }] }),
    ].map(([row]) => row);
    expect(own?.item).toMatchObject({ kind: "facts", materialId: "glycerin", facts: { densityGramsPerMl: 1.255 } });
    expect(same).toMatchObject({ item: null, problems: ["It is in the library as it is."] });
    expect(beyond?.problems[0]).toContain("flags");
  });

  it("faults stay with their rows: the others can come in", () => {
    const rows = read({
      materials: [slurry, { slug: "bad", name: "Bad", role: "humectant", inci: [{ name: "Aqua", percent: 130 }] }, slurry],
    });
    expect(rows.map(({ item }) => item !== null)).toEqual([true, false, false]);
    expect(rows[2]?.problems[0]).toContain("stands twice");
  });

  it("a lot twice, one that stands there, and one of nothing known are told", () => {
    const lot = { id: "L-1", material: "glycerin", packGrams: 100 };
    const rows = read(
      { materials: [], lots: [lot, lot, { ...lot, id: "L-2" }, { ...lot, material: "moondust" }, { id: "L-9", material: "glycerin" }] },
      [codeKey("glycerin", "L-2")],
    );
    expect(rows.map(({ problems }) => problems.length)).toEqual([0, 1, 1, 1, 1]);
  });

  it("what is no such file is refused as a whole", () => {
    expect(() => read({ format: "tensidrum-formula/1" })).toThrow("format");
    expect(() => read({ materials: "many" })).toThrow("not a list");
    expect(() => read({ surprise: 1 })).toThrow("surprise");
  });
});
