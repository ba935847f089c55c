import { assess, coreVersion } from "@tensidrum/core/assessment";
import { formulaOfDraft, noAim, nothingMeasured } from "@tensidrum/core/formula";
import { eq, sql } from "drizzle-orm";
import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import type { Database } from "./client.server";
import { demoFormulas } from "./demo/formulas";
import { workshop } from "./demo/workshop";
import { brokenConstraint, isDatabaseAway } from "./failures.server";
import { findVersion, listLines, listVersions } from "./formulas/queries.server";
import { lines, phases, versions } from "./formulas/schema";
import {
  deleteFormula,
  insertDraftFrom,
  insertFormula,
  saveDraft,
  finaliseDraft,
  type DraftContent,
  type LineRow,
} from "./formulas/writes.server";
import { materialsBySlug } from "./materials/queries.server";
import { materials } from "./materials/schema";
import { openDatabase } from "./client.server";
import { prepareDatabase } from "./prepare.server";
import { scales } from "./scales/schema";
import { freshDatabase } from "./testing/freshDatabase";

let db: Database;
let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let waterId: string;
let ids: { formulaId: string; versionId: string };

beforeAll(async () => {
  fresh = await freshDatabase({ demo: "once" });
  db = fresh.db;
  const [water] = await materialsBySlug(db, workshop.id, ["water-distilled"]);
  waterId = water?.id ?? "";
});

afterAll(async () => fresh.close());

const line = (changes: Partial<LineRow> = {}): LineRow => ({
  id: crypto.randomUUID(),
  phaseLetter: "A",
  materialId: waterId,
  percent: 5,
  takesTheRest: false,
  assayPercent: null,
  ...changes,
});

function content(rows: readonly LineRow[], changes: Partial<DraftContent> = {}): DraftContent {
  const file = formulaOfDraft({ name: "Test wash", profile: "body-wash", batchGrams: 600, scales: [], phases: [{ id: "A" }], lines: [] });
  return {
    name: "Test wash",
    profile: "body-wash",
    batchGrams: 600,
    aim: noAim,
    measured: nothingMeasured,
    phases: [{ letter: "A", title: "water", temperatureC: null }],
    lines: rows,
    assessment: assess(file, new Map()),
    coreVersion,
    ...changes,
  };
}

const record = () => {
  const snapshot = formulaOfDraft({ name: "Test wash", profile: "body-wash", batchGrams: 600, scales: [], phases: [], lines: [] });
  return { note: "as it was", snapshot, assessment: content([]).assessment, coreVersion };
};

beforeEach(async () => {
  ids = { formulaId: crypto.randomUUID(), versionId: crypto.randomUUID() };
  await insertFormula(db, workshop.id, ids, content([line({ takesTheRest: true, percent: null })]));
});

describe("what the database itself refuses", () => {
  const refused = async (rows: readonly LineRow[], changes: Partial<DraftContent> = {}) => {
    const save = saveDraft(db, workshop.id, { versionId: ids.versionId, revision: 0 }, content(rows, changes));
    await expect(save).rejects.toThrow();
    // The whole save is undone: the one line from before is still there.
    expect(await listLines(db, workshop.id, ids.versionId)).toHaveLength(1);
  };

  it.each([-0.001, 100.001])("a percent of %d", async (percent) => refused([line({ percent })]));
  it("an assay of 0", async () => refused([line({ assayPercent: 0 })]));
  it("two lines that take the rest", async () =>
    refused([line({ takesTheRest: true, percent: null }), line({ takesTheRest: true, percent: null })]));
  it("a q.s. line and has a percent", async () => refused([line({ takesTheRest: true, percent: 5 })]));
  it("an unknown material", async () => refused([line({ materialId: crypto.randomUUID() })]));
  it("a phase that is not there", async () => refused([line({ phaseLetter: "B" })]));
  it("a batch of nothing, and one of over a tonne", async () => {
    await refused([], { batchGrams: 0 });
    await refused([], { batchGrams: 1_000_001 });
  });
  it("a name of 121 characters", async () => refused([], { name: "x".repeat(121) }));

  it("a second draft of one formula", async () => {
    const [first] = await db.select().from(versions).where(eq(versions.id, ids.versionId));
    if (first === undefined) throw new Error("no draft");
    const second = db.insert(versions).values({ ...first, id: crypto.randomUUID(), number: 2 });
    await expect(
      second.then(() => undefined).catch((error: unknown) => Promise.reject(new Error(String(brokenConstraint(error))))),
    ).rejects.toThrow("taken");
  });

  it("a scale that carries less than it shows", async () => {
    const bad = { id: crypto.randomUUID(), makerId: workshop.id, name: "bad", readabilityGrams: 1, capacityGrams: 1, position: 9 };
    await expect(db.insert(scales).values(bad)).rejects.toThrow();
  });

  it("a material whose facts speak of another", async () => {
    await expect(db.update(materials).set({ name: "Something else" }).where(eq(materials.id, waterId))).rejects.toThrow();
  });
});

describe("drafts and final versions", () => {
  it("amounts come back exactly as given", async () => {
    const amounts = [0.1, 33.333333333333336, 1e-7, 58.695, 100];
    await saveDraft(db, workshop.id, { versionId: ids.versionId, revision: 0 }, content(amounts.map((percent) => line({ percent }))));
    expect((await listLines(db, workshop.id, ids.versionId)).map(({ percent }) => percent)).toEqual(amounts);
  });

  it("a save from an old revision loses and changes nothing", async () => {
    const first = await saveDraft(db, workshop.id, { versionId: ids.versionId, revision: 0 }, content([line()]));
    expect(first).toBe(1);
    expect(await saveDraft(db, workshop.id, { versionId: ids.versionId, revision: 0 }, content([]))).toBeUndefined();
    expect(await listLines(db, workshop.id, ids.versionId)).toHaveLength(1);
  });

  it("of two saves at the same moment one wins", async () => {
    const base = { versionId: ids.versionId, revision: 0 };
    const both = await Promise.all([saveDraft(db, workshop.id, base, content([line()])), saveDraft(db, workshop.id, base, content([]))]);
    expect(both.filter((revision) => revision === 1)).toHaveLength(1);
    expect(both.filter((revision) => revision === undefined)).toHaveLength(1);
  });

  it("a final version keeps its snapshot and nothing of it can change", async () => {
    expect(await finaliseDraft(db, workshop.id, { versionId: ids.versionId, revision: 0 }, record())).toBe(1);
    const found = await findVersion(db, workshop.id, { formulaId: ids.formulaId });
    expect(found?.version).toMatchObject({ state: "final", note: "as it was" });
    expect(found?.version.snapshot?.format).toBe("tensidrum-formula/1");
    const { versionId } = ids;
    await expect(db.update(versions).set({ note: "other" }).where(eq(versions.id, versionId))).rejects.toThrow();
    await expect(db.delete(versions).where(eq(versions.id, versionId))).rejects.toThrow();
    await expect(db.delete(lines).where(eq(lines.versionId, versionId))).rejects.toThrow();
    await expect(db.update(phases).set({ title: "other" }).where(eq(phases.versionId, versionId))).rejects.toThrow();
    await expect(db.insert(lines).values({ ...line(), versionId, makerId: workshop.id, position: 5 })).rejects.toThrow();
    expect(await saveDraft(db, workshop.id, { versionId, revision: 0 }, content([]))).toBeUndefined();
  });

  it("a line of a draft cannot slip into a final version", async () => {
    await finaliseDraft(db, workshop.id, { versionId: ids.versionId, revision: 0 }, record());
    const draftId = crypto.randomUUID();
    expect(await insertDraftFrom(db, workshop.id, { parentId: ids.versionId, versionId: draftId })).toBe(2);
    const slip = db.update(lines).set({ versionId: ids.versionId, id: crypto.randomUUID() }).where(eq(lines.versionId, draftId));
    await expect(slip).rejects.toThrow();
  });

  it("a draft from a final version has its lines, the next number and its parent", async () => {
    await finaliseDraft(db, workshop.id, { versionId: ids.versionId, revision: 0 }, record());
    const draftId = crypto.randomUUID();
    await insertDraftFrom(db, workshop.id, { parentId: ids.versionId, versionId: draftId });
    const [draft, parent] = await listVersions(db, workshop.id, ids.formulaId);
    expect(draft).toMatchObject({ id: draftId, number: 2, state: "draft", parentId: ids.versionId, note: "" });
    expect(parent).toMatchObject({ number: 1, state: "final" });
    expect(await listLines(db, workshop.id, draftId)).toEqual(await listLines(db, workshop.id, ids.versionId));
  });

  it("goes only together with its whole formula", async () => {
    await finaliseDraft(db, workshop.id, { versionId: ids.versionId, revision: 0 }, record());
    await insertDraftFrom(db, workshop.id, { parentId: ids.versionId, versionId: crypto.randomUUID() });
    expect(await deleteFormula(db, workshop.id, ids.formulaId)).toBe(true);
    expect(await listVersions(db, workshop.id, ids.formulaId)).toEqual([]);
    const { rows } = await db.execute(sql`select count(*)::int as left from lines where version_id = ${ids.versionId}`);
    expect(rows[0]?.left).toBe(0);
  });
});

describe("preparing the database", () => {
  const prepare = (demo: "once" | "never" | "reset") => {
    const said: string[] = [];
    const migrationsFolder = `${import.meta.dirname}/migrations`;
    return prepareDatabase({ connectionString: fresh.connectionString, migrationsFolder, demo, say: (step) => said.push(step) }).then(
      () => said,
    );
  };

  it("is done once; the second time there is nothing to do", async () => {
    expect(await prepare("once")).toEqual([]);
  });

  it("does not bring back a demo formula the maker threw away, unless asked to", async () => {
    const [demo] = demoFormulas;
    await deleteFormula(db, workshop.id, demo?.id ?? "");
    await prepare("once");
    expect(await findVersion(db, workshop.id, { formulaId: demo?.id ?? "" })).toBeUndefined();
    await prepare("reset");
    expect(await findVersion(db, workshop.id, { formulaId: demo?.id ?? "" })).toBeDefined();
    // The maker's own formulas stay.
    expect(await findVersion(db, workshop.id, ids)).toBeDefined();
  });

  it("may be asked by several processes at once", async () => {
    await expect(Promise.all([prepare("reset"), prepare("once"), prepare("reset")])).resolves.toHaveLength(3);
    for (const { id, versions } of demoFormulas) expect(await listVersions(db, workshop.id, id)).toHaveLength(versions.length);
  });
});

describe("a database that cannot be reached", () => {
  it("is told apart from a mistake", async () => {
    const nowhere = openDatabase("postgresql://nobody@127.0.0.1:1/nothing");
    const failure = await nowhere.db
      .execute(sql`select 1`)
      .then(() => null)
      .catch((error: unknown) => error);
    await nowhere.close();
    expect(isDatabaseAway(failure)).toBe(true);
    const mistake = await db.execute(sql`select nonsense from nowhere`).catch((error: unknown) => error);
    expect(isDatabaseAway(mistake)).toBe(false);
  });
});
