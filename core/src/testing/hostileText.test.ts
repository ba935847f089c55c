import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readBatch, readEntries, readFormula, readJson, readMaterialsFile } from "../formats/index.ts";
import { Refusal } from "../quantities/refusal.ts";
import { readInstrumentLine, textLines } from "../instruments/index.ts";
import { materialFinder } from "../library/findMaterials.ts";
import { referenceLibrary } from "../library/referenceLibrary.ts";
import { slugOf } from "../library/slugOf.ts";
import { readMassGrams, readNumber, readPercent, textProblem, withHiddenMarked } from "../quantities/index.ts";
import { readRecipe, recogniserOf } from "../recipe/index.ts";
import { hostileText } from "./hostileText.ts";
import { quickEnough } from "./quickEnough.ts";

const library = new Map(referenceLibrary.map((material) => [material.slug, material]));
const recogniser = recogniserOf(referenceLibrary);

/** A reader may refuse in words; anything else it throws is a fault. */
function refusing(read: (text: string) => unknown): (text: string) => unknown {
  return (text) => {
    try {
      return read(text);
    } catch (error) {
      if (error instanceof Refusal) return error;
      throw error;
    }
  };
}

const readers: Readonly<Record<string, (text: string) => unknown>> = {
  "a recipe": (text) => readRecipe(text, referenceLibrary, recogniser),
  "a number": readNumber,
  "a percent": readPercent,
  "a mass": readMassGrams,
  "a line of an instrument": (text) => readInstrumentLine(text.slice(0, 400)),
  "a stream of an instrument": (text) => textLines(text, text),
  "text that may be stored": (text) => [textProblem(text), withHiddenMarked(text)],
  "a file of a formula": refusing((text) => readFormula(readJson(text), library)),
  "a file of a batch": refusing((text) => readBatch(readJson(text), library)),
  "a file of materials": refusing((text) => readMaterialsFile(readJson(text), library)),
  "entries of a batch": refusing((text) => readEntries(readJson(text))),
  "a name that becomes a slug": (text) => slugOf(text, new Set()),
};

const ATTACKS: readonly (readonly [string, string])[] = [
  ["fractions without end", "1/".repeat(9_900)],
  ["spaces alone", " ".repeat(20_000)],
  ["a number behind spaces", `${" ".repeat(19_990)}x`],
  ["spaces between letters", `g${" ".repeat(10_000)}g${" ".repeat(9_000)}g`],
  ["brackets that open", "[".repeat(100_000)],
  ["objects that open", '{"a":'.repeat(50_000)],
  ["brackets that open and close", `${"[".repeat(100_000)}${"]".repeat(100_000)}`],
  ["round brackets", "(".repeat(20_000)],
  ["digits", "9".repeat(20_000)],
  ["separators", ", 1".repeat(6_000)],
  ["rests", "q.s. to 100 rest ".repeat(1_200)],
  ["quotes", '"'.repeat(20_001)],
  ["tabs", "a\t1\t".repeat(5_000)],
];

describe.each(Object.entries(readers))("%s", (_, read) => {
  it.each(ATTACKS)("stands %s", (_name, text) => {
    expect(quickEnough(() => read(text))).toBe(true);
  });

  it("stands 2,000 drawn hostile texts", () => {
    read("warm up");
    fc.assert(
      fc.property(hostileText(), (text) => quickEnough(() => read(text))),
      { numRuns: 2_000, seed: 18 },
    );
  });
});

describe("a search for a material", () => {
  const find = materialFinder(referenceLibrary.map((facts) => ({ id: facts.slug, facts })));

  // Each text is compared with 261 materials letter by letter, so fewer are drawn.
  it("stands 200 drawn hostile texts and every attack", () => {
    for (const [name, text] of ATTACKS)
      expect(
        quickEnough(() => find(text)),
        name,
      ).toBe(true);
    fc.assert(
      fc.property(hostileText(400), (text) => quickEnough(() => find(text))),
      { numRuns: 200, seed: 18 },
    );
  });
});
