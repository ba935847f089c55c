import type { BatchEntry } from "@tensidrum/core/process";
import { sql } from "drizzle-orm";
import { describe, expect, it } from "vitest";
import { sentenceOf } from "../../frame/formAnswer";
import { database } from "../../../db/workplace.server";
import { demoFormulas } from "../../../db/demo/formulas";
import { onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import { correctOverdrawn, openOverdrawn, overdrawnLots } from "../lots/lots.server";
import type { WantedBatch } from "../forms.server";
import { takeEntries } from "../queue/takeEntries.server";
import { viewBatch } from "../batch/stored.server";
import { begin, openBegin } from "./begin.server";
import { noSize } from "./batchSize";

onFreshDatabase({ demo: "once" });

const GREEN_ROOM = demoFormulas[0]?.id ?? "";
const wanted = { formulaId: GREEN_ROOM, number: 1 };

async function formOf(changes: Partial<WantedBatch> = {}): Promise<WantedBatch> {
  const { items, lines } = await openBegin(wanted, "");
  const seen = items.flatMap(({ id, state }) => (state === "ask" ? [id] : []));
  const lots = Object.fromEntries(lines.map(({ id }) => [id, "none"]));
  return { id: crypto.randomUUID(), grams: "200", size: noSize, seen, lots, tares: {}, another: [], ...changes };
}

describe("batches begun at the same moment", () => {
  it("all eight begin, each with a code of its own", async () => {
    const forms = await Promise.all(Array.from({ length: 8 }, () => formOf()));
    expect(await Promise.all(forms.map((form) => begin(wanted, form)))).toEqual(Array(8).fill([]));
    const { rows } = await database().execute<{ code: string }>(sql`select code from batches`);
    expect(new Set(rows.map(({ code }) => code)).size).toBe(8);
  });

  it("the same form sent twice is one batch", async () => {
    const form = await formOf({ another: (await openBegin(wanted, "")).underWay.map(({ id }) => id) });
    expect(await Promise.all([begin(wanted, form), begin(wanted, form)])).toEqual([[], []]);
    const { rows } = await database().execute(sql`select 1 from batches where id = ${form.id}`);
    expect(rows).toHaveLength(1);
  });

  it("a batch that has been made for a while is named before another one is begun, and another can be wanted", async () => {
    await database().execute(sql`update batches set started_at = started_at - interval '1 minute'`);
    const { underWay } = await openBegin(wanted, "");
    expect(sentenceOf(await begin(wanted, await formOf()))).toMatch(
      new RegExp(`${underWay[0]?.code} is being made. Go on with it, or begin another batch.`),
    );
    expect(await begin(wanted, await formOf({ another: underWay.map(({ id }) => id) }))).toEqual([]);
  });
});

const at = (entry: object, moment = new Date().toISOString()) => ({ id: crypto.randomUUID(), at: moment, ...entry }) as BatchEntry;

async function begunBatch(changes: Partial<WantedBatch> = {}): Promise<string> {
  const { underWay } = await openBegin(wanted, "");
  const form = await formOf({ another: underWay.map(({ id }) => id), ...changes });
  expect(await begin(wanted, form)).toEqual([]);
  return form.id;
}

describe("when something happened", () => {
  const momentOf = async (batch: string, id: string) => (await viewBatch(batch)).entries.find((entry) => entry.id === id)?.at;

  it("what lies ahead is now, what has another zone is told in UTC, and what is before the batch is refused in words", async () => {
    const batch = await begunBatch();
    const soon = new Date(Date.now() + 60_000).toISOString();
    const [ahead, zoned] = [
      at({ kind: "noted", step: null, text: "x" }, soon),
      at({ kind: "noted", step: null, text: "x" }, new Date().toISOString().replace("Z", "+00:00")),
    ];
    const before = at({ kind: "noted", step: null, text: "x" }, "2001-01-01T00:00:00Z");
    const { refused } = await takeEntries(batch, [ahead, zoned, before], 0);
    expect(refused).toEqual([
      { id: before.id, why: expect.stringMatching(/Its time, 1 Jan 2001.* is before the batch was begun/) as string },
    ]);
    expect(Date.parse((await momentOf(batch, ahead.id)) ?? "")).toBeLessThan(Date.parse(soon));
    expect(await momentOf(batch, zoned.id)).toMatch(/Z$/);
  });

  it("while this machine's clock is behind the beginning, entries are taken and count from the beginning", async () => {
    const batch = await begunBatch();
    await database().execute(sql`update batches set started_at = started_at + interval '2 hours' where id = ${batch}`);
    const entry = at({ kind: "noted", step: null, text: "x" });
    expect((await takeEntries(batch, [entry], 0)).refused).toEqual([]);
    expect(Date.parse((await momentOf(batch, entry.id)) ?? "")).toBeGreaterThan(Date.now() + 3_600_000);
  });
});

describe("a lot that gives more than it holds", () => {
  /** A batch that has reserved of two lots of one material, and has weighed 30 g more than the first one holds. */
  async function overdrawn() {
    const { lines } = await openBegin(wanted, "");
    const line = lines.find(({ lots }) => lots.length > 0);
    const first = line?.lots[0];
    if (line === undefined || first === undefined) throw new Error("the demo has no lot for this formula");
    await database().execute(sql`insert into movements (id, maker_id, lot_id, kind, grams, note)
      select gen_random_uuid(), maker_id, id, 'correct', 1000, 'test' from lots where id = ${first.id}`);
    const batch = await begunBatch({ lots: { ...(await formOf()).lots, [line.id]: first.id } });
    const { plan } = await viewBatch(batch);
    const target = plan.targets.get(line.id) ?? 0;
    const step = plan.steps.find((each) => each.lines.includes(line.id))?.id ?? "";
    await database().execute(sql`insert into movements (id, maker_id, lot_id, kind, grams, note)
      select gen_random_uuid(), maker_id, lot_id, 'correct', ${target - 30} - sum(grams) filter (where kind not in ('reserve', 'release')), 'test'
      from movements where lot_id = ${first.id} group by maker_id, lot_id`);
    const answer = await takeEntries(batch, [at({ kind: "weighed", step, line: line.id, grams: target })], 0);
    return { batch, line: line.id, lot: first.id, code: first.code, answer };
  }

  const left = async (lot: string) => {
    const { rows } = await database().execute<{ left: string }>(
      sql`select sum(grams) filter (where kind not in ('reserve', 'release')) as left from movements where lot_id = ${lot}`,
    );
    return rows[0]?.left;
  };
  const form = { movementId: crypto.randomUUID(), grams: "", to: "" };

  it("keeps the weight, says what is missing, and is right again once its real balance is typed", async () => {
    const { batch, line, lot, code, answer } = await overdrawn();
    expect(answer.refused).toEqual([]);
    expect(answer.short).toEqual([{ line, lotId: lot, code, missingGrams: 30 }]);
    expect(await left(lot)).toBe("-30.000");
    expect(sentenceOf(await correctOverdrawn(batch, { ...form, intent: "balance", lotId: lot, line, grams: "a bit" }))).toContain(
      "give the grams",
    );
    expect(await correctOverdrawn(batch, { ...form, intent: "balance", lotId: lot, line, grams: "12,5 g" })).toEqual([]);
    expect([await left(lot), await overdrawnLots(batch)]).toEqual(["12.500", []]);
  });

  it("or what was missing is booked on the lot it came from, in whole milligrams", async () => {
    const { batch, line, lot } = await overdrawn();
    const other = crypto.randomUUID();
    await database().execute(sql`insert into lots (id, maker_id, material_id, code, pack_grams)
      select ${other}, maker_id, material_id, 'OTHER-' || left(${other}::text, 8), 100 from lots where id = ${lot}`);
    await database().execute(
      sql`insert into movements (id, maker_id, lot_id, kind, grams) select gen_random_uuid(), maker_id, id, 'receive', 100 from lots where id = ${other}`,
    );
    expect((await openOverdrawn(batch)).lots[0]?.others.some(({ id }) => id === other)).toBe(true);
    expect(sentenceOf(await correctOverdrawn(batch, { ...form, intent: "other", lotId: lot, line }))).toContain("Choose the lot");
    expect(await correctOverdrawn(batch, { ...form, intent: "other", lotId: lot, line, to: other })).toEqual([]);
    expect([await left(lot), await left(other), await overdrawnLots(batch)]).toEqual(["0.000", "70.000", []]);
    // Sent twice it is done once.
    expect(await correctOverdrawn(batch, { ...form, intent: "other", lotId: lot, line, to: other })).toEqual([]);
    expect(await left(other)).toBe("70.000");
  });
});
