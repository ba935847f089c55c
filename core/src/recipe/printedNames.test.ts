import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { printedNames } from "./printedNames.ts";

const read = (text: string) => printedNames(text).map(({ name }) => name);

describe("the names of a printed list", () => {
  it("stand in its order, without its head and its full stop", () => {
    expect(read("Ingredients: Aqua, Sodium C14-16 Olefin Sulfonate, Cocamidopropyl\nBetaine; Glycerin.")).toEqual([
      "Aqua",
      "Sodium C14-16 Olefin Sulfonate",
      "Cocamidopropyl Betaine",
      "Glycerin",
    ]);
  });

  it("a comma inside a number parts nothing, a percentage is read, a blend is its parts", () => {
    expect(printedNames("Aqua, 1,2-Hexanediol, Panthenol (0,5 %), Glycerin (and) Aqua (and) Rosa Extract")).toEqual([
      { name: "Aqua", percent: null, mayContain: false },
      { name: "1,2-Hexanediol", percent: null, mayContain: false },
      { name: "Panthenol", percent: 0.5, mayContain: false },
      { name: "Glycerin", percent: null, mayContain: false },
      { name: "Aqua", percent: null, mayContain: false },
      { name: "Rosa Extract", percent: null, mayContain: false },
    ]);
  });

  it.each(["Aqua, Glycerin, [+/- CI 77891, CI 42090]", "Aqua, Glycerin. May contain: CI 77891, CI 42090."])(
    "what it may contain is marked: %s",
    (text) => {
      expect(
        printedNames(text)
          .filter(({ mayContain }) => mayContain)
          .map(({ name }) => name),
      ).toEqual(["CI 77891", "CI 42090"]);
    },
  );

  it("another script is kept as it is printed, and one name is a list", () => {
    expect(read("ماء، جلسرين، Parfum")).toEqual(["ماء", "جلسرين", "Parfum"]);
    expect(read("Aqua")).toEqual(["Aqua"]);
  });

  it("nothing, too many and too much are refused with why", () => {
    expect(() => read("  ,, 5 % ")).toThrow("no name");
    expect(() => read(Array.from({ length: 121 }, (_, at) => `Name ${at}`).join(", "))).toThrow("121 names");
    expect(() => read("a".repeat(20_001))).toThrow("longer");
  });

  it("whatever is pasted is read or refused, never lost", () => {
    fc.assert(
      fc.property(fc.array(fc.stringMatching(/^[A-Za-z][A-Za-z ]{0,20}[A-Za-z]$/), { minLength: 1, maxLength: 60 }), (names) => {
        fc.pre(names.every((name) => !/may contain|ingredient|and/iu.test(name)));
        expect(read(names.join(", "))).toEqual(names.map((name) => name.replace(/\s+/gu, " ")));
      }),
    );
  });
});
