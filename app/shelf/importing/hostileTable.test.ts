import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Refusal } from "@tensidrum/core/quantities";
import { hostileText } from "../../../core/src/testing/hostileText";
import { quickEnough } from "../../../core/src/testing/quickEnough";
import { typedMaterial } from "../owning/materialFields";
import { readTypedMaterial } from "../owning/readMaterial.server";
import { readLot, type TypedLot } from "../readLot";
import { readTable } from "./readTable.server";

const emptyLot: TypedLot = {
  material: "",
  code: "",
  grams: "",
  assay: "",
  price: "",
  supplier: "",
  openedOn: "",
  endsOn: "",
  afterOpening: "",
  note: "",
};

const around = { library: new Map(), known: () => null, base: null, taken: new Set<string>() };

function refusing<Answer>(read: () => Answer): Answer | Refusal {
  try {
    return read();
  } catch (error) {
    if (error instanceof Refusal) return error;
    throw error;
  }
}

const readers: Readonly<Record<string, (text: string) => unknown>> = {
  "a table": (text) => refusing(() => readTable(text)),
  "a file in an older encoding": (text) => refusing(() => readTable(Buffer.from(text, "latin1"))),
  "the cells of a lot": (text) =>
    readLot({ ...emptyLot, code: text, grams: text, assay: text, price: text, openedOn: text, note: text.slice(0, 600) }, "€"),
  "an ingredient list": (text) => readTypedMaterial({ ...typedMaterial(null), name: "x", role: "humectant", inci: text }, around),
};

describe.each(Object.entries(readers))("%s", (_, read) => {
  it.each([
    ["a quote without end", `"${"a,".repeat(50_000)}`],
    ["quotes alone", '"'.repeat(50_000)],
    ["5,000 columns", "a,".repeat(5_000)],
    ["separators of every kind", ",;\t|".repeat(10_000)],
    ["spaces", " ".repeat(50_000)],
    ["spaces between letters", `a${" ".repeat(20_000)}b`],
    ["commas and a letter", `${",".repeat(20_000)}x`],
    ["an ingredient without end", `${" ".repeat(20_000)}1${" ".repeat(20_000)}`],
  ])("stands %s", (_name, text) => {
    expect(quickEnough(() => read(text))).toBe(true);
  });

  it("stands 2,000 drawn hostile texts", () => {
    read("warm up");
    fc.assert(
      fc.property(hostileText(), (text) => quickEnough(() => read(text))),
      { numRuns: 2_000, seed: 18 },
    );
  });
});
