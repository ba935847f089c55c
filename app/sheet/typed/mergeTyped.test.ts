import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cellsOf, cellText, isSameSheet, saysTheSame, withCellFrom } from "./cells";
import { withLineInPhase, withLineStepped, withNewLine, withNewPhase, withoutLine, withPercent, withPhaseTitle } from "./editing";
import { mergeTyped } from "./mergeTyped";
import { noTypedAim, nothingTypedMeasured, type TypedSheet } from "./typedSheet";

const line = (id: string, percent: string, phase = "A") => ({ id, phase, materialId: `material-${id}`, percent, assay: "" });

const base: TypedSheet = {
  name: "Curtain Call",
  profile: "everyday-shampoo",
  batch: "500 g",
  aim: noTypedAim,
  measured: nothingTypedMeasured,
  phases: [
    { letter: "A", title: "water", temperature: "" },
    { letter: "B", title: "", temperature: "40" },
  ],
  lines: [line("water", ""), line("betaine", "22"), line("glycerin", "3", "B")],
  restLineId: "water",
};

const percentOf = (sheet: TypedSheet, id: string) => sheet.lines.find((each) => each.id === id)?.percent;

describe("changes of two windows", () => {
  it("to different cells merge by themselves", () => {
    const mine = withPercent({ ...base, name: "Curtain Call II" }, "betaine", "20");
    const theirs = withPhaseTitle(withPercent(base, "glycerin", "4"), "B", "care");
    const { sheet, conflicts } = mergeTyped(base, mine, theirs);
    expect(conflicts).toEqual([]);
    expect(sheet).toMatchObject({ name: "Curtain Call II", phases: [{ title: "water" }, { title: "care" }] });
    expect(percentOf(sheet, "betaine")).toBe("20");
    expect(percentOf(sheet, "glycerin")).toBe("4");
  });

  it("to the same cell are asked about, that cell alone, and stand as here until then", () => {
    const mine = withPercent(withPercent(base, "betaine", "20"), "glycerin", "5");
    const theirs = withPercent(base, "betaine", "24");
    const { sheet, conflicts } = mergeTyped(base, mine, theirs);
    expect(conflicts).toEqual(["line:betaine:percent"]);
    expect(percentOf(sheet, "betaine")).toBe("20");
    expect(percentOf(withCellFrom(sheet, theirs, "line:betaine:percent"), "betaine")).toBe("24");
  });

  it.each([
    ["line:a:percent", "4.250", "4.25"],
    ["line:a:percent", "4,25", "4.250 %"],
    ["line:a:assay", " 30", "30.0"],
    ["batch", "0.5 kg", "500"],
    ["measured:ph", "5,2", "5.20"],
    ["phase:B:temperature", "40 °C", "40"],
    ["name", "Curtain Call ", "Curtain Call"],
  ])("%s: %j and %j are equal in value and no question", (key, one, other) => {
    expect(saysTheSame(key, one, other)).toBe(true);
  });

  it("texts that are no numbers are compared as text", () => {
    expect(saysTheSame("line:a:percent", "abc", "abd")).toBe(false);
    expect(saysTheSame("line:a:percent", "", "0")).toBe(false);
    expect(saysTheSame("name", "5.0", "5")).toBe(false);
  });

  it("what the database wrote anew (22 as 22.00) is not taken for a change", () => {
    const stored = withPercent(base, "betaine", "22.00");
    const mine = withPercent(base, "betaine", "21");
    expect(mergeTyped(base, mine, stored)).toEqual({ sheet: mine, conflicts: [] });
  });

  it("lines added on both sides are both there, each behind the line it followed", () => {
    const mine = withNewLine(base, line("salt", "1"));
    const theirs = withNewLine(base, line("scent", "0.5", "B"));
    const { sheet, conflicts } = mergeTyped(base, mine, theirs);
    expect(conflicts).toEqual([]);
    expect(sheet.lines.map(({ id }) => id)).toEqual(["water", "betaine", "salt", "glycerin", "scent"]);
  });

  it("a line deleted on one side goes; deleted here and changed there, or the other way round, is asked about", () => {
    const deleted = withoutLine(base, "betaine");
    const changed = withPercent(base, "betaine", "9");
    expect(mergeTyped(base, deleted, base).sheet.lines).toHaveLength(2);
    expect(mergeTyped(base, base, deleted).sheet.lines).toHaveLength(2);
    const here = mergeTyped(base, deleted, changed);
    expect([here.conflicts, here.sheet.lines.length]).toEqual([["line:betaine"], 2]);
    expect(percentOf(withCellFrom(here.sheet, changed, "line:betaine"), "betaine")).toBe("9");
    const there = mergeTyped(base, changed, deleted);
    expect([there.conflicts, there.sheet.lines.length]).toEqual([["line:betaine"], 3]);
    expect(withCellFrom(there.sheet, deleted, "line:betaine").lines).toHaveLength(2);
  });

  it("an order changed on one side is taken, and a line moved to another phase goes with its cell", () => {
    const moved = withLineStepped(base, "betaine", -1);
    expect(mergeTyped(base, withPercent(base, "glycerin", "4"), moved).sheet.lines.map(({ id }) => id)).toEqual([
      "betaine",
      "water",
      "glycerin",
    ]);
    const sent = withLineInPhase(base, "betaine", "B");
    expect(mergeTyped(base, withPercent(base, "betaine", "20"), sent).sheet.lines.find(({ id }) => id === "betaine")).toMatchObject({
      phase: "B",
      percent: "20",
    });
  });

  it("a line in a phase that was deleted elsewhere keeps its phase", () => {
    const mine = withNewLine(withNewPhase(base), line("scent", "0.5", "C"));
    const { sheet } = mergeTyped(withNewPhase(base), mine, base);
    expect(sheet.phases.map(({ letter }) => letter)).toEqual(["A", "B", "C"]);
  });

  it("whatever is typed on both sides, every cell of the merge is of one of them, and nothing is asked that only one changed", () => {
    const step = fc.oneof(
      fc.tuple(fc.constantFrom("water", "betaine", "glycerin"), fc.constantFrom("1", "2.0", "x")).map(
        ([id, text]) =>
          (sheet: TypedSheet) =>
            withPercent(sheet, id, text),
      ),
      fc.constantFrom("betaine", "glycerin").map((id) => (sheet: TypedSheet) => withoutLine(sheet, id)),
      fc.constantFrom("Prop Room", "Green Room").map((name) => (sheet: TypedSheet) => ({ ...sheet, name })),
      fc
        .constantFrom("s1", "s2")
        .map((id) => (sheet: TypedSheet) => (sheet.lines.some((each) => each.id === id) ? sheet : withNewLine(sheet, line(id, "1")))),
      fc.constantFrom("betaine", "glycerin").map((id) => (sheet: TypedSheet) => withLineStepped(sheet, id, 1)),
    );
    const typed = fc.array(step, { maxLength: 5 }).map((steps) => steps.reduce((sheet, change) => change(sheet), base));
    fc.assert(
      fc.property(typed, typed, (mine, theirs) => {
        const { sheet, conflicts } = mergeTyped(base, mine, theirs);
        for (const key of cellsOf(mine, theirs)) {
          if (key === "order") continue;
          const text = cellText(sheet, key);
          expect([cellText(mine, key), cellText(theirs, key)]).toContain(text);
        }
        for (const key of conflicts) expect(saysTheSame(key, cellText(mine, key), cellText(theirs, key))).toBe(false);
        expect(mergeTyped(base, mine, base).conflicts).toEqual([]);
        expect(isSameSheet(mergeTyped(base, mine, base).sheet, mine)).toBe(true);
        const everyCell = cellsOf(mine, theirs).every((key) => saysTheSame(key, cellText(mine, key), cellText(theirs, key)));
        expect(isSameSheet(mine, theirs)).toBe(everyCell);
        expect(isSameSheet(mergeTyped(base, base, theirs).sheet, theirs)).toBe(true);
        expect(new Set(sheet.lines.map(({ id }) => id)).size).toBe(sheet.lines.length);
      }),
    );
  });
});
