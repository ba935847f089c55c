import { describe, expect, it } from "vitest";
import { noTypedAim, type TypedSheet } from "../typed/typedSheet";
import { storedHistory, storedTyping } from "./sheets.stored";

const lot = { lotId: "lot", code: "DG-1", grams: "12", assayPercent: 51.2, pricePerGram: null };
const sheet: TypedSheet = {
  name: "Curtain Call",
  profile: "shampoo",
  batch: "600",
  aim: { ...noTypedAim, eyeArea: true, look: "clear" },
  measured: { ph: "5,4", density: "" },
  phases: [{ letter: "A", title: "Water", temperature: "" }],
  lines: [{ id: "one", phase: "A", materialId: "m", percent: "12,5", assay: "", lots: [lot] }],
  restLineId: null,
};

describe("typing a page kept", () => {
  const kept = { revision: 3, typed: sheet, base: sheet, unanswered: ["one"], keptAt: 12 };

  it("comes back as it was", () => {
    expect(storedTyping(JSON.stringify(kept))).toEqual(kept);
  });

  it("of an earlier build stands with usual values where it kept nothing", () => {
    const { aim: _aim, measured: _measured, ...early } = sheet;
    expect(storedTyping(JSON.stringify({ revision: 1, typed: early }))).toEqual({
      revision: 1,
      typed: { ...early, aim: noTypedAim, measured: { ph: "", density: "" } },
      unanswered: [],
      keptAt: 0,
    });
  });

  it.each([
    ["no text of ours", "{"],
    ["nothing", "null"],
    ["a number", "7"],
    ["a sheet without lines", JSON.stringify({ ...kept, typed: { ...sheet, lines: undefined } })],
    ["a percent that is a number", JSON.stringify({ ...kept, typed: { ...sheet, lines: [{ ...sheet.lines[0], percent: 12.5 }] } })],
  ])("is none when it is %s", (_what, text) => {
    expect(storedTyping(text)).toBeNull();
  });
});

describe("what could be undone before a reload", () => {
  it("comes back step by step", () => {
    const history = { now: sheet, past: [{ ...sheet, name: "before" }], future: [{ ...sheet, name: "after" }] };
    expect(storedHistory(JSON.stringify(history))).toEqual(history);
  });

  it("is none when one step is broken", () => {
    expect(storedHistory(JSON.stringify({ now: sheet, past: [{ name: "before" }], future: [] }))).toBeNull();
  });
});
