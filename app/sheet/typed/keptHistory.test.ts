import { describe, expect, it } from "vitest";
import { storedHistory, storedTyping } from "../saving/sheets.stored";
import { historyKept, historyToKeep } from "./keptHistory";
import { sheetHistory, startHistory, type SheetHistory } from "./sheetHistory";
import { noTypedAim, nothingTypedMeasured, type TypedSheet } from "./typedSheet";

const line = (percent: string) => ({ id: "b", phase: "A", materialId: "betaine", percent, assay: "" });
const sheet = (percent: string, name = "Curtain Call"): TypedSheet => ({
  name,
  profile: "body-wash",
  batch: "600",
  aim: noTypedAim,
  measured: nothingTypedMeasured,
  phases: [{ letter: "A", title: "", temperature: "" }],
  lines: [line(percent)],
  restLineId: null,
});

const typed = (...percents: string[]): SheetHistory =>
  percents.reduce(
    (history, percent) => sheetHistory(history, { kind: "change", key: null, change: () => sheet(percent) }),
    startHistory(sheet("1")),
  );

describe("what can be undone over a reload", () => {
  it("goes on from what the database wrote anew: 5 was stored as 5.00", () => {
    const history = historyKept(storedHistory(historyToKeep(typed("4", "5"))), [sheet("5.00")]);
    expect(history?.now).toEqual(sheet("5.00"));
    expect(history?.past.map(({ lines }) => lines[0]?.percent)).toEqual(["1", "4"]);
    expect(sheetHistory(history as SheetHistory, { kind: "undo" }).now).toEqual(sheet("4"));
  });

  it("is forgotten when the draft is another one by now, or when nothing that could be one was kept", () => {
    expect(historyKept(storedHistory(historyToKeep(typed("4", "5"))), [sheet("6")])).toBeNull();
    for (const text of ["", "no JSON", "null", "{}", '{"now":{"name":"x"},"past":[],"future":[]}', '{"now":3,"past":3}']) {
      expect(storedHistory(text)).toBeNull();
    }
  });

  it("keeps the nearest forty steps, and fewer of a very long sheet", () => {
    const many = typed(...Array.from({ length: 100 }, (_, at) => String(at)));
    expect(historyKept(storedHistory(historyToKeep(many)), [sheet("99")])?.past).toHaveLength(40);
    const long = {
      now: sheet("1", "x".repeat(100_000)),
      past: Array.from({ length: 40 }, () => sheet("1", "x".repeat(100_000))),
      future: [],
      lastKey: null,
    };
    const kept = historyKept(storedHistory(historyToKeep(long)), [long.now]);
    expect(kept?.past.length).toBeGreaterThan(0);
    expect(kept?.past.length).toBeLessThan(15);
  });
});

describe("typing a browser kept", () => {
  const kept = { revision: 3, typed: sheet("4"), base: sheet("3"), unanswered: ["a"], keptAt: 17 };

  it("comes back as it was kept", () => {
    expect(storedTyping(JSON.stringify(kept))).toEqual(kept);
  });

  it("of a build that knew no aim, no measurements and no temperatures yet stands at the usual values", () => {
    const { aim: _aim, measured: _measured, ...early } = sheet("4");
    const stored = storedTyping(JSON.stringify({ revision: 3, typed: { ...early, phases: [{ letter: "A", title: "" }] } }));
    expect(stored).toEqual({ revision: 3, typed: sheet("4"), unanswered: [], keptAt: 0 });
  });

  it.each([
    "",
    "null",
    "3",
    "{}",
    JSON.stringify({ ...kept, revision: "3" }),
    JSON.stringify({ ...kept, typed: { ...kept.typed, lines: [{}] } }),
  ])("%s is none", (text) => {
    expect(storedTyping(text)).toBeNull();
  });
});

describe("another window's changes", () => {
  it("come into the sheet and into every step, so that undoing does not undo them", () => {
    const mine = typed("4", "5");
    const theirs = sheet("1", "Prop Room");
    const merged = sheetHistory(mine, { kind: "rebase", base: sheet("1"), theirs });
    expect(merged.now).toEqual(sheet("5", "Prop Room"));
    expect(sheetHistory(merged, { kind: "undo" }).now).toEqual(sheet("4", "Prop Room"));
  });
});
