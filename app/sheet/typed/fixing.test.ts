import { describe, expect, it } from "vitest";
import { withChange } from "./fixing";
import { noTypedAim, nothingTypedMeasured, type TypedSheet } from "./typedSheet";

const sheet: TypedSheet = {
  name: "Example wash",
  profile: "body-wash",
  batch: "600",
  aim: noTypedAim,
  measured: nothingTypedMeasured,
  phases: [
    { letter: "A", title: "", temperature: "" },
    { letter: "B", title: "", temperature: "40" },
  ],
  lines: [
    { id: "w", phase: "A", materialId: "water", percent: "", assay: "" },
    { id: "x", phase: "A", materialId: "gum", percent: "0.5", assay: "" },
    { id: "g", phase: "B", materialId: "guar", percent: "0.3", assay: "" },
  ],
  restLineId: "w",
};

const percents = (changed: TypedSheet) => changed.lines.map(({ id, percent }) => [id, percent]);

describe("a cure in the cells", () => {
  it("sets shares", () => {
    const changed = withChange(sheet, { kind: "percents", percents: [{ line: "x", percent: 0.25 }] }, null);
    expect(percents(changed)[1]).toEqual(["x", "0.25"]);
  });

  it("adds a line beside another, in its phase", () => {
    const changed = withChange(
      sheet,
      { kind: "add", material: "glycerin", percent: 2.5, beside: "x" },
      { id: "n", materialId: "glycerin-id" },
    );
    expect(changed.lines.map(({ id }) => id)).toEqual(["w", "x", "n", "g"]);
    expect(changed.lines[2]).toMatchObject({ phase: "A", materialId: "glycerin-id", percent: "2.50" });
  });

  it("gives the rest, the batch and the temperature", () => {
    expect(withChange(sheet, { kind: "rest", line: "x" }, null).restLineId).toBe("x");
    expect(withChange(sheet, { kind: "batch", batchGrams: 4000 }, null).batch).toBe("4000");
    expect(
      withChange(sheet, { kind: "temperature", phases: ["A", "B"], temperatureC: 72 }, null).phases.map(({ temperature }) => temperature),
    ).toEqual(["72", "72"]);
  });

  it("puts a line first", () => {
    const changed = withChange(sheet, { kind: "first", line: "g" }, null);
    expect(changed.lines.map(({ id, phase }) => `${phase}${id}`)).toEqual(["Ag", "Aw", "Ax"]);
  });

  it("leaves a sheet alone whose line is gone", () => {
    expect(withChange(sheet, { kind: "add", material: "glycerin", percent: 1, beside: "gone" }, { id: "n", materialId: "m" })).toBe(sheet);
  });
});
