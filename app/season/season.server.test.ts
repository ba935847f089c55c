import { describe, expect, it } from "vitest";
import { listClosedBatchesOf, listOpenBatches } from "../../db/batches/queries.server";
import { curtainCall, greenRoom, lightsDown, seasonBatches, seasonVersions } from "../../db/demo/season";
import { loadDemo } from "../../db/demo/loadDemo.server";
import { batchIdOf } from "../../db/demo/loadSeasonVersions.server";
import { listPracticeRuns } from "../../db/practice/queries.server";
import { latestMoment } from "../../db/clock.server";
import { movementsOfMaterial } from "../../db/inventory/queries.server";
import { listVersions } from "../../db/formulas/queries.server";
import { onFreshDatabase } from "../../db/testing/onFreshDatabase";
import { currentMakerId, database, workplace } from "../../db/workplace.server";
import { noSize } from "../bench/begin/batchSize";
import { begin } from "../bench/begin/begin.server";
import { practiceRunsOf } from "../bench/practice/practice.server";
import { openRecord } from "../bench/record/record.server";
import { openRounds } from "../compare/rounds/rounds.server";
import { openWatch } from "../watch/watch.server";
import { loadSeason } from "./loadSeason.server";

onFreshDatabase({ demo: "once" });

const told = async () => {
  const { rows } = await database().execute("select code, started_at, finished_at from batches order by started_at");
  return rows as { readonly code: string; readonly started_at: string; readonly finished_at: string | null }[];
};

describe("the season of the demo", () => {
  it("is eight weeks of batches at the moments they tell, the last of them still being made", async () => {
    await loadSeason(workplace());
    const batches = await told();
    expect(batches).toHaveLength(seasonBatches.length);
    for (const [at, { hoursAgo }] of seasonBatches.entries()) {
      const hours = (Date.now() - new Date(batches[at]!.started_at).getTime()) / 3_600_000;
      expect(Math.abs(hours - hoursAgo)).toBeLessThan(hoursAgo < 24 ? 0.1 : 24);
    }
    expect((await listOpenBatches(database(), currentMakerId())).length).toBe(2);
    expect((await latestMoment(database()))!.getTime()).toBeLessThanOrEqual(Date.now());
  });

  it("sums hold: what was weighed, sampled and lost is what went in, and no lot is below nothing", async () => {
    const { rows } = await database().execute(`select l.code, sum(m.grams) as left from lots l join movements m on m.lot_id = l.id
      group by l.code having sum(m.grams) < -0.001`);
    expect(rows).toEqual([]);
    const record = await openRecord(batchIdOf("green room 1"));
    expect(record.account.inGrams).toBeGreaterThan(record.finished?.yieldGrams ?? Infinity);
    expect(record.finished?.yieldGrams).toBe(684);
    expect(record.lines.filter(({ actualGrams }) => actualGrams === null)).toEqual([]);
  });

  it("a ledger tells its rows by their day, and what a lot held after each of them", async () => {
    const { rows: found } = await database().execute("select id from materials where slug = 'cocamidopropyl-betaine'");
    const rows = await movementsOfMaterial(database(), currentMakerId(), String(found[0]!.id), 200);
    const moments = rows.map(({ madeAt }) => madeAt.getTime());
    expect(moments).toEqual(moments.toSorted((a, b) => b - a));
    const lot = rows.filter(({ code }) => code === "B-114").toReversed();
    expect(lot.length).toBeGreaterThan(10);
    let held = 0;
    for (const { grams, restGrams } of lot) expect(restGrams).toBeCloseTo((held += grams), 6);
  });

  it("a remover drifts into its alarm and its bottles are called back; another parted and was stopped", async () => {
    const { alarms, containers } = await openWatch(batchIdOf("lights down 1"), { sample: "room", looks: "" });
    expect(alarms.map(({ what }) => what)).toEqual(["spoiled", "ph"]);
    expect(containers.find(({ count }) => count === 6)).toBeDefined();
    const stopped = await openRecord(batchIdOf("lights down 2"));
    expect(stopped.steps.filter(({ state }) => state === "skipped").length).toBeGreaterThan(2);
    const closed = await listClosedBatchesOf(database(), currentMakerId(), lightsDown.id, { most: 9 });
    expect(closed).toHaveLength(2);
  });

  it("has rounds that come near to a product, with what was learned", async () => {
    const { rounds, product } = await openRounds(greenRoom.id);
    expect(product?.name).toBe("The one from the seaside hotel");
    expect(rounds.map(({ number, isDraft }) => [number, isDraft])).toEqual([
      [1, false],
      [2, false],
      [3, false],
    ]);
    expect(rounds[1]).toMatchObject({ learned: expect.stringContaining("Milder") as string });
    expect(rounds[1]!.near!.near).toBeGreaterThan(0);
  });

  it("has practice runs, judged by the same rules, the better the more patiently they were played", async () => {
    const [, second, first] = await listPracticeRuns(database(), currentMakerId(), { formulaId: curtainCall.id, number: 1 }, 9);
    expect(first!.points).toBeLessThan(second!.points);
    expect(Date.now() - first!.endedAt.getTime()).toBeGreaterThan(50 * 86_400_000);
    expect(await practiceRunsOf({ formulaId: greenRoom.id, number: 3 })).toHaveLength(1);
  });

  it("goes beside a batch the maker has open of the same version", async () => {
    await loadDemo(database());
    const id = crypto.randomUUID();
    const form = { id, grams: "60", size: noSize, seen: ["clean", "wear", "meter"], lots: {}, tares: {}, another: [] };
    expect(await begin({ formulaId: greenRoom.id, number: 1 }, form)).toEqual([]);
    await loadSeason(workplace());
    expect((await told()).length).toBe(seasonBatches.length + 1);
  });

  it("is laid in a second time over what stands there", async () => {
    const before = await told();
    await loadDemo(database());
    await loadSeason(workplace());
    const after = await told();
    expect(after.map(({ code }) => code)).toEqual(before.map(({ code }) => code));
    for (const { formula } of seasonVersions) expect((await listVersions(database(), currentMakerId(), formula.id)).length).toBeLessThan(4);
  });
});
