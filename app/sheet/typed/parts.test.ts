import { formulaOfDraft, draftPhase } from "@tensidrum/core/formula";
import { describe, expect, it } from "vitest";
import { isSameSheet, withCellFrom } from "./cells";
import { differencesOf } from "./differences";
import { withLineInPhase, withNewPart, withNewPhase, withPart, withPhaseTitle, withRestLine } from "./editing";
import { mergeTyped } from "./mergeTyped";
import { readTyped } from "./readTyped";
import { noTypedAim, nothingTypedMeasured, type TypedSheet } from "./typedSheet";

const line = (id: string, percent: string, phase = "A") => ({ id, phase, materialId: id, percent, assay: "" });
const bare: TypedSheet = {
  ...{ name: "Hand gel", profile: "hand-wash", batch: "900", aim: noTypedAim, measured: nothingTypedMeasured },
  phases: [{ letter: "A", title: "", temperature: "" }],
  lines: [line("water", ""), line("glucoside", "14"), line("dye", "0.2")],
  restLineId: "water",
};
const part = (letter: string, title: string, share: string) => ({
  letter,
  title,
  temperature: "",
  part: { share, addUpTo: "", mayAdd: "" },
});
const thirds: TypedSheet = {
  ...bare,
  phases: [...bare.phases, part("B", "blue", "290 g"), part("C", "gold", "290 g"), part("D", "plain", "290 g")],
  lines: bare.lines.map((one) => (one.id === "dye" ? { ...one, phase: "B" } : one)),
};
const problemsOf = (sheet: TypedSheet) => readTyped(sheet, 500).problems;

describe("parts on the sheet", () => {
  it("290 g of 900 g are 32.22 %; the lines of a part are its own, and the base has the others", () => {
    const { sheet, problems } = readTyped(thirds, 500);
    expect(problems).toEqual([]);
    expect(sheet.phases.map(({ sharePercent }) => sharePercent)).toEqual([
      null,
      ...Array.from({ length: 3 }, () => expect.closeTo(32.2222, 3) as number),
    ]);
    const lines = sheet.lines.map((one) => ({ ...one, material: one.materialId }));
    const formula = formulaOfDraft({ ...sheet, scales: [], phases: sheet.phases.map(draftPhase), lines });
    expect(formula.lines.map(({ id }) => id)).toEqual(["water", "glucoside"]);
    expect(formula.splits?.map(({ name, lines: own }) => [name, own.map(({ id, percent }) => [id, percent])])).toEqual([
      ["blue", [["dye", 0.2]]],
      ["gold", []],
      ["plain", []],
    ]);
  });

  it.each([
    ["a share that is none", withPart(thirds, "B", { share: "" }), "phases.B.share", "Give the share"],
    ["a share of nothing", withPart(thirds, "B", { share: "0" }), "phases.B.share", "Give the share"],
    ["more than the batch", withPart(thirds, "D", { share: "40" }), "phases.D.share", "104.44 %"],
    ["two of one name", withPhaseTitle(thirds, "C", "blue"), "phases.C.title", "Another part"],
    ["more to add than there is", withPart(thirds, "B", { addUpTo: "100" }), "phases.B.addUpTo", "below 100"],
    ["a part that is filled up", withLineInPhase(thirds, "water", "B"), "lines.water.percent", "made up by the base"],
  ])("%s is told at its field", (_, sheet, field, words) => {
    expect(problemsOf(sheet).map((one) => one.field)).toEqual([field]);
    expect(problemsOf(sheet)[0]?.message).toContain(words);
  });

  it("shares of 33.33 and 33.34 % of three parts are no more than the batch", () => {
    const even = ["B", "C", "D"].reduce((sheet, letter) => withPart(sheet, letter, { share: "33.334" }), thirds);
    expect(problemsOf(even)).toEqual([]);
  });

  it("the first part takes half, the next what is left, and a new phase stands before them", () => {
    const two = withNewPart(withNewPart(bare));
    expect(two.phases.map(({ part: own }) => own?.share)).toEqual([undefined, "50", "50.00"]);
    expect(withNewPhase(two).phases.map(({ letter }) => letter)).toEqual(["A", "D", "B", "C"]);
  });

  it("a line that was q.s. keeps what it had: 0.2 % of a third of the batch is 0.064 % of it", () => {
    const percent = withRestLine(thirds, "glucoside").lines.find(({ id }) => id === "water")?.percent;
    expect(Number(percent)).toBeCloseTo(100 - 14 - (0.2 * 290) / 900, 4);
  });

  it("two windows: a share changed in one and a name in the other merge, two shares are asked about", () => {
    const mine = withPart(thirds, "B", { share: "30" });
    expect(mergeTyped(thirds, mine, withPhaseTitle(thirds, "B", "sky")).conflicts).toEqual([]);
    const theirs = withPart(thirds, "B", { share: "31" });
    expect(mergeTyped(thirds, mine, theirs).conflicts).toEqual(["phase:B:part"]);
    expect(isSameSheet(mine, theirs)).toBe(false);
    expect(withCellFrom(mine, theirs, "phase:B:part").phases[1]?.part?.share).toBe("31");
    expect(differencesOf(mine, theirs, (id) => id)).toMatchObject([{ key: "phase:B:part", mine: "part of 30", theirs: "part of 31" }]);
  });
});
