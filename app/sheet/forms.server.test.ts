import { Refusal } from "@tensidrum/core/quantities";
import { describe, expect, it } from "vitest";
import { readForm } from "../frame/readForm.server";
import { newFormulaForm, readSheetAddress, readSheetForm } from "./forms.server";
import { sheetFormData } from "./sheetFormData";
import { noTypedAim, nothingTypedMeasured, type TypedSheet } from "./typed/typedSheet";

const versionId = crypto.randomUUID();
const waterLine = { id: crypto.randomUUID(), phase: "A", materialId: crypto.randomUUID(), percent: "60.00", assay: "" };
const lot = (grams: string) => ({ lotId: crypto.randomUUID(), code: "", grams, assayPercent: null, pricePerGram: null });
const lots = [lot("60 g"), lot("")];
const betaineLine = { id: crypto.randomUUID(), phase: "B", materialId: crypto.randomUUID(), percent: "12,5", assay: "30.4", lots };

const typed: TypedSheet = {
  name: "Example wash",
  profile: "body-wash",
  batch: "1,2 kg",
  aim: noTypedAim,
  measured: nothingTypedMeasured,
  method: "Stir.\nWait an hour.",
  phases: [
    { letter: "A", title: "water", temperature: "" },
    { letter: "B", title: "", temperature: "" },
    { letter: "C", title: "blue", temperature: "", part: { share: "290 g", addUpTo: "9", mayAdd: "scent" } },
  ],
  lines: [waterLine, betaineLine],
  restLineId: waterLine.id,
};

const form = (intent = "save") => sheetFormData(typed, { versionId, revision: 4 }, intent);

describe("the sheet's form", () => {
  it("comes back as it was typed, text for text", () => {
    const read = readSheetForm(form());
    expect(read.typed).toEqual(typed);
    expect(read).toMatchObject({ intent: { kind: "save" }, versionId, revision: 4, problems: [] });
  });

  it("knows which line a button speaks of", () => {
    expect(readSheetForm(form(`remove:${betaineLine.id}`)).intent).toEqual({ kind: "remove", id: betaineLine.id });
  });

  it("two lines that are q.s. are a problem at that field, not a broken form", () => {
    const twice = form();
    twice.append("restLineId", betaineLine.id);
    expect(readSheetForm(twice).problems).toEqual([{ field: "restLineId", message: "Only one line can be q.s. to 100 %. Choose one." }]);
  });

  it("a q.s. line that is not on the sheet is none", () => {
    const elsewhere = form();
    elsewhere.set("restLineId", crypto.randomUUID());
    expect(readSheetForm(elsewhere).typed.restLineId).toBeNull();
  });

  it("a text that is too long comes back as typed, and is named at its field", () => {
    const long = form();
    long.set("name", "x".repeat(6000));
    long.set("phases.A.title", "x".repeat(41));
    const { typed: read, problems } = readSheetForm(long);
    expect(problems).toEqual([
      { field: "name", message: "At most 5000 characters." },
      { field: "phases.A.title", message: "At most 40 characters." },
    ]);
    expect(read.name).toHaveLength(6000);
  });

  it("a line called like the object itself is none", () => {
    const odd = form();
    odd.set("lines.__proto__.percent", "5");
    expect(readSheetForm(odd).typed).toEqual(typed);
  });

  const at = (id: string, field: string) => `lines.${id}.${field}`;
  const other = crypto.randomUUID();
  const broken: [string, (data: FormData) => void, string][] = [
    ["an unknown key", (data) => data.set("isAdmin", "1"), '"isAdmin"'],
    ["a key given twice", (data) => data.append("name", "Other"), "name"],
    ["no intent", (data) => data.delete("intent"), "intent"],
    ["an unknown intent", (data) => data.set("intent", "drop-tables"), "intent"],
    ["a revision that is no number", (data) => data.set("revision", "-1"), "revision"],
    ["a version id that is none", (data) => data.set("versionId", "1"), "versionId"],
    ["a line without its percent", (data) => data.delete(at(waterLine.id, "percent")), "percent"],
    [
      "a line in a phase that is not there",
      (data) => {
        data.set(at(other, "phase"), "Z");
        data.set(at(other, "materialId"), crypto.randomUUID());
        data.set(at(other, "percent"), "1");
      },
      "not as this page sends it",
    ],
    ["the same line twice", (data) => data.append(at(waterLine.id, "phase"), "A"), "not as this page sends it"],
    ["a line that is none", (data) => data.set("lines.1.percent", "5"), "lines"],
  ];

  it.each(broken)("refuses %s in a sentence", (_, spoil, words) => {
    const data = form();
    spoil(data);
    const read = () => readSheetForm(data);
    expect(read).toThrow(Refusal);
    expect(read).toThrow(words);
  });
});

describe("the form that begins a formula", () => {
  it("takes three identifiers and nothing else", () => {
    const ids = { formulaId: crypto.randomUUID(), versionId: crypto.randomUUID(), waterLineId: crypto.randomUUID() };
    const data = new FormData();
    for (const [key, value] of Object.entries(ids)) data.set(key, value);
    expect(readForm(newFormulaForm, data).typed).toEqual(ids);
    data.set("makerId", crypto.randomUUID());
    expect(() => readForm(newFormulaForm, data)).toThrow('"makerId"');
  });
});

describe("the address of a sheet", () => {
  const formulaId = crypto.randomUUID();
  it("is a formula and perhaps a version number", () => {
    expect(readSheetAddress({ formulaId, number: "3" })).toEqual({ formulaId, number: 3 });
    expect(readSheetAddress({ formulaId })).toEqual({ formulaId });
  });

  it.each([{ formulaId: "1" }, { formulaId, number: "0" }, { formulaId, number: "x" }])("%j is not here", (params) => {
    expect(() => readSheetAddress(params)).toThrow(Refusal);
  });
});
