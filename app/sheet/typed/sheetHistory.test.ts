import { describe, expect, it } from "vitest";
import { sheetHistory, startHistory, type HistoryStep, type SheetHistory } from "./sheetHistory";
import { noTypedAim, nothingTypedMeasured, type TypedSheet } from "./typedSheet";

const empty: TypedSheet = {
  name: "",
  profile: "body-wash",
  batch: "600",
  aim: noTypedAim,
  measured: nothingTypedMeasured,
  phases: [],
  lines: [],
  restLineId: null,
};
const named = (name: string, key: string | null = "name"): HistoryStep => ({
  kind: "change",
  key,
  change: (sheet) => ({ ...sheet, name }),
});
const after = (...steps: HistoryStep[]): SheetHistory => steps.reduce(sheetHistory, startHistory(empty));

describe("undo", () => {
  it("takes typing in one cell back as one step", () => {
    expect(after(named("P"), named("Pr"), named("Prop"), { kind: "undo" }).now.name).toBe("");
  });

  it("takes different cells back one by one, and forth again", () => {
    const typed = [named("Prop"), { ...named("Prop Room"), key: null } as HistoryStep];
    expect(after(...typed, { kind: "undo" }).now.name).toBe("Prop");
    expect(after(...typed, { kind: "undo" }, { kind: "redo" }).now.name).toBe("Prop Room");
  });

  it("a new change after an undo closes the way forth", () => {
    expect(after(named("a"), { kind: "undo" }, named("b"), { kind: "redo" }).now.name).toBe("b");
  });

  it("does nothing at either end", () => {
    expect(after({ kind: "undo" }).now).toBe(empty);
    expect(after({ kind: "redo" }).now).toBe(empty);
  });

  it("a change that changes nothing is no step", () => {
    expect(after({ kind: "change", key: null, change: (sheet) => sheet }).past).toHaveLength(0);
  });

  it("replacing the sheet can be taken back", () => {
    const other = { ...empty, name: "theirs" };
    expect(after(named("mine"), { kind: "replace", sheet: other }, { kind: "undo" }).now.name).toBe("mine");
  });
});
