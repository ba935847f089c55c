import { coreVersion } from "@tensidrum/core/assessment";
import { formulaOfDraft } from "@tensidrum/core/formula";
import { standingEntries, type BatchEntry } from "@tensidrum/core/process";
import { trialsOf } from "@tensidrum/core/stability";
import { wantedOfLots } from "@tensidrum/core/inventory";
import fc from "fast-check";
import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { Database } from "../client.server";
import { demoFormulas } from "../demo/formulas";
import { workshop } from "../demo/workshop";
import { formulaOfVersion } from "../formulas/formulaOfVersion.server";
import { materialsBySlug } from "../materials/queries.server";
import { findLot } from "../inventory/queries.server";
import { deleteLot, receiveLot } from "../inventory/writes.server";
import { freshDatabase } from "../testing/freshDatabase";
import {
  findBatch,
  findPhoto,
  listBatchesUnderWay,
  listBatchLots,
  listCountingEntries,
  listEntries,
  listFinished,
  listHolding,
  listLastPhReadings,
  listOpenBatches,
} from "./queries.server";
import { addEntries, addPhoto, beginBatch, type Decision, type NewBatch } from "./writes.server";

let db: Database;
let close: () => Promise<void>;
let glycerinId: string;
let count = 0;

beforeAll(async () => {
  ({ db, close } = await freshDatabase({ demo: "once" }));
  glycerinId = (await materialsBySlug(db, workshop.id, ["glycerin"]))[0]?.id ?? "";
});

afterAll(async () => close());

const finalVersionId = demoFormulas[0]?.versions[0]?.id ?? "";
const draftId = demoFormulas.flatMap(({ versions }) => versions).find(({ note }) => note === undefined)?.id ?? "";

async function lotOf(packGrams: number): Promise<string> {
  const id = crypto.randomUUID();
  count += 1;
  const words = { code: `BATCH-${count}`, supplier: "", note: "" };
  const lot = { id, materialId: glycerinId, ...words, assayPercent: null, packGrams, price: null, openedOn: null, endsOn: null };
  await receiveLot(db, workshop.id, lot, crypto.randomUUID());
  return id;
}

const batch = (changes: Partial<NewBatch> = {}): NewBatch => {
  count += 1;
  const formula = formulaOfDraft({ name: "Test wash", profile: "body-wash", batchGrams: 100, scales: [], phases: [], lines: [] });
  const id = crypto.randomUUID();
  return { id, versionId: finalVersionId, code: `TW-${count}`, formula, steps: [], vessels: [], entries: [], coreVersion, ...changes };
};

const held = async (lotId: string) => {
  const lot = await findLot(db, workshop.id, lotId);
  return [lot?.freeGrams, lot?.leftGrams].map((grams) => Math.round((grams ?? 0) * 1e6) / 1e6);
};

const noted = (text: string): BatchEntry => ({ id: crypto.randomUUID(), at: "2026-11-26T10:00:00Z", kind: "noted", step: null, text });
const store =
  (...entries: BatchEntry[]) =>
  (): Decision => ({ entries, lots: new Map(), filled: [], finishedAt: null });

describe("a batch begins", () => {
  it("with its lots promised, and is listed before those that are finished", async () => {
    const lotId = await lotOf(100);
    const one = batch();
    expect(
      await beginBatch(db, workshop.id, one, [
        { lotId, line: "a", grams: 30 },
        { lotId, line: "b", grams: 20 },
      ]),
    ).toEqual([]);
    expect(await held(lotId)).toEqual([50, 100]);
    expect(await listBatchLots(db, workshop.id, one.id)).toMatchObject([
      { line: "a", grams: 30 },
      { line: "b", grams: 20 },
    ]);
    const done = batch();
    await beginBatch(db, workshop.id, done, []);
    await addEntries(db, workshop.id, done.id, () => ({ entries: [noted("end")], lots: new Map(), filled: [], finishedAt: new Date() }));
    expect((await listBatchesUnderWay(db, workshop.id, 50)).map(({ id }) => id)).toContain(one.id);
    expect((await listFinished(db, workshop.id, { most: 50 })).map(({ id }) => id)).toEqual([done.id]);
  });

  it("not when a lot holds too little: of two that want the last 60 g at the same moment one is told so", async () => {
    const lotId = await lotOf(100);
    const [one, other] = [batch(), batch()];
    const shares = [{ lotId, line: "a", grams: 60 }];
    const answers = await Promise.all([one, other].map((each) => beginBatch(db, workshop.id, each, shares)));
    expect(answers.map((short) => short.length).toSorted()).toEqual([0, 1]);
    expect(await held(lotId)).toEqual([40, 100]);
    const loser = answers[0]?.length === 1 ? one : other;
    expect(await findBatch(db, workshop.id, loser.id)).toBeUndefined();
  });

  it("only from a final version, and under a code of its own", async () => {
    await expect(beginBatch(db, workshop.id, batch({ versionId: draftId }), [])).rejects.toThrow();
    await expect(beginBatch(db, workshop.id, batch({ versionId: crypto.randomUUID() }), [])).rejects.toThrow();
    const first = batch();
    await beginBatch(db, workshop.id, first, []);
    await expect(beginBatch(db, workshop.id, batch({ code: first.code }), [])).rejects.toThrow();
  });

  it("and the lot promised to it stays on the shelf", async () => {
    const lotId = await lotOf(10);
    await beginBatch(db, workshop.id, batch(), [{ lotId, line: "a", grams: 1 }]);
    await expect(deleteLot(db, workshop.id, lotId)).rejects.toThrow();
  });
});

describe("entries of a batch", () => {
  it("are stored once however often and from however many places they are sent, in the order they came", async () => {
    const one = batch();
    await beginBatch(db, workshop.id, one, []);
    const [first, second] = [noted("first"), noted("second")];
    await addEntries(db, workshop.id, one.id, store(first));
    await Promise.all([1, 2, 3].map(() => addEntries(db, workshop.id, one.id, store(first, second))));
    const listed = await listEntries(db, workshop.id, one.id);
    expect(listed.map(({ entry }) => entry)).toEqual([first, second]);
    expect(await listEntries(db, workshop.id, one.id, listed[0]?.position)).toEqual(listed.slice(1));
    expect(await listEntries(db, workshop.id, one.id, listed[1]?.position)).toEqual([]);
    expect(await listEntries(db, workshop.id, one.id, listed[1]?.position, [first.id])).toEqual(listed.slice(0, 1));
  });

  it("what is decided sees all that is stored, also what another device sent a moment ago", async () => {
    const one = batch({ entries: [noted("empty beaker")] });
    await beginBatch(db, workshop.id, one, []);
    const seen: number[] = [];
    const count = (stored: readonly BatchEntry[]): Decision => {
      seen.push(stored.length);
      return { entries: [noted("next")], lots: new Map(), filled: [], finishedAt: null };
    };
    await Promise.all([1, 2, 3].map(() => addEntries(db, workshop.id, one.id, count)));
    expect(seen).toEqual([1, 2, 3]);
  });

  it("a picture is kept with the entry that tells of it, and goes with its batch alone", async () => {
    const one = batch();
    await beginBatch(db, workshop.id, one, []);
    const photo = { id: crypto.randomUUID(), picture: Buffer.from([1, 2, 3]), width: 4, height: 3 };
    const told: BatchEntry = { ...noted("x"), kind: "photographed", step: null, photo: photo.id };
    expect(await addPhoto(db, workshop.id, one.id, { photo, decide: store(told) })).toBe(true);
    expect(await findPhoto(db, workshop.id, { batchId: one.id, photoId: photo.id })).toEqual({
      picture: photo.picture,
      width: 4,
      height: 3,
    });
    expect((await listEntries(db, workshop.id, one.id)).map(({ entry }) => entry)).toEqual([told]);
    const tooLarge = { ...photo, id: crypto.randomUUID(), picture: Buffer.alloc(5 * 1024 * 1024 + 1) };
    await expect(addPhoto(db, workshop.id, one.id, { photo: tooLarge, decide: store() })).rejects.toThrow();
    expect(await addPhoto(db, workshop.id, crypto.randomUUID(), { photo, decide: store() })).toBe(false);
  });

  it("those of open batches that start or end a wait can be had without the rest", async () => {
    const one = batch();
    await beginBatch(db, workshop.id, one, []);
    const done: BatchEntry = { ...noted("x"), kind: "done", step: "rest" };
    await addEntries(db, workshop.id, one.id, store(noted("not this"), done));
    expect((await listOpenBatches(db, workshop.id)).find(({ id }) => id === one.id)?.entries).toEqual([done]);
    await addEntries(db, workshop.id, one.id, () => ({ entries: [noted("end")], lots: new Map(), filled: [], finishedAt: new Date() }));
    expect((await listOpenBatches(db, workshop.id)).some(({ id }) => id === one.id)).toBe(false);
  });

  it("of no batch are not stored", async () => {
    expect(await addEntries(db, workshop.id, crypto.randomUUID(), store(noted("lost")))).toBe(false);
  });

  it.each(["update batch_entries set kind = 'done'", "delete from batch_entries"])("stand: %s is refused", async (statement) => {
    await expect(db.execute(sql.raw(statement))).rejects.toThrow();
  });

  it("a lot is opened on the day of the booking, and stays so", async () => {
    const lotId = await lotOf(100);
    const one = batch();
    await beginBatch(db, workshop.id, one, [{ lotId, line: "a", grams: 50 }]);
    const weigh = (usedGrams: number, on: string) =>
      addEntries(db, workshop.id, one.id, () => ({
        ...{ entries: [noted("x")], lots: new Map([[lotId, { reservedGrams: 0, usedGrams }]]), filled: [], finishedAt: null },
        booked: { at: new Date("2026-11-26T11:00:00Z"), on },
      }));
    await weigh(20, "2026-11-27");
    expect((await findLot(db, workshop.id, lotId))?.openedOn).toBe("2026-11-27");
    await weigh(50, "2026-11-28");
    expect((await findLot(db, workshop.id, lotId))?.openedOn).toBe("2026-11-27");
  });

  it("the books say what was wanted last, whatever was wanted before", async () => {
    const grams = fc.option(fc.integer({ min: 0, max: 80 }), { nil: null });
    await fc.assert(
      fc.asyncProperty(fc.array(fc.tuple(grams, fc.boolean()), { minLength: 1, maxLength: 5 }), async (wishes) => {
        const lotId = await lotOf(500);
        const one = batch();
        const shares = [{ lotId, line: "a", grams: 50 }];
        await beginBatch(db, workshop.id, one, shares);
        for (const [weighed, isFinished] of wishes) {
          const lots = wantedOfLots(shares, new Map([["a", weighed]]), isFinished);
          await addEntries(db, workshop.id, one.id, () => ({ entries: [noted("x")], lots, filled: [], finishedAt: null }));
        }
        const [weighed = null, isFinished = false] = wishes.at(-1) ?? [];
        const used = weighed ?? 0;
        expect(await held(lotId)).toEqual([500 - used - (weighed === null && !isFinished ? 50 : 0), 500 - used]);
      }),
      { numRuns: 12 },
    );
  });
});

describe("a batch that is read while something is stored", () => {
  it("never claims a position whose entry it lacks, or a device would not ask for it again", async () => {
    const made = batch();
    await beginBatch(db, workshop.id, made, []);
    let isOver = false;
    const storing = (async () => {
      for (let at = 0; at < 150; at += 1) {
        const entry: BatchEntry = { id: crypto.randomUUID(), at: "2026-11-27T10:00:00.000Z", kind: at % 2 === 0 ? "paused" : "resumed" };
        await addEntries(db, workshop.id, made.id, () => ({ entries: [entry], lots: new Map(), filled: [], finishedAt: null }));
      }
      isOver = true;
    })();
    const claims: (readonly [claimed: number, last: number])[] = [];
    while (!isOver) {
      const { entries, position } = await listCountingEntries(db, workshop.id, made.id);
      claims.push([position, entries.at(-1)?.position ?? 0]);
    }
    await storing;
    expect(claims.length).toBeGreaterThan(20);
    expect(claims.filter(([claimed, last]) => claimed > last)).toEqual([]);
  });
});

describe("the last pH of a batch", () => {
  const read = (ph: number): BatchEntry => ({ ...head(), kind: "ph-read", step: "ph", ph, way: "dilution", sampleGrams: 2 });
  const takenBack = (entry: BatchEntry): BatchEntry => ({ ...head(), kind: "taken-back", entry: entry.id });
  const head = () => ({ id: crypto.randomUUID(), at: "2026-11-26T10:00:00Z" });

  it("is told with what it takes to know which one stands, whatever was taken back and taken back again", async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.nat({ max: 9 }), { maxLength: 12 }), async (draws) => {
        const one = batch();
        await beginBatch(db, workshop.id, one, []);
        // Six or less: a reading; more: what was entered so many entries ago is taken back.
        const entries: BatchEntry[] = [];
        for (const draw of draws) {
          const before = entries.at(6 - draw);
          entries.push(draw > 6 && before !== undefined ? takenBack(before) : read(4 + draw / 10));
        }
        await addEntries(db, workshop.id, one.id, store(...entries));
        const rows = await listLastPhReadings(db, workshop.id, [one.id]);
        const lastOf = (all: readonly BatchEntry[]) => standingEntries(all).findLast(({ kind }) => kind === "ph-read")?.id;
        expect(lastOf(rows.map(({ entry }) => entry))).toBe(lastOf(entries));
      }),
      { numRuns: 40 },
    );
  });

  it("is read without all that came before it", async () => {
    const one = batch();
    await beginBatch(db, workshop.id, one, []);
    await addEntries(db, workshop.id, one.id, store(read(6), read(5.5), noted("stirred"), read(5.1)));
    const rows = await listLastPhReadings(db, workshop.id, [one.id]);
    expect(rows.map(({ entry }) => entry)).toMatchObject([{ ph: 5.1 }]);
  });
});

describe("what a line did to a batch", () => {
  const head = () => ({ id: crypto.randomUUID(), at: "2026-11-26T10:00:00Z" });
  const read = (ph: number): BatchEntry => ({ ...head(), kind: "ph-read", step: "ph", ph, way: "dilution", sampleGrams: 2 });
  const weighed = (line: string): BatchEntry => ({ ...head(), kind: "weighed", step: "ph", line, grams: 1 });
  const thickness = (viscosity: number): BatchEntry => ({
    ...head(),
    ...{ kind: "thickness-read", step: "ph", viscosity, unit: "Pa·s", said: "" },
  });

  /** A batch of the first demo formula with these entries, and one of its lines. */
  async function batchWith(entriesOf: (line: string) => readonly BatchEntry[]) {
    const { formula } = await formulaOfVersion(db, workshop.id, { formulaId: demoFormulas[0]?.id ?? "", number: 1 });
    const line = formula.lines[0];
    if (line === undefined) throw new Error("the formula has no lines");
    const one = batch({ formula });
    const entries = entriesOf(line.id);
    await beginBatch(db, workshop.id, { ...one, entries }, []);
    const found = (await listHolding(db, workshop.id, line.material, 500)).find(({ id }) => id === one.id);
    return { line: { ...line, percent: line.percent ?? 0 }, entries, found: found?.entries };
  }

  it("is told by the entries that are read as by all of them", async () => {
    const draws = fc.array(fc.constantFrom("ph", "ph", "ph", "ph", "weighed", "thickness", "noted", "back"), {
      minLength: 4,
      maxLength: 16,
    });
    await fc.assert(
      fc.asyncProperty(draws, async (kinds) => {
        const { line, entries, found } = await batchWith((line) =>
          kinds.reduce<readonly BatchEntry[]>((before, kind) => {
            const taken = before.at(-1)?.id;
            if (kind === "ph") return [...before, read(4 + before.length / 8)];
            if (kind === "weighed") return [...before, weighed(line)];
            if (kind === "thickness") return [...before, thickness(1 + before.length)];
            return kind === "noted" || taken === undefined
              ? [...before, noted("stirred")]
              : [...before, { ...head(), kind: "taken-back", entry: taken }];
          }, []),
        );
        expect(trialsOf("A", [line], found ?? [])).toEqual(trialsOf("A", [line], entries));
      }),
      { numRuns: 60 },
    );
  });

  it("is read without the readings between", async () => {
    const { entries, found } = await batchWith((line) => [read(7), read(6), read(5), weighed(line), read(4.9), read(4.8), read(4.7)]);
    const [first, , third, fourth, fifth, , last] = entries;
    expect(found).toEqual([first, third, fourth, fifth, last]);
  });
});
