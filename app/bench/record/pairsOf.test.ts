import type { BatchEntry } from "@tensidrum/core/process";
import { describe, expect, it } from "vitest";
import { pairsOf } from "./pairsOf";

const at = "2026-11-26T10:00:00.000Z";
const looked = (id: string, when: "now" | "before" | "after", clarity: "clear" | "hazy"): BatchEntry => {
  return { id, at, kind: "looked", step: "scent", when, thickness: "pump gel", clarity, words: [], text: "" };
};
const scent: BatchEntry = { id: "w", at, kind: "weighed", step: "scent", line: "oil", grams: 2 };
const photo: BatchEntry = { id: "p", at, kind: "photographed", step: "scent", photo: "pic" };
const lines = [{ line: "oil", name: "Juniper berry oil" }] as unknown as Parameters<typeof pairsOf>[0]["lines"];
const pairs = (...standing: readonly BatchEntry[]) => pairsOf({ standing, lines });

describe("looks before and after", () => {
  it("stand as a pair with what went in between and the photos of that time", () => {
    expect(pairs(looked("a", "before", "clear"), scent, photo, looked("b", "after", "hazy"))).toEqual([
      { id: "a", between: ["Juniper berry oil"], before: "pump gel, clear", after: "pump gel, hazy", photos: ["pic"] },
    ]);
  });

  it("one without an after waits for it, and a second before begins a pair of its own", () => {
    expect(pairs(looked("a", "before", "clear"), scent)).toMatchObject([{ after: null, between: [] }]);
    expect(pairs(looked("a", "before", "clear"), looked("b", "before", "clear"), scent, looked("c", "after", "hazy"))).toMatchObject([
      { id: "a", after: null },
      { id: "b", after: "pump gel, hazy" },
    ]);
  });

  it("a look at a moment and an after alone are no pair", () => {
    expect(pairs(looked("a", "now", "clear"), looked("b", "after", "hazy"))).toEqual([]);
  });
});
