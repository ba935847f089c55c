import { oddCup, type Cups } from "@tensidrum/core/stability";
import sharp from "sharp";
import { beforeAll, describe, expect, it } from "vitest";
import { sql } from "drizzle-orm";
import { beginBatch } from "../../db/batches/writes.server";
import { demoFormulas } from "../../db/demo/formulas";
import { formulaOfVersion } from "../../db/formulas/formulaOfVersion.server";
import { findVersion } from "../../db/formulas/queries.server";
import { keepCheck } from "../../db/watch/queries.server";
import { onFreshDatabase } from "../../db/testing/onFreshDatabase";
import { currentMakerId, database } from "../../db/workplace.server";
import { here, momentOf } from "../frame/dates.server";
import { beginTest, keepAnswers, openBlindTest, openBlindTests } from "./blind/blind.server";
import type { TypedBlind } from "./blind/blindForms.server";
import { changePatch, openPatchTests } from "./patch/patch.server";
import type { TypedPatch } from "./patch/patchForms.server";
import { checksCalendar } from "./checksCalendar.server";
import { checksCsv } from "./checksCsv.server";
import { changeWatch } from "./keepCheck.server";
import { keepTest, openLather } from "./lather/lather.server";
import type { TypedLather } from "./lather/latherForms.server";
import { checkPhoto, openWatch, openWatchList } from "./watch.server";
import type { TypedWatch } from "./watchForms.server";

onFreshDatabase({ demo: "once" });

const id = crypto.randomUUID();
const DAYS_AGO = 30;
const nothing: TypedWatch = {
  ...{ intent: "keep", id: "", samples: [], storage: "room", planned: "", ph: "", thickness: "", by: "Pa·s", word: "" },
  ...{ beadMm: "", beadDensity: "", jarMm: "", fallMm: "", photo: undefined, lab: "", haze: "", room: "" },
  ...{ clarity: "", colour: "", smell: "", sediment: "", signs: [], note: "", on: "", why: "", alarm: "" },
};
const typed = (changes: Partial<TypedWatch> = {}): TypedWatch => ({ ...nothing, id: crypto.randomUUID(), ...changes });
const fieldsOf = async (changes: Partial<TypedWatch>) => (await changeWatch(id, typed(changes))).map(({ field }) => field);

beforeAll(async () => {
  const [db, makerId] = [database(), currentMakerId()];
  const { id: formulaId = "" } = demoFormulas.find(({ name }) => name.startsWith("Green")) ?? {};
  const { formula } = await formulaOfVersion(db, makerId, { formulaId, number: 1 });
  const version = await findVersion(db, makerId, { formulaId, number: 1 });
  const at = momentOf(here().subtract(DAYS_AGO, "day")).toISOString();
  const entry = { id: crypto.randomUUID(), at, kind: "ph-read", step: "ph", ph: 5.2, way: "dilution", sampleGrams: 0 } as const;
  const batch = { id, versionId: version?.version.id ?? "", code: "GR-1", formula, steps: [], vessels: [], coreVersion: "0" };
  await beginBatch(db, makerId, { ...batch, entries: [entry] }, []);
  await db.execute(sql`update batches set started_at = ${at}, finished_at = ${at} where id = ${id}`);
});

describe("the shake test", () => {
  const shaken = (changes: Partial<TypedLather> = {}): TypedLather => ({
    ...{
      id: crypto.randomUUID(),
      way: "shake",
      atOnce: "60",
      oneMinute: "52 mm",
      fiveMinutes: "45",
      bubbles: "fine",
      slip: "4",
      rinse: "",
      afterFeel: "3",
      scent: "",
      ...{ latherSeconds: "", rinseSeconds: "", foamGrams: "", foamMillilitres: "" },
      note: "",
    },
    ...changes,
  });

  it("is kept with what it means, and several with how far they lie apart", async () => {
    const first = shaken();
    expect(await keepTest(id, first)).toEqual([]);
    expect(await keepTest(id, first)).toEqual([]);
    expect(await keepTest(id, shaken({ atOnce: "70", oneMinute: "60", fiveMinutes: "55" }))).toEqual([]);
    const { tests, mean, measured } = await openLather(id);
    expect(tests).toHaveLength(2);
    expect(mean).toMatchObject({ atOnceMm: 65, afterFiveMinutesMm: 50, words: "65 mm of foam at once, it falls slowly" });
    const [atOnce] = measured;
    expect(atOnce).toMatchObject({ what: "foam at once", mean: 65, count: 2 });
    expect(atOnce?.spread).toBeCloseTo(Math.sqrt(50), 9);
    expect(tests.at(-1)).toMatchObject({ slip: 4, rinse: null, atOnceMm: 60 });
  });

  it("does not take foam that grows, or is higher than any cylinder", async () => {
    const fields = async (changes: Partial<TypedLather>) => (await keepTest(id, shaken(changes))).map(({ field }) => field);
    expect(await fields({ oneMinute: "61" })).toEqual(["oneMinute"]);
    expect(await fields({ fiveMinutes: "53" })).toEqual(["fiveMinutes"]);
    expect(await fields({ atOnce: "2000", fiveMinutes: "" })).toEqual(["atOnce", "fiveMinutes"]);
  });

  it("washing with it is timed and marked, foam is weighed, each with its own mean", async () => {
    const none = { atOnce: "", oneMinute: "", fiveMinutes: "", slip: "", afterFeel: "" } as const;
    const fields = async (changes: Partial<TypedLather>) => (await keepTest(id, shaken({ ...none, ...changes }))).map(({ field }) => field);
    expect(await fields({ way: "hand" })).toEqual([""]);
    expect(await fields({ way: "hand", latherSeconds: "0" })).toEqual(["latherSeconds"]);
    expect(await fields({ way: "hand", latherSeconds: "6 s", scent: "4" })).toEqual([]);
    expect(await fields({ way: "hand", latherSeconds: "8", scent: "5" })).toEqual([]);
    expect((await openLather(id, "hand")).measured).toMatchObject([
      { what: "lathers after", mean: 7, count: 2 },
      { what: "scent", mean: 4.5 },
    ]);
    expect(await fields({ way: "whipped", foamGrams: "100" })).toEqual(["foamMillilitres"]);
    expect(await fields({ way: "whipped", foamGrams: "300", foamMillilitres: "250" })).toEqual(["foamGrams"]);
    expect(await fields({ way: "whipped", foamGrams: "100 g", foamMillilitres: "250 mL" })).toEqual([]);
    expect((await openLather(id, "whipped")).measured).toMatchObject([{ what: "foam weighs", mean: 0.4 }, { what: "air taken up" }]);
    expect((await openLather(id)).count).toBe(5);
  });
});

describe("a batch that is watched", () => {
  it("is offered once it is finished; its plan follows its day, and what is past is due", async () => {
    expect((await openWatchList()).others.map(({ code }) => code)).toEqual(["GR-1"]);
    expect(await fieldsOf({ intent: "begin" })).toEqual(["samples"]);
    expect(await fieldsOf({ intent: "begin", samples: ["room", "warm"] })).toEqual([]);
    expect(await fieldsOf({ intent: "begin", samples: ["room", "warm"] })).toEqual([]);
    const { samples, planned, open, sample } = await openWatch(id);
    const next = planned.find((one) => one.id === open[0]?.id);
    expect(samples).toEqual(["room", "warm"]);
    // Seven of the one at room temperature, five of the warm one.
    expect(planned).toHaveLength(12);
    expect([sample, next?.title, next?.dueOn]).toEqual([
      "room",
      "Next day",
      here()
        .subtract(DAYS_AGO - 1, "day")
        .format("YYYY-MM-DD"),
    ]);
    const { due, coming, watched } = await openWatchList();
    // After four weeks: next day, 48 hours, 1, 2 and 4 weeks of the one, 1, 2 and 4 weeks of the other.
    expect([due.length, coming.length]).toEqual([8, 4]);
    expect(due.every(({ isLate }) => isLate)).toBe(true);
    expect(watched).toMatchObject([{ code: "GR-1", looked: 0, planned: 12 }]);
    expect((await (await checksCalendar()).text()).match(/BEGIN:VEVENT/g)).toHaveLength(12);
  });

  it("says that more is to be looked at than it lists", async () => {
    expect((await openWatchList()).hasMoreLooks).toBe(false);
    const db = database();
    await db.execute(sql`insert into planned_checks (id, maker_id, batch_id, storage, title, due_on)
      select gen_random_uuid(), maker_id, batch_id, 'cold', 'later ' || n, current_date + n
      from (select distinct maker_id, batch_id from planned_checks) of, generate_series(1, 29) n`);
    const { due, coming, hasMoreLooks } = await openWatchList();
    expect([due.length, coming.length, hasMoreLooks]).toEqual([8, 32, true]);
    await db.execute(sql`delete from planned_checks where title like 'later %'`);
  });

  it("takes a look once from two devices, and says what is wrong at its field", async () => {
    const next = (await openWatch(id, { sample: "room", looks: "" })).open.find(({ storage }) => storage === "room");
    const look = { planned: next?.id ?? "", ph: "5,18", thickness: "2.4", clarity: "clear" } as const;
    expect(await fieldsOf(look)).toEqual([]);
    expect(await fieldsOf(look)).toEqual([""]);
    expect(await fieldsOf({})).toEqual([""]);
    expect(await fieldsOf({ ph: "15", sediment: "2000", thickness: "thick" })).toEqual(["ph", "sediment", "thickness"]);
    expect(await fieldsOf({ ph: "5", thickness: "30", by: "funnel, s" })).toEqual(["thickness"]);
    expect(await fieldsOf({ ph: "5", on: "2090-01-01" })).toEqual(["on"]);
    expect(
      await fieldsOf({
        ph: "5",
        on: here()
          .subtract(DAYS_AGO + 1, "day")
          .format("YYYY-MM-DD"),
      }),
    ).toEqual(["on"]);
    expect((await openWatch(id, { sample: "room", looks: "" })).looks).toHaveLength(1);
  });

  it("takes a photo with its colour and haze, and what the page could not have sent is refused", async () => {
    const picture = await sharp({ create: { width: 8, height: 6, channels: 3, background: "#d8c080" } })
      .jpeg()
      .toBuffer();
    const photo = new File([new Uint8Array(picture)], "jar.jpg", { type: "image/jpeg" });
    const look = { storage: "light", photo, lab: "78.10 2.00 24.20", haze: "12.5" } as const;
    expect(await fieldsOf({ ...look, lab: "white" })).toEqual(["photo"]);
    expect(await fieldsOf({ ...look, haze: "130" })).toEqual(["haze"]);
    expect(await fieldsOf(look)).toEqual([]);
    expect(await fieldsOf({ storage: "light", lab: "70 6 44" })).toEqual([""]);
    expect(await fieldsOf({ storage: "light", lab: "70 6 44", note: "darker" })).toEqual([]);
    const { looks, alarms, readings, firstLab } = await openWatch(id, { sample: "light", looks: "" });
    expect(firstLab).toEqual({ l: 78.1, a: 2, b: 24.2 });
    expect(looks.at(-2)).toMatchObject({ hasPhoto: true, hazePercent: 12.5, labB: 24.2 });
    expect(readings.map(({ of }) => of)).toEqual(["ph", "viscosity", "colour"]);
    expect(alarms).toMatchObject([{ what: "colour", discard: false }]);
    expect((await checkPhoto(looks.at(-2)?.id ?? "")).headers.get("Content-Type")).toBe("image/jpeg");
    await expect(checkPhoto(crypto.randomUUID())).rejects.toThrow("not here");
  });

  it("the temperature of the bench room is kept with a look, and offered to the next one of the day", async () => {
    expect((await openWatch(id)).roomC).toBeNull();
    expect(await fieldsOf({ ph: "5.1", room: "warm" })).toEqual(["room"]);
    expect(await fieldsOf({ ph: "5.1", room: "61" })).toEqual(["room"]);
    expect(await fieldsOf({ ph: "5.1", room: "26,5 °C", storage: "light" })).toEqual([]);
    const { roomC, looks } = await openWatch(id);
    expect(roomC).toBe(26.5);
    expect(looks[0]).toMatchObject({ ph: 5.1, roomC: 26.5 });
    expect(await (await checksCsv(id)).text()).toContain("26.5");
  });

  it("tells where its readings go, the warm one sooner, and how long it keeps, as an estimate", async () => {
    for (const [day, room, warm] of [
      [2, 5.19, 5.15],
      [7, 5.18, 5.08],
      [14, 5.15, 4.99],
      [28, 5.11, 4.92],
    ] as const) {
      for (const [storage, ph] of [
        ["room", room],
        ["warm", warm],
      ] as const) {
        const lookedAt = momentOf(here().subtract(DAYS_AGO - day, "day"));
        await keepCheck(database(), currentMakerId(), {
          ...{ id: crypto.randomUUID(), batchId: id, storage, plannedId: null, lookedAt, ph, viscosity: null },
          ...{ said: "", clarity: "", colour: "", smell: "", sedimentMm: null, signs: [], note: "" },
          ...{ labL: null, labA: null, labB: null, hazePercent: null, roomC: null },
        });
      }
    }
    const { readings, alarms, shelfLife } = await openWatch(id, { sample: "warm", looks: "" });
    const [ph] = readings;
    expect(ph?.band).toEqual({ low: 4.9, high: 5.5 });
    expect(ph?.on?.meets.likely).toBeGreaterThan(27);
    expect(ph?.on?.meets.likely).toBeLessThan(45);
    expect(alarms).toEqual([]);
    expect(shelfLife).toMatchObject({ of: "ph", by: "warm" });
    expect(shelfLife?.low).toBeLessThan(shelfLife?.likely ?? 0);
    expect(shelfLife?.ageing.isMeasured).toBe(true);
    expect(shelfLife?.ageing.factor).toBeGreaterThan(2);
    expect(shelfLife?.ageing.factor).toBeLessThan(6);
  });

  it("moves and leaves out what is planned, with why", async () => {
    const { planned } = await openWatch(id, { sample: "warm", looks: "" });
    const one = planned.find(({ title }) => title === "12 weeks")!;
    expect(await fieldsOf({ intent: "move", planned: one.id, on: "soon" })).toEqual(["on"]);
    expect(await fieldsOf({ intent: "move", planned: one.id, on: "2090-01-01" })).toEqual([]);
    expect(await fieldsOf({ intent: "skip", planned: one.id })).toEqual(["why"]);
    expect(await fieldsOf({ intent: "skip", planned: one.id, why: "the jar broke" })).toEqual([]);
    expect((await openWatch(id, { sample: "warm", looks: "" })).planned.find((all) => all.id === one.id)).toMatchObject({
      dueOn: "2090-01-01",
      skippedBecause: "the jar broke",
    });
    await expect(changeWatch(id, typed({ intent: "skip", planned: crypto.randomUUID(), why: "x" }))).rejects.toThrow("not planned");
  });

  it("is stopped at once by a sign of spoiling, of whichever sample", async () => {
    expect(await fieldsOf({ storage: "warm", signs: ["mould"] })).toEqual([]);
    const { alarms } = await openWatch(id, { sample: "room", looks: "" });
    expect(alarms).toMatchObject([{ what: "spoiled", discard: true }]);
  });

  it("an alarm is answered with why, comes again with another look, and can be opened again", async () => {
    const seen = async () => {
      const { alarms, answered } = await openWatch(id, { sample: "room", looks: "" });
      return [alarms.map(({ what }) => what), answered.map(({ because }) => because)];
    };
    expect(await fieldsOf({ intent: "answer", alarm: "spoiled" })).toEqual(["why"]);
    expect(await fieldsOf({ intent: "answer", alarm: "", why: "x" })).toHaveLength(1);
    expect(await fieldsOf({ intent: "answer", alarm: "spoiled", why: "all fetched, poured away" })).toEqual([]);
    expect(await seen()).toEqual([[], ["all fetched, poured away"]]);
    expect(await fieldsOf({ intent: "reopen", alarm: "spoiled" })).toEqual([]);
    expect(await seen()).toEqual([["spoiled"], []]);
    expect(await fieldsOf({ intent: "answer", alarm: "spoiled", why: "once more" })).toEqual([]);
    expect(await fieldsOf({ storage: "room", note: "still there" })).toEqual([]);
    expect(await seen()).toEqual([["spoiled"], []]);
  });
});

describe("a patch test", () => {
  const patch = (changes: Partial<TypedPatch> = {}): TypedPatch => ({
    ...{ intent: "begin", id: crypto.randomUUID(), tester: "1", seen: "", note: "" },
    ...changes,
  });
  const wrong = async (typed: TypedPatch) => (await changePatch(id, typed)).map(({ field }) => field);

  it("waits its day: a reaction is told at any hour, that there is none only then", async () => {
    const [first, second] = [patch(), patch({ tester: "2" })];
    expect(await wrong(patch({ tester: "Anna" }))).toEqual(["tester"]);
    expect([await wrong(first), await wrong(second)]).toEqual([[], []]);
    expect((await openPatchTests(id)).tests.map(({ hoursLeft }) => hoursLeft)).toEqual([24, 24]);
    expect(await wrong({ ...first, intent: "judge" })).toEqual(["seen"]);
    expect(await wrong({ ...first, intent: "judge", seen: "nothing" })).toEqual(["seen"]);
    expect(await wrong({ ...second, intent: "judge", seen: "red, itching or swollen" })).toEqual([]);
    expect((await openPatchTests(id)).isReacted).toBe(true);
    await database().execute(sql`update patch_tests set put_on_at = now() - interval '25 hours' where id = ${first.id}`);
    expect(await wrong({ ...first, intent: "judge", seen: "nothing" })).toEqual([]);
    await expect(changePatch(id, { ...first, intent: "judge", seen: "slightly red" })).rejects.toThrow("judged already");
    expect((await openPatchTests(id)).nextTester).toBe(3);
    await expect(changePatch(id, patch({ intent: "judge", seen: "nothing" }))).rejects.toThrow("not of this batch");
  });
});

describe("a blind test", () => {
  it("draws cups for every tester, keeps what they chose, and says what it shows", async () => {
    const second = crypto.randomUUID();
    await database().execute(sql`insert into batches (id, maker_id, version_id, code, formula, steps, vessels, core_version, finished_at)
      select ${second}, maker_id, version_id, 'GR-2', formula, steps, vessels, core_version, now() from batches where id = ${id}`);
    const test: TypedBlind = { id: crypto.randomUUID(), kind: "triangle", first: id, second, testers: "12", question: "" };
    expect((await beginTest({ ...test, second: id, testers: "2" })).map(({ field }) => field)).toEqual(["second", "testers"]);
    expect(await beginTest(test)).toEqual([]);
    expect(await beginTest(test)).toEqual([]);
    const { sheets, question, result } = await openBlindTest(test.id);
    expect([sheets.length, question, result]).toEqual([12, "Which one is different?", null]);
    expect(new Set(sheets.flatMap(({ codes }) => codes)).size).toBe(36);
    const odd = sheets.map(({ tester, codes, cups }) => `${tester} ${codes[oddCup(cups as unknown as Cups)]}`);
    expect(await keepAnswers(test.id, { answers: odd.slice(0, 9).join("\n") })).toEqual([]);
    expect((await keepAnswers(test.id, { answers: "99 123" })).map(({ field }) => field)).toEqual(["answers"]);
    const told = await openBlindTest(test.id);
    expect([told.hits, told.answered, told.result?.isShown]).toEqual([9, 9, true]);
    expect((await openBlindTests()).tests).toMatchObject([{ first: "GR-1", second: "GR-2", asked: 12, answered: 9 }]);
  });

  it("of marks keeps both of each tester, by wash whichever was tasted first", async () => {
    const { batches } = await openBlindTests();
    const [first, second] = batches.map((batch) => batch.id);
    const test: TypedBlind = { id: crypto.randomUUID(), kind: "rated", first: first!, second: second!, testers: "6", question: "Slip?" };
    expect(await beginTest(test)).toEqual([]);
    const { sheets } = await openBlindTest(test.id);
    expect(sheets.map(({ cups }) => cups.join(""))).toEqual(expect.arrayContaining(["AB", "BA"]));
    const marks = sheets.map(({ tester, cups }) => `${tester} ${cups.map((cup) => (cup === "A" ? 5 : 3)).join(" ")}`);
    expect(await keepAnswers(test.id, { answers: "1 4" })).toMatchObject([{ field: "answers" }]);
    expect(await keepAnswers(test.id, { answers: marks.join("\n") })).toEqual([]);
    expect(await openBlindTest(test.id)).toMatchObject({ answered: 6, result: null, rated: { meanA: 5, meanB: 3, isShown: true } });
  });
});
