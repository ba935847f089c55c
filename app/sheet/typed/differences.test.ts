import { describe, expect, it } from "vitest";
import { differencesOf } from "./differences";
import { noTypedAim, nothingTypedMeasured, type TypedSheet } from "./typedSheet";

const sheet: TypedSheet = {
  name: "Example wash",
  profile: "body-wash",
  batch: "600",
  aim: noTypedAim,
  measured: nothingTypedMeasured,
  phases: [{ letter: "A", title: "", temperature: "" }],
  lines: [
    { id: "w", phase: "A", materialId: "water", percent: "", assay: "" },
    { id: "b", phase: "A", materialId: "betaine", percent: "12", assay: "" },
  ],
  restLineId: "w",
};
const [water, betaine] = sheet.lines as [TypedSheet["lines"][number], TypedSheet["lines"][number]];
const names = (id: string) => id;

describe("what two windows disagree on", () => {
  it("nothing, when nothing differs", () => {
    expect(differencesOf(sheet, sheet, names)).toEqual([]);
  });

  it("a percent and a name, side by side", () => {
    const theirs = { ...sheet, name: "Other wash", lines: [water, { ...betaine, percent: "14" }] };
    expect(differencesOf(sheet, theirs, names)).toEqual([
      { key: "name", what: "Name", mine: "Example wash", theirs: "Other wash" },
      { key: "line:b:percent", what: "betaine", mine: "12 %", theirs: "14 %" },
    ]);
  });

  it("a line only one of them has, and which line is q.s.", () => {
    const theirs = { ...sheet, lines: [water], restLineId: null };
    expect(differencesOf(sheet, theirs, names)).toEqual([
      { key: "line:w:percent", what: "water", mine: "is q.s.", theirs: "empty" },
      { key: "line:b", what: "betaine", mine: "12 %", theirs: "not there" },
      { key: "rest", what: "q.s. line", mine: "water", theirs: "none" },
    ]);
  });

  it("the order alone", () => {
    expect(differencesOf(sheet, { ...sheet, lines: [betaine, water] }, names)).toHaveLength(1);
  });

  it("each part of the aim by its name, and what was measured", () => {
    const theirs: TypedSheet = {
      ...sheet,
      aim: { ...noTypedAim, eyeArea: true, forWhom: "the cast" },
      measured: { ph: "5.2", density: "" },
    };
    expect(differencesOf(sheet, theirs, names)).toEqual([
      { key: "aim:eyeArea", what: "Near the eye", mine: "no", theirs: "yes" },
      { key: "aim:forWhom", what: "For whom", mine: "empty", theirs: "the cast" },
      { key: "measured:ph", what: "Measured pH", mine: "empty", theirs: "5.2" },
    ]);
  });
});
