import { describe, expect, it } from "vitest";
import { narrowSearch } from "./narrowSearch.ts";

const texts = ["Cocamidopropyl betaine", "Coco-glucoside", "Glycerin", "Glyceryl caprylate", "Xanthan gum"];
const find = (...words: string[]) => narrowSearch(texts)(words).map((place) => texts[place]);

describe("narrowing a long list", () => {
  it("keeps what holds the word, what begins with it first", () => {
    expect(find("glycer")).toEqual(["Glycerin", "Glyceryl caprylate"]);
    expect(find("gum")).toEqual(["Xanthan gum"]);
  });

  it("keeps what shares a third of a word's letter threes: a slip of spelling", () => {
    expect(find("cocamidopropil")[0]).toBe("Cocamidopropyl betaine");
    expect(find("xantan")).toEqual(["Xanthan gum"]);
  });

  it("wants every word, in any order", () => {
    expect(find("caprylate", "glyceryl")).toEqual(["Glyceryl caprylate"]);
    expect(find("glycerin", "gum")).toEqual([]);
  });

  it("a word of two letters must stand there as it is", () => {
    expect(find("co")).toEqual(["Cocamidopropyl betaine", "Coco-glucoside"]);
    expect(find("zz")).toEqual([]);
  });

  it("never hands on more than a few hundred", () => {
    const many = Array.from({ length: 5000 }, (_, at) => `Glycerin ${at}`);
    expect(narrowSearch(many)(["glycerin"]).length).toBeLessThanOrEqual(150);
  });
});
