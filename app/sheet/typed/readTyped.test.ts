import { describe, expect, it } from "vitest";
import { percentField, readTyped } from "./readTyped";
import { noTypedAim, nothingTypedMeasured, type TypedSheet } from "./typedSheet";

const typed = (percent: string, changes: Partial<TypedSheet> = {}): TypedSheet => ({
  name: "Example wash",
  profile: "body-wash",
  batch: "600",
  aim: noTypedAim,
  measured: nothingTypedMeasured,
  phases: [{ letter: "A", title: "", temperature: "" }],
  lines: [
    { id: "w", phase: "A", materialId: "m-w", percent: "whatever stands here", assay: "" },
    { id: "b", phase: "A", materialId: "m-b", percent, assay: "" },
  ],
  restLineId: "w",
  ...changes,
});

const problemsOf = (sheet: TypedSheet) => readTyped(sheet, 500).problems;

describe("reading the cells", () => {
  it("12,5 is 12.5, and the line of the rest is not read", () => {
    const { sheet, problems } = readTyped(typed("12,5"), 500);
    expect(problems).toEqual([]);
    expect(sheet.lines.map((line) => line.percent)).toEqual([null, 12.5]);
    expect(sheet.batchGrams).toBe(600);
  });

  it.each([
    ["-3", "below 0"],
    ["101", "above 100"],
    ["abc", "not a number"],
    ["1e309", "not a number"],
    ["1,2.3", "Two decimal marks"],
  ])("%s is answered at its own cell and counts as not typed", (text, words) => {
    const { sheet, problems } = readTyped(typed(text), 500);
    expect(problems).toHaveLength(1);
    expect(problems[0]?.field).toBe(percentField("b"));
    expect(problems[0]?.message).toContain(words);
    expect(sheet.lines[1]?.percent).toBeNull();
  });

  it("an empty cell is no mistake yet", () => {
    expect(problemsOf(typed(""))).toEqual([]);
  });

  it("a batch that cannot be read leaves the last one standing", () => {
    const { sheet, problems } = readTyped(typed("1", { batch: "some" }), 500);
    expect(sheet.batchGrams).toBe(500);
    expect(problems.map((problem) => problem.field)).toEqual(["batch"]);
  });

  it("refuses 400 characters of name and a profile nobody knows", () => {
    expect(problemsOf(typed("1", { name: "x".repeat(400) }))[0]?.message).toContain("400");
    expect(problemsOf(typed("1", { profile: "floor-polish" }))[0]?.field).toBe("profile");
  });

  it("names characters that do not show at their field, and a name of nothing that shows is none", () => {
    const { problems } = readTyped(
      typed("1", {
        name: "Curtain\u202eCall",
        aim: { ...noTypedAim, closeTo: "\u0000" },
        phases: [{ letter: "A", title: "\ud800", temperature: "" }],
      }),
      500,
    );
    expect(problems.map(({ field, message }) => `${field}: ${message}`)).toEqual([
      "name: It has a hidden character (U+202E). Delete it and type it again.",
      "aim.closeTo: Close to: It has a hidden character (U+0000). Delete it and type it again.",
      "phases.A.title: Title of phase A: It has a hidden character (U+D800). Delete it and type it again.",
    ]);
    expect(problemsOf(typed("1", { name: "\u200b\u2060 " }))).toEqual([]);
  });

  it("a certificate counts from just above 0", () => {
    const withAssay = (assay: string) =>
      readTyped(typed("1", { lines: [{ id: "b", phase: "A", materialId: "m-b", percent: "1", assay }] }), 500);
    expect(withAssay("30,4").sheet.lines[0]?.assayPercent).toBe(30.4);
    expect(withAssay("0").problems[0]?.field).toBe("lines.b.assay");
  });

  it("what was measured: a pH from 0 to 14, a density from 0.1 to 3 g/mL, or nothing", () => {
    const measuredOf = (ph: string, density: string) => {
      const { sheet, problems } = readTyped(typed("5", { measured: { ph, density } }), 500);
      return { ...sheet.measured, problems: problems.map(({ field }) => field) };
    };
    expect(measuredOf("", " ")).toEqual({ ph: null, densityGramsPerMl: null, problems: [] });
    expect(measuredOf("5,4", "1.03")).toEqual({ ph: 5.4, densityGramsPerMl: 1.03, problems: [] });
    expect(measuredOf("0", "3")).toEqual({ ph: 0, densityGramsPerMl: 3, problems: [] });
    expect(measuredOf("14.1", "0.09")).toEqual({ ph: null, densityGramsPerMl: null, problems: ["measured.ph", "measured.density"] });
    expect(measuredOf("sour", "")).toMatchObject({ ph: null, problems: ["measured.ph"] });
  });
});

describe("lots of a line", () => {
  const lot = (grams: string, assayPercent: number | null) => ({ lotId: grams, code: "B-1", grams, assayPercent, pricePerGram: null });
  const read = (lots: readonly ReturnType<typeof lot>[], percent = "20") =>
    readTyped(typed(percent, { batch: "500", lines: [{ id: "b", phase: "A", materialId: "m-b", percent, assay: "33", lots }] }), 500);

  it("stand above what is typed: 20 % of 500 g are 100 g, 60 at 30 % and 40 at 28 % make 29.2 %", () => {
    const { sheet, problems } = read([lot("60", 30), lot("", 28)]);
    expect(problems).toEqual([]);
    expect(sheet.lines[0]?.assayPercent).toBeCloseTo(29.2, 12);
    expect(sheet.lines[0]?.lots.map(({ grams }) => grams)).toEqual([60, null]);
  });

  it("without a certificate leave the usual strength, and grams that are none are named at the field", () => {
    expect(read([lot("", null)]).sheet.lines[0]?.assayPercent).toBeNull();
    expect(read([lot("a lot", 30)]).problems).toMatchObject([{ field: "lines.b.assay" }]);
  });
});
