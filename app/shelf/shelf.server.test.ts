import { endOfLot } from "@tensidrum/core/inventory";
import dayjs from "dayjs";
import { beforeAll, describe, expect, it } from "vitest";
import { sentenceOf } from "../frame/formAnswer";
import { assess, coreVersion } from "@tensidrum/core/assessment";
import { formulaOfDraft, noAim, nothingMeasured } from "@tensidrum/core/formula";
import { isNotChosen } from "@tensidrum/core/library";
import { referenceLibrary } from "@tensidrum/core/reference";
import { atWorkplace, currentMakerId, database, workplace } from "../../db/workplace.server";
import { insertFormula } from "../../db/formulas/writes.server";
import { findMaterial } from "../../db/materials/queries.server";
import { findLot } from "../../db/inventory/queries.server";
import { addMovement } from "../../db/inventory/writes.server";
import { onFreshDatabase } from "../../db/testing/onFreshDatabase";
import { movementsCsv } from "./importing/movementsCsv.server";
import type { ShelfFilter, TypedMovement } from "./forms.server";
import { openMaterial } from "./openMaterial.server";
import { openReceive } from "./receive.server";
import type { TypedLot } from "./readLot";
import { openShelf } from "./shelf.server";
import { moveByHand, receive, standing } from "./stock.server";

const CHOOSABLE = referenceLibrary.filter((material) => !isNotChosen(material)).length;

onFreshDatabase({ demo: "never" });

const everything: ShelfFilter = { board: "all", charge: "any", form: "any", flag: "any", where: "shelf", find: "" };
const typedLot = (changes: Partial<TypedLot> = {}) => ({
  id: crypto.randomUUID(),
  movementId: crypto.randomUUID(),
  material: "glycerin",
  code: `T-${crypto.randomUUID().slice(0, 8)}`,
  grams: "500",
  assay: "",
  price: "",
  supplier: "",
  openedOn: "",
  endsOn: "",
  afterOpening: "",
  note: "",
  ...changes,
});
const nothingKnown = { grams: "", supplier: "", price: "" } as const;
const noDates = { openedOn: "", endsOn: "", afterOpening: "" } as const;
const byHand = (lotId: string, kind: TypedMovement["kind"], grams = "", note = "") =>
  moveByHand({ ...noDates, id: crypto.randomUUID(), lotId, kind, grams, note });
const lotOf = async (lotId: string, slug = "glycerin") => (await openMaterial(slug)).lots.find(({ id }) => id === lotId);

describe("a lot on hold", () => {
  it("is put on hold with why, is told so, and is free again", async () => {
    const lot = typedLot();
    await receive(lot);
    expect((await byHand(lot.id, "hold")).map(({ field }) => field)).toEqual(["note"]);
    expect(await byHand(lot.id, "hold", "", "smells of paint")).toEqual([]);
    expect((await lotOf(lot.id))?.onHold).toBe("smells of paint");
    expect(await byHand(lot.id, "release")).toEqual([]);
    expect((await lotOf(lot.id))?.onHold).toBe("");
    expect(await byHand(lot.id, "remove")).toEqual([]);
    await expect(byHand(crypto.randomUUID(), "hold", "", "gone")).rejects.toThrow("not on your shelf");
  });
});

describe("an empty shelf", () => {
  it("holds nothing, sees to nothing, and knows the library", async () => {
    const shelf = await openShelf(everything);
    expect(shelf).toMatchObject({ standingCount: 0, shelfGroups: [], concerns: [], rows: [], libraryCount: CHOOSABLE });
    expect((await openShelf({ ...everything, where: "library" })).found).toBe(CHOOSABLE);
  });
});

describe("where a material is", () => {
  it("a formula nobody named yet is called untitled", async () => {
    const db = database();
    const makerId = currentMakerId();
    const ids = { formulaId: crypto.randomUUID(), versionId: crypto.randomUUID() };
    const material = await findMaterial(db, makerId, "allantoin");
    const line = { id: crypto.randomUUID(), material: "allantoin", percent: 1, takesTheRest: false, assayPercent: null };
    const phases = [{ letter: "A", title: "", temperatureC: null }];
    const head = { name: "", profile: "body-wash", batchGrams: 500 } as const;
    const formula = formulaOfDraft({ ...head, scales: [], phases: [{ id: "A" }], lines: [{ ...line, phase: "A" }] });
    await insertFormula(db, makerId, ids, {
      ...{ ...head, aim: noAim, measured: nothingMeasured, phases, coreVersion },
      lines: [{ ...line, phaseLetter: "A", materialId: material?.id ?? "" }],
      assessment: assess(formula, new Map(material === undefined ? [] : [["allantoin", material.facts]])),
    });
    expect((await openMaterial("allantoin")).uses).toEqual([{ formulaId: ids.formulaId, name: "Untitled formula", number: 1, percent: 1 }]);
  });
});

describe("the end of a lot", () => {
  it("is the earlier of its own and of the days it keeps once open; using some opens it", async () => {
    const lot = typedLot({ endsOn: "2090-01-31", afterOpening: "90" });
    await receive(lot);
    expect(await lotOf(lot.id)).toMatchObject({ ends: "31 Jan 2090", opened: null });
    expect(await byHand(lot.id, "use", "10")).toEqual([]);
    const used = await findLot(database(), currentMakerId(), lot.id);
    expect(used?.openedOn).toBe(dayjs().format("YYYY-MM-DD"));
    expect(used?.endsOn).toBe(dayjs().add(90, "day").format("YYYY-MM-DD"));
    expect(used?.endsOn).toBe(endOfLot({ ...used!, endsOn: used!.printedEndsOn }));
  });

  it.each([
    ["Pacific/Kiritimati", "2089-02-01"],
    ["Pacific/Honolulu", "2089-01-31"],
  ])("a lot used where it is %s is open from the day it is there: %s", async (zone, day) => {
    const lot = typedLot({ afterOpening: "90" });
    await receive(lot);
    const clock = () => new Date("2089-01-31T20:00:00Z");
    expect(await atWorkplace({ ...workplace(), zone, clock }, () => byHand(lot.id, "use", "10"))).toEqual([]);
    expect((await findLot(database(), currentMakerId(), lot.id))?.openedOn).toBe(day);
  });

  it("is corrected by hand, and what is no date or no number of days is said at its field", async () => {
    const lot = typedLot({ endsOn: "2090-01-31" });
    await receive(lot);
    const dates = (typed: object) =>
      moveByHand({ id: crypto.randomUUID(), lotId: lot.id, kind: "dates", grams: "", note: "", ...noDates, ...typed });
    expect(await dates({ openedOn: "2088-03-01", afterOpening: "90", endsOn: "2090-01-31" })).toEqual([]);
    expect((await lotOf(lot.id))?.ends).toBe("30 May 2088");
    expect((await dates({ openedOn: "1 March" })).map(({ field }) => field)).toEqual(["openedOn"]);
    expect((await dates({ afterOpening: "half a year" })).map(({ field }) => field)).toEqual(["afterOpening"]);
    expect((await lotOf(lot.id))?.ends).toBe("30 May 2088");
  });
});

describe("the stock ledger as a table", () => {
  it("has every movement with its unit, and nothing in it is a formula of a spreadsheet", async () => {
    const lot = typedLot({ code: "=T-1+1" });
    await receive(lot);
    await byHand(lot.id, "use", "12.5", "@matinee");
    const lines = (await movementsCsv().text()).trimEnd().split("\r\n");
    expect(lines[0]).toBe('date,material,slug,lot,what,"grams, g",batch,note');
    expect(lines.at(-2)).toContain(`Glycerin,glycerin,"'=T-1+1",receive,500,,`);
    expect(lines.at(-1)).toContain(`"'=T-1+1",use,-12.5,,"'@matinee"`);
  });
});

describe("receiving a lot", () => {
  it("puts it on the shelf; the same form sent twice is one lot", async () => {
    const typed = typedLot({ grams: "1,5 kg", price: "9", endsOn: "2030-01-31" });
    expect(await receive(typed)).toEqual({ slug: "glycerin" });
    expect(await receive(typed)).toEqual({ slug: "glycerin" });
    const lots = (await openMaterial("glycerin")).lots.filter(({ code }) => code === typed.code);
    expect(lots).toHaveLength(1);
    expect(lots[0]).toMatchObject({ leftGrams: 1500, pricePerKilogram: 6, ends: "31 Jan 2030", isUntouched: true });
  });

  it("says at which field it must be fixed, and stores nothing", async () => {
    const before = (await standing()).length;
    const first = typedLot();
    await receive(first);
    for (const [typed, field] of [
      [typedLot({ material: "moondust" }), "material"],
      [typedLot({ material: "" }), "material"],
      [typedLot({ grams: "some" }), "grams"],
      [typedLot({ code: first.code }), "code"],
    ] as const) {
      const received = await receive(typed);
      expect("slug" in received ? "" : received[0]?.field, field).toBe(field);
    }
    expect((await standing()).length).toBe(before + 1);
  });

  it("begins with the material asked for, and with none where that is nowhere", async () => {
    expect((await openReceive({ ...nothingKnown, material: "glycerin" })).material).toBe("glycerin");
    expect((await openReceive({ ...nothingKnown, material: "moondust" })).material).toBe("");
  });
});

describe("a lot by hand", () => {
  it("500 g, 84 used, weighed back at 410.5, 10.5 discarded: 400 are left, and four rows are in the books", async () => {
    const typed = typedLot();
    await receive(typed);
    expect(await byHand(typed.id, "use", "84 g", "Prop Room")).toEqual([]);
    expect(await byHand(typed.id, "weigh", "410,5")).toEqual([]);
    expect(await byHand(typed.id, "discard", "10.5")).toEqual([]);
    expect(await lotOf(typed.id)).toMatchObject({ leftGrams: 400, isUntouched: false });
    const { movements } = await openMaterial("glycerin");
    const own = movements.filter(({ lot }) => lot === typed.code).map(({ kind, grams, note }) => [kind, grams, note]);
    expect(own).toEqual([
      ["discard", -10.5, ""],
      ["correct", -5.5, "weighed back"],
      ["use", -84, "Prop Room"],
      ["receive", 500, ""],
    ]);
  });

  it("gives no more than is free, and says what is promised", async () => {
    const typed = typedLot({ grams: "100" });
    await receive(typed);
    const promise = { kind: "reserve", grams: -70, note: "CC 261126-1" } as const;
    await addMovement(database(), currentMakerId(), { lotId: typed.id, movementId: crypto.randomUUID() }, () => promise);
    await expect(byHand(typed.id, "use", "40")).rejects.toThrow("Only 30 g are free.");
    expect(await byHand(typed.id, "use", "30")).toEqual([]);
    expect(await lotOf(typed.id)).toMatchObject({ leftGrams: 70, promisedGrams: 70 });
  });

  it("answers what is no amount, and a weighing the books agree with", async () => {
    const typed = typedLot({ grams: "100" });
    await receive(typed);
    for (const grams of ["", "a bit", "-5", "0"]) expect(sentenceOf(await byHand(typed.id, "use", grams)), grams).toContain("Give grams");
    await expect(byHand(typed.id, "weigh", "100")).rejects.toThrow("The stock ledger says 100 g too.");
    expect(await byHand(typed.id, "weigh", "0")).toEqual([]);
    expect(await lotOf(typed.id)).toMatchObject({ leftGrams: 0 });
  });

  it("typed by mistake is taken out; one that was used stays, and is told so", async () => {
    const [mistaken, used] = [typedLot(), typedLot()];
    await receive(mistaken);
    await receive(used);
    await byHand(used.id, "use", "1");
    expect(await byHand(mistaken.id, "remove")).toEqual([]);
    expect(await lotOf(mistaken.id)).toBeUndefined();
    expect(sentenceOf(await byHand(used.id, "remove"))).toContain("stays in the stock ledger");
    await expect(byHand(crypto.randomUUID(), "use", "1")).rejects.toThrow("not on your shelf");
  });
});

describe("the sentence of the shelf", () => {
  beforeAll(async () => {
    await receive(typedLot({ material: "cocamidopropyl-betaine", code: "B-9", grams: "1000", endsOn: "2020-01-01" }));
    await receive(typedLot({ material: "sci-powder", code: "S-9", grams: "250" }));
    await receive(typedLot({ material: "rosemary-oil", code: "R-9", grams: "30" }));
  });
  const slugs = async (changes: Partial<ShelfFilter>) => (await openShelf({ ...everything, ...changes })).rows.map(({ slug }) => slug);

  it.each<[string, Partial<ShelfFilter>, readonly string[]]>([
    ["a board", { board: "scent" }, ["rosemary-oil"]],
    ["a charge", { charge: "anionic" }, ["sci-powder"]],
    ["a form", { form: "solid" }, ["sci-powder"]],
    ["a name with a mistake", { find: "rosmary" }, ["rosemary-oil"]],
    ["a lot by its code", { find: "b-9" }, ["cocamidopropyl-betaine"]],
    ["nothing that is there", { find: "moondust" }, []],
  ])("narrows by %s", async (_, changes, wanted) => {
    expect(await slugs(changes)).toEqual(wanted);
  });

  it("names the one that has ended first, and leaves out what is used up", async () => {
    const { concerns, shelfGroups } = await openShelf(everything);
    expect(concerns[0]).toMatchObject({ slug: "cocamidopropyl-betaine", concern: "ended", code: "B-9" });
    const used = typedLot({ material: "panthenol-75", grams: "10" });
    await receive(used);
    await byHand(used.id, "use", "10");
    expect(await slugs({})).not.toContain("panthenol-75");
    expect(shelfGroups.map(({ slug }) => slug)).toEqual(["cleansers", "care", "scent"]);
  });
});
