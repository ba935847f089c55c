import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { applyChange } from "../formula/changes/formulaChange.ts";
import { assess } from "../assessment/assess.ts";
import { profiles } from "../formula/profiles.ts";
import { schools } from "../formula/schools.ts";
import type { Formula, FormulaLine } from "../formula/types.ts";
import { wholeMaterial } from "../library/briefMaterial.ts";
import { library, sheetOf, type WrittenLine } from "../testing/exampleSheet.ts";
import { findingCodes, type FindingCode, type Severity } from "./finding.ts";
import { rules } from "./registry.ts";
import { read, water } from "./testing/findings.ts";

const STOPS: readonly FindingCode[] = ["MASS_OVER", "CHARGE_CLASH", "PRESERVATIVE_MISSING", "PH_NO_CORRIDOR", "SOAP_ACIDIFIED"];
const CONSIDER: readonly FindingCode[] = [
  ...(["MASS_NO_QS", "ONE_SURFACTANT", "ALLERGEN_DECLARE", "DUST", "CORROSIVE", "EYE_IRRITANT", "NUT", "GLUTEN", "SOY"] as const),
  ...(["RESTRICTED", "KEEP_DARK", "COLOUR_SHIFT", "CLOUDY_LIKELY", "MICROBE_FOOD", "SALT_MEETS_GUM", "PRESERVATIVE_NEEDLESS"] as const),
];

function severitiesOf(code: FindingCode): readonly Severity[] {
  if (code === "TOO_SMALL_TO_WEIGH" || code === "ACTIVE_DOSE") return ["consider", "fix"];
  if (STOPS.includes(code)) return ["stop"];
  return CONSIDER.includes(code) ? ["consider"] : ["fix"];
}

const slugs = [...library.keys()].filter((slug) => slug !== "water-distilled");
const drawnLine = fc.record({
  material: fc.constantFrom(...slugs),
  phase: fc.constantFrom("A", "B", "C"),
  hundredths: fc.integer({ min: 1, max: 2500 }),
});

const drawnFormula = fc
  .record({
    lines: fc.array(drawnLine, { minLength: 1, maxLength: 10 }),
    profile: fc.constantFrom(...profiles),
    school: fc.constantFrom(...schools),
    temperatures: fc.array(fc.constantFrom(22, 38, 62, 72), { minLength: 3, maxLength: 3 }),
    wantsClear: fc.boolean(),
    eyeArea: fc.boolean(),
    withRest: fc.boolean(),
    ph: fc.option(fc.integer({ min: 20, max: 110 }), { nil: undefined }),
  })
  .map(({ lines, profile, school, temperatures, wantsClear, eyeArea, withRest, ph }): Formula => {
    const rest: FormulaLine = { id: "w", phase: "A", material: "water-distilled", qs: true };
    const written = lines.map((line, at): FormulaLine => ({
      id: `l${at}`,
      phase: line.phase,
      material: line.material,
      percent: line.hundredths / 100,
    }));
    return {
      ...sheetOf([]),
      profile: profile.slug,
      school: school.slug,
      wantsClear,
      eyeArea,
      phases: ["A", "B", "C"].map((id, at) => ({ id, temperatureC: temperatures[at] ?? 22 })),
      lines: withRest ? [rest, ...written] : written,
      ...(ph === undefined ? {} : { measured: { ph: ph / 10 } }),
    };
  });

describe("all findings", () => {
  it("come with the most urgent first", () => {
    const lines: WrittenLine[] = [water, ["panthenol-75", 0.005], ["aos-40", 60], ["cetrimonium-chloride", 2]];
    const severities = read(lines).findings.map(({ severity }) => severity);
    expect(severities[0]).toBe("stop");
    const order = severities.map((severity) => ["stop", "fix", "consider"].indexOf(severity));
    expect(order).toEqual([...order].sort());
  });

  it("each code is announced by exactly one rule", () => {
    expect(rules.flatMap((rule) => rule.codes).sort()).toEqual([...findingCodes].sort());
  });

  it("say what, why and what to do, name lines that exist, and carry the severity of their code", () => {
    fc.assert(
      fc.property(drawnFormula, (formula) => {
        const { findings, notJudged } = assess(formula, library);
        const ids = new Set(formula.lines.map(({ id }) => id));
        for (const { code, severity, lines, what, why, cure } of findings) {
          expect(severitiesOf(code), code).toContain(severity);
          for (const text of [what, why, cure]) expect(text, code).toMatch(/^(pH|\P{Ll}).{8,}\.$/u);
          for (const text of [what, why, cure]) expect(text, code).not.toMatch(/undefined|NaN|Infinity/);
          expect(new Set(lines).size, code).toBe(lines.length);
          for (const id of lines) expect(ids, code).toContain(id);
        }
        for (const { lines } of notJudged) for (const id of lines) expect(ids).toContain(id);
      }),
      { numRuns: 150 },
    );
  });

  it("are gone once their own number is applied", () => {
    fc.assert(
      fc.property(drawnFormula, (formula) => {
        for (const { code, change, lines } of assess(formula, library).findings) {
          if (change === undefined) continue;
          const after = assess(applyChange(formula, change), library).findings;
          const same = after.filter((one) => one.code === code && one.lines.join() === lines.join());
          expect(same, `${code} ${JSON.stringify(change)}`).toEqual([]);
        }
      }),
      { numRuns: 250 },
    );
  });
});

describe("odd sheets", () => {
  it("no lines at all", () => {
    const { findings } = read([]);
    expect(findings.map(({ code }) => code)).toEqual(["MASS_OPEN"]);
  });

  it("only materials of which nothing but the name is known", () => {
    const materials = Array.from({ length: 5 }, (_, at) =>
      wholeMaterial({ slug: `unknown-${at}`, name: `Unknown ${at}`, role: "active", inci: [{ name: `Unknown ${at}`, percent: 100 }] }),
    );
    const { notJudged } = read(
      materials.map(({ slug }) => [slug, 20] as const),
      { materials },
    );
    expect(notJudged.map(({ what }) => what)).toContain("densityGramsPerMl");
  });

  it("200 phases with a line each", () => {
    const phases = Array.from({ length: 200 }, (_, at) => ({ id: `P${at}`, temperatureC: 20 + (at % 60) }));
    const lines = phases.map(({ id }, at) => ({ id: `l${at}`, phase: id, material: slugs[at % slugs.length] as string, percent: 0.5 }));
    const { findings } = assess({ ...sheetOf([]), phases, lines }, library);
    expect(findings.length).toBeGreaterThan(0);
  });
});
