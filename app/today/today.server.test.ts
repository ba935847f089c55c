import { sql } from "drizzle-orm";
import { describe, expect, it } from "vitest";
import { greenRoom } from "../../db/demo/season";
import { batchIdOf } from "../../db/demo/loadSeasonVersions.server";
import { onFreshDatabase } from "../../db/testing/onFreshDatabase";
import { planBatchOn } from "../../db/planning/queries.server";
import { answerAlarm } from "../../db/watch/queries.server";
import { atWorkplace, currentMakerId, database, workplace } from "../../db/workplace.server";
import { here, isoToday, momentOf } from "../frame/dates.server";
import { openAgenda, openUrgent } from "./agenda.server";
import { daysCalendar, feedCalendar, newFeed, openDays, revokeFeed } from "./days.server";
import { openToday } from "./today.server";

onFreshDatabase({ demo: "once" });

const at = <Result>(moment: Date, job: () => Result): Result => atWorkplace({ ...workplace(), clock: () => moment }, job);

/** A finished batch with a plan to look at it, made so many days ago. */
async function finishedBatch(daysAgo: number): Promise<string> {
  const id = batchIdOf(`today ${daysAgo}`);
  const version = greenRoom.versions[0]?.id ?? "";
  const made = new Date(Date.now() - daysAgo * 86_400_000);
  await database()
    .execute(sql`insert into batches (id, maker_id, version_id, code, formula, steps, vessels, core_version, started_at, finished_at)
    values (${id}, ${currentMakerId()}, ${version}, ${`GR-${daysAgo}`}, '{"name": "Green Room body wash", "batchGrams": 300}', '[]', '[]', '0', ${made}, ${made})`);
  return id;
}

async function plan(batch: string, title: string, on: string): Promise<void> {
  await database().execute(sql`insert into planned_checks (id, maker_id, batch_id, storage, title, due_on)
    values (gen_random_uuid(), ${currentMakerId()}, ${batch}, 'room', ${title}, ${on})`);
}

async function look(batch: string, daysAgo: number, ph: number, signs: string, roomC: number | null = null): Promise<void> {
  await database()
    .execute(sql`insert into checks (id, maker_id, batch_id, storage, looked_at, ph, said, clarity, colour, smell, signs, note, room_c)
    values (gen_random_uuid(), ${currentMakerId()}, ${batch}, 'room', now() - make_interval(days => ${daysAgo}), ${ph}, '', '', '', '', ${signs}::text[], '', ${roomC})`);
}

describe("the day", () => {
  it("of a demo on its first day has lots that end and nothing urgent", async () => {
    const board = await openToday("", null);
    expect(board.coming.map(({ key }) => key)).toEqual(["shelf"]);
    expect([board.alarms, board.toFill, board.checks, board.calibratedDaysAgo]).toEqual([[], [], [], null]);
  });

  it("has looks on their day, late ones today, and a batch that waits for its bottles until two weeks have gone", async () => {
    const batch = await finishedBatch(6);
    await finishedBatch(30);
    await plan(batch, "1 week", here().add(3, "day").format("YYYY-MM-DD"));
    await plan(batch, "48 hours", here().subtract(2, "day").format("YYYY-MM-DD"));
    const { items } = await openAgenda();
    const looks = items.filter(({ kind }) => kind === "look");
    expect(looks.map(({ isLate, formulaId }) => [isLate, formulaId])).toEqual([
      [true, greenRoom.id],
      [false, greenRoom.id],
    ]);
    expect((await openUrgent()).toFill.map(({ code }) => code)).toEqual(["GR-6"]);
    const board = await openToday("", null);
    expect(board.coming[0]).toMatchObject({ name: "Green Room body wash", state: "a look was due" });
    expect(board.checks).toMatchObject([{ code: "GR-6", isLate: true }]);
  });

  it("an alarm leads it while it is new; one look alone that nobody compares is none", async () => {
    const batch = batchIdOf("today 6");
    await look(batch, 5, 5.2, "{}");
    expect((await openUrgent()).alarms).toEqual([]);
    await look(batch, 1, 4.8, "{}");
    const [alarm] = (await openUrgent()).alarms;
    expect(alarm).toMatchObject({ code: "GR-6", discard: false });
    const later = new Date(Date.now() + 30 * 86_400_000);
    expect((await at(later, () => openUrgent())).alarms).toEqual([]);
    await look(batch, 0, 4.8, "{mould}");
    expect((await openUrgent()).alarms[0]).toMatchObject({ discard: true });
    // What was answered leads no page; the pH beside it nobody answered.
    const said = { batchId: batch, because: "all fetched", answeredAt: new Date(), lookedAt: new Date() };
    await answerAlarm(database(), currentMakerId(), { ...said, what: "spoiled" });
    expect((await openUrgent()).alarms).toMatchObject([{ code: "GR-6", discard: false }]);
    await answerAlarm(database(), currentMakerId(), { ...said, what: "ph" });
    expect((await openUrgent()).alarms).toEqual([]);
  });

  it("the bench room is spoken of where a look is due and readings in it would not compare", async () => {
    const batch = batchIdOf("today 6");
    const spoken = async () => (await openToday("", null)).room;
    const later = (days: number) => database().execute(sql`update planned_checks set due_on = due_on + ${days}::int`);
    expect(await spoken()).toBeNull();
    await look(batch, 0, 5.1, "{}", 22);
    expect(await spoken()).toBeNull();
    await look(batch, 0, 5.1, "{}", 27.5);
    expect(await spoken()).toMatchObject({ degrees: "27.5" });
    await later(30);
    expect(await spoken()).toBeNull();
    await later(-30);
    const tomorrow = momentOf(here().add(1, "day"));
    expect(await at(tomorrow, spoken)).toBeNull();
  });

  it("what a planned batch lacks is bought a week before its day, and is a row of the shelf", async () => {
    const shopping = async () => (await openAgenda()).items.filter(({ kind }) => kind === "buy");
    const day = (ahead: number) => here().add(ahead, "day").format("YYYY-MM-DD");
    const version = greenRoom.versions[0]?.id ?? "";
    const plan = { id: crypto.randomUUID(), versionId: version, plannedOn: day(20), grams: 1, note: "" };
    expect(await shopping()).toEqual([]);
    await planBatchOn(database(), currentMakerId(), plan);
    const [little] = await shopping();
    expect(little).toMatchObject({ on: day(13), isLate: false, words: `buy for ${here().add(20, "day").format("ddd D MMM")}` });
    // Four materials stand on no shelf; of the others there is more than a gram.
    expect(little?.detail).toMatch(/^[^,]+, [^,]+, [^,]+ and 1 more$/);
    await planBatchOn(database(), currentMakerId(), { ...plan, id: crypto.randomUUID(), plannedOn: day(3), grams: 40_000 });
    // What two batches need is bought at once, for the first of them.
    const rows = await shopping();
    expect(rows.map(({ on, isLate }) => [on, isLate])).toEqual([[isoToday(), false]]);
    expect(Number(/(\d+) more$/.exec(rows[0]?.detail ?? "")?.[1])).toBeGreaterThan(1);
    expect((await openToday("", null)).coming.at(-1)).toMatchObject({ key: "shelf", state: "something to buy" });
  });

  it("a week has seven days from Monday, a month whole weeks, and what is late stands today", async () => {
    const week = await openDays({ span: "week", of: "" });
    expect(week.days).toHaveLength(7);
    expect(week.days[0]?.name).toMatch(/^Mon/);
    const today = week.days.find(({ iso }) => iso === isoToday());
    expect(today?.items.filter(({ isLate }) => isLate)).toHaveLength(1);
    const month = await openDays({ span: "month", of: "2027-02-14" });
    expect(month.title).toBe("February 2027");
    expect(month.days.length % 7).toBe(0);
    expect(month.days.filter(({ isOutside }) => !isOutside)).toHaveLength(28);
    expect([month.before, month.after]).toEqual(["2027-01-14", "2027-03-14"]);
  });

  it("a calendar asks by an address that is told once, and by it alone until it is revoked or another takes its place", async () => {
    expect((await (await daysCalendar()).text()).match(/BEGIN:VEVENT/g)?.length).toBeGreaterThan(2);
    const tokenOf = (address: string): string => /feed\/(.+)\.ics$/.exec(address)?.[1] ?? "";
    const first = tokenOf(await newFeed());
    expect(await (await feedCalendar(first)).text()).toContain("Green Room body wash: look: 1 week");
    const second = tokenOf(await newFeed());
    await expect(feedCalendar(first)).rejects.toThrow("answers no more");
    expect((await openDays({ span: "week", of: "" })).feedSince).not.toBeNull();
    await revokeFeed();
    await expect(feedCalendar(second)).rejects.toThrow("answers no more");
    await expect(feedCalendar("' or 1=1 --")).rejects.toThrow("answers no more");
    expect((await openDays({ span: "week", of: "" })).feedSince).toBeNull();
  });
});
