import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { applyChange } from "../formula/changes/formulaChange.ts";
import { profiles } from "../formula/profiles.ts";
import { schools } from "../formula/schools.ts";
import type { Formula, FormulaLine } from "../formula/types.ts";
import { isNotChosen } from "../library/notChosen.ts";
import { library, sheetOf } from "../testing/exampleSheet.ts";
import { judgementWithCures } from "./judgement.ts";
import { readingOf } from "./readings.ts";

const judged = (formula: Formula) => judgementWithCures(readingOf(formula, library)).findings;

const slugs = [...library.values()]
  .filter((material) => !isNotChosen(material) && material.slug !== "water-distilled")
  .map(({ slug }) => slug);
const cleansers = slugs.filter((slug) => library.get(slug)?.role === "surfactant");
const preservatives = slugs.filter((slug) => library.get(slug)?.role === "preservative");

/** A dose around the usual one: 0 its low end, 1 its high end. */
function dosed(slug: string, where: number): number {
  const { low, high } = library.get(slug)?.use ?? { low: 0.5, high: 5 };
  return Math.max(0.01, Math.round((low + (high - low) * where) * 100) / 100);
}

const share = fc.double({ min: 0, max: 0.8, noNaN: true });
const drawnFormula = fc
  .record({
    cleansers: fc.uniqueArray(fc.tuple(fc.constantFrom(...cleansers), share), { minLength: 1, maxLength: 3, selector: ([slug]) => slug }),
    others: fc.uniqueArray(
      fc.tuple(fc.constantFrom(...slugs), fc.double({ min: -0.2, max: 1.3, noNaN: true }), fc.constantFrom("A", "B", "C")),
      {
        maxLength: 6,
        selector: ([slug]) => slug,
      },
    ),
    preservative: fc.option(fc.constantFrom(...preservatives)),
    profile: fc.constantFrom(...profiles),
    school: fc.constantFrom(...schools),
    heated: fc.boolean(),
    wantsClear: fc.boolean(),
  })
  .map((drawn): Formula => {
    const lines: FormulaLine[] = [{ id: "w", phase: "A", material: "water-distilled", qs: true }];
    const put = (material: string, where: number, phase: string) => {
      if (!lines.some((line) => line.material === material)) lines.push({ id: material, phase, material, percent: dosed(material, where) });
    };
    for (const [slug, where] of drawn.cleansers) put(slug, where, "B");
    for (const [slug, where, phase] of drawn.others) put(slug, where, phase);
    if (drawn.preservative !== null) put(drawn.preservative, 0.5, "C");
    return {
      ...sheetOf([]),
      profile: drawn.profile.slug,
      school: drawn.school.slug,
      wantsClear: drawn.wantsClear,
      phases: [{ id: "A", temperatureC: drawn.heated ? 72 : 22 }, { id: "B" }, { id: "C" }],
      lines,
    };
  })
  .filter((formula) => formula.lines.reduce((sum, { percent = 0 }) => sum + percent, 0) <= 100);

const urgentCodes = (formula: Formula) => new Set(judged(formula).flatMap(({ severity, code }) => (severity === "consider" ? [] : [code])));

describe("cures that are offered", () => {
  it("never bring up a stop or something to fix, and no other style's material", () => {
    fc.assert(
      fc.property(drawnFormula, (formula) => {
        const before = urgentCodes(formula);
        for (const { code, change } of judged(formula)) {
          if (change === undefined) continue;
          const after = urgentCodes(applyChange(formula, change));
          expect(
            [...after].filter((other) => !before.has(other)),
            code,
          ).toEqual([]);
        }
      }),
      { numRuns: 120 },
    );
  });

  it("come to an end, whichever is taken first: what is left has a sentence and no change", () => {
    fc.assert(
      fc.property(drawnFormula, (formula) => {
        let cured = formula;
        for (let taken = 0; taken < 30; taken += 1) {
          const next = judged(cured).find(({ severity, change }) => severity !== "consider" && change !== undefined);
          if (next?.change === undefined) break;
          cured = applyChange(cured, next.change);
        }
        for (const { severity, change, cure, code } of judged(cured)) {
          if (severity === "consider") continue;
          expect(change, code).toBeUndefined();
          expect(cure.length, code).toBeGreaterThan(8);
        }
      }),
      { numRuns: 120 },
    );
  });

  it("a cure that would put the preservative out of work is told and not offered", () => {
    const formula: Formula = {
      ...sheetOf([
        ["water-distilled", "q.s."],
        ["peg-80-sorbitan-laurate", 2],
        ["sodium-benzoate", 0.65],
      ]),
      profile: "clarifying-shampoo",
    };
    const low = judged(formula).find(({ code }) => code === "ACTIVE_LOW");
    expect(low?.cure).toMatch(/./);
    expect(low?.change).toBeUndefined();
  });
});
