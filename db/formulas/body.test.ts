import { assess, coreVersion } from "@tensidrum/core/assessment";
import { formulaOfDraft, noAim, nothingMeasured } from "@tensidrum/core/formula";
import { and, eq, sql } from "drizzle-orm";
import fc from "fast-check";
import { afterAll, beforeAll, expect, it } from "vitest";
import type { Database } from "../client.server";
import { workshop } from "../demo/workshop";
import { materialsBySlug } from "../materials/queries.server";
import { freshDatabase } from "../testing/freshDatabase";
import { listLines, listPhases } from "./queries.server";
import { lines } from "./schema";
import { insertFormula, saveDraft, type DraftContent, type LineRow } from "./writes.server";

let db: Database;
let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let materialIds: readonly string[];

beforeAll(async () => {
  fresh = await freshDatabase({ demo: "never" });
  db = fresh.db;
  materialIds = (await materialsBySlug(db, workshop.id, ["water-distilled", "glycerin"])).map(({ id }) => id);
});

afterAll(async () => fresh.close());

const empty = formulaOfDraft({ name: "Test wash", profile: "body-wash", batchGrams: 600, scales: [], phases: [], lines: [] });
const head = { name: "Test wash", profile: "body-wash", batchGrams: 600, aim: noAim, measured: nothingMeasured, coreVersion };
const content = (body: Pick<DraftContent, "phases" | "lines">): DraftContent => ({
  ...head,
  ...body,
  assessment: assess(empty, new Map()),
});

const lineIds = Array.from({ length: 5 }, () => crypto.randomUUID());

const phase = { sharePercent: null, addUpToPercent: null, mayAdd: "" };
const part = { sharePercent: 30, addUpToPercent: 9, mayAdd: "scent" };

/** Any body of a draft: up to three phases, the third a part, some of the five lines in any order, at most one of them q.s. */
const anyBody = fc
  .record({
    letters: fc.shuffledSubarray(["A", "B", "C"], { minLength: 1 }),
    ids: fc.shuffledSubarray(lineIds),
    choices: fc.array(fc.nat(1000), { minLength: 5, maxLength: 5 }),
    rest: fc.nat(5),
    title: fc.constantFrom("", "water"),
  })
  .map(({ letters, ids, choices, rest, title }) => ({
    phases: letters.map((letter, at) => ({ letter, title, temperatureC: at === 0 ? null : 40, ...(at === 2 ? part : phase) })),
    lines: ids.map((id, at): LineRow => {
      const choice = choices[at] ?? 0;
      const takesTheRest = at === rest;
      return {
        id,
        asWritten: choice % 3 === 0 ? "2 tbsp moon jelly" : "",
        phaseLetter: letters[choice % letters.length] ?? "A",
        materialId: materialIds[choice % 2] ?? "",
        percent: takesTheRest || choice % 7 === 0 ? null : choice / 100,
        takesTheRest,
        assayPercent: choice % 5 === 0 ? 30 : null,
      };
    }),
  }));

const newDraft = async (body: Pick<DraftContent, "phases" | "lines">) => {
  const ids = { formulaId: crypto.randomUUID(), versionId: crypto.randomUUID() };
  await insertFormula(db, workshop.id, ids, content(body));
  return ids.versionId;
};

it("whatever stood there, a save leaves just what it holds", async () => {
  await fc.assert(
    fc.asyncProperty(anyBody, anyBody, async (before, after) => {
      const versionId = await newDraft(before);
      await saveDraft(db, workshop.id, { versionId, revision: 0 }, content(after));
      expect(await listPhases(db, workshop.id, versionId)).toEqual(after.phases);
      const stored = await listLines(db, workshop.id, versionId);
      expect(stored.map(({ facts: _, ...line }) => line)).toEqual(after.lines);
    }),
    { numRuns: 60 },
  );
});

it("a line that is the same is not written again", async () => {
  const [first, second] = lineIds as [string, string];
  const line = { phaseLetter: "A", materialId: materialIds[0] ?? "", takesTheRest: false, assayPercent: null };
  const phases = [{ letter: "A", title: "", temperatureC: null }];
  const body = (percent: number) => ({
    phases,
    lines: [
      { ...line, id: first, percent: 5 },
      { ...line, id: second, percent },
    ],
  });
  const versionId = await newDraft(body(1));
  const writtenBy = async (id: string) => {
    const [row] = await db
      .select({ transaction: sql<string>`${lines}.xmin::text` })
      .from(lines)
      .where(and(eq(lines.versionId, versionId), eq(lines.id, id)));
    return row?.transaction;
  };
  const before = [await writtenBy(first), await writtenBy(second)];
  await saveDraft(db, workshop.id, { versionId, revision: 0 }, content(body(2)));
  expect(await writtenBy(first)).toBe(before[0]);
  expect(await writtenBy(second)).not.toBe(before[1]);
});
