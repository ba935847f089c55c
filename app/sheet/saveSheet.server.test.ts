import { assess } from "@tensidrum/core/assessment";
import { beforeAll, beforeEach, describe, expect, it } from "vitest";
import { currentMakerId, database } from "../../db/workplace.server";
import { findVersion, listFormulas, listVersions } from "../../db/formulas/queries.server";
import { materialsBySlug, saveOwnFacts } from "../../db/materials/queries.server";
import { deleteLot, receiveLot } from "../../db/inventory/writes.server";
import { onFreshDatabase } from "../../db/testing/onFreshDatabase";
import { openSheet } from "./openSheet.server";
import { keepAsMaterial } from "./versions/keepAsMaterial.server";
import { beginDraft, beginFormula, discardDraft, saveSheet, finaliseSheet } from "./saveSheet.server";
import type { TypedSheet } from "./typed/typedSheet";

onFreshDatabase({ demo: "never" });
let betaineId: string;
let ids: { formulaId: string; versionId: string; waterLineId: string };
let base: { formulaId: string; versionId: string; revision: number };
let opened: Awaited<ReturnType<typeof openSheet>>;

beforeAll(async () => {
  const [betaine] = await materialsBySlug(database(), currentMakerId(), ["cocamidopropyl-betaine"]);
  betaineId = betaine?.id ?? "";
});

beforeEach(async () => {
  ids = { formulaId: crypto.randomUUID(), versionId: crypto.randomUUID(), waterLineId: crypto.randomUUID() };
  await beginFormula(ids);
  base = { formulaId: ids.formulaId, versionId: ids.versionId, revision: 0 };
  opened = await openSheet({ formulaId: ids.formulaId }, "");
});

const withBetaine = (percent: string, changes: Partial<TypedSheet> = {}): TypedSheet => ({
  ...opened.typed,
  name: "Stage Door wash",
  lines: [...opened.typed.lines, { id: crypto.randomUUID(), phase: "A", materialId: betaineId, percent, assay: "" }],
  ...changes,
});

describe("a new formula", () => {
  it("has one phase and q.s. water", () => {
    expect(opened.typed).toMatchObject({ name: "", batch: "500", restLineId: ids.waterLineId });
    expect(opened.materials.map(({ facts }) => facts.slug)).toEqual(["water-distilled"]);
  });

  it("cannot be begun twice with the same identifiers", async () => {
    await expect(beginFormula(ids)).rejects.toThrow("begun already");
  });
});

describe("saving", () => {
  it("stores what was typed, 12,5 as 12.5, with its readings", async () => {
    expect(await saveSheet(base, withBetaine("12,5"))).toMatchObject({ kind: "saved", revision: 1 });
    const again = await openSheet({ formulaId: ids.formulaId }, "");
    expect(again.typed.lines[1]?.percent).toBe("12.50");
    const [row] = await listFormulas(database(), currentMakerId(), { most: 1 });
    expect(row?.activePercent).toBeCloseTo(3.75, 9);
    expect(row).toMatchObject({ id: ids.formulaId, fixCount: 1, stopCount: 1, lineCount: 2 });
  });

  it.each(["-3", "101", "abc", "1e309"])("answers %s at its cell and stores nothing", async (text) => {
    const result = await saveSheet(base, withBetaine(text));
    expect(result.kind).toBe("problems");
    expect((await openSheet({ formulaId: ids.formulaId }, "")).typed.lines).toHaveLength(1);
  });

  it("answers an unknown material at its line and stores nothing", async () => {
    const typed = withBetaine("1");
    const lines = typed.lines.map((line) => (line.materialId === betaineId ? { ...line, materialId: crypto.randomUUID() } : line));
    const result = await saveSheet(base, { ...typed, lines });
    expect(result).toMatchObject({ kind: "problems", problems: [{ field: `lines.${lines[1]?.id}.percent` }] });
  });

  it("a name of 400 characters is answered at the name", async () => {
    const result = await saveSheet(base, withBetaine("1", { name: "x".repeat(400) }));
    expect(result).toMatchObject({ kind: "problems", problems: [{ field: "name" }] });
  });

  it("a second window that comes late is shown what stands there now", async () => {
    await saveSheet(base, withBetaine("12"));
    const late = await saveSheet(base, withBetaine("14"));
    expect(late).toMatchObject({ kind: "stale", revision: 1 });
    expect(late.kind === "stale" && late.theirs.lines[1]?.percent).toBe("12.00");
  });
});

describe("setting a version", () => {
  it("keeps a file that reads the same with an empty library", async () => {
    expect(await finaliseSheet(base, withBetaine("35"), "first one")).toEqual({ kind: "final", number: 1 });
    const found = await findVersion(database(), currentMakerId(), ids);
    const { snapshot, storedAssessment: assessment } = found?.version ?? {};
    if (snapshot == null || assessment == null) throw new Error("nothing was kept");
    expect(assess(snapshot, new Map())).toEqual(assessment);
    expect(snapshot.lines).toHaveLength(2);
  });

  it("refuses a line without a number, at that line", async () => {
    expect(await finaliseSheet(base, withBetaine(""), "")).toMatchObject({ kind: "problems" });
    expect((await listVersions(database(), currentMakerId(), ids.formulaId))[0]?.state).toBe("draft");
  });

  it("a later change of the library changes no final version", async () => {
    await finaliseSheet(base, withBetaine("35"), "");
    await database().execute(
      `update materials set facts = jsonb_set(facts, '{active}', '{"low":1,"typical":2,"high":3}') where slug = 'cocamidopropyl-betaine'`,
    );
    const again = await openSheet({ formulaId: ids.formulaId }, "");
    expect(again.storedAssessment?.activeMatter.percent).toBeCloseTo(10.5, 9);
    expect(again.materials.find(({ id }) => id === betaineId)?.facts.active?.typical).toBe(30);
    await database().execute(
      `update materials set facts = jsonb_set(facts, '{active}', '{"low":29,"typical":30,"high":32}') where slug = 'cocamidopropyl-betaine'`,
    );
  });

  it("going on makes one draft, and not a second", async () => {
    await finaliseSheet(base, withBetaine("35"), "");
    await beginDraft(ids.formulaId, ids.versionId);
    await expect(beginDraft(ids.formulaId, ids.versionId)).rejects.toThrow("draft already");
    const draft = await openSheet({ formulaId: ids.formulaId }, "");
    expect(draft).toMatchObject({ number: 2, state: "draft" });
    expect(await discardDraft({ formulaId: ids.formulaId, versionId: draft.versionId })).toEqual({ formulaStays: true });
    expect((await openSheet({ formulaId: ids.formulaId }, "")).number).toBe(1);
  });

  it("throwing the only draft away takes the formula with it", async () => {
    expect(await discardDraft(base)).toEqual({ formulaStays: false });
    await expect(openSheet({ formulaId: ids.formulaId }, "")).rejects.toThrow("not here");
  });
});

describe("a formula without a name", () => {
  it("is saved as it is, and asks for one before its version becomes final", async () => {
    expect(await saveSheet(base, withBetaine("12", { name: " " }))).toMatchObject({ kind: "saved" });
    expect((await openSheet({ formulaId: ids.formulaId }, "")).typed.name).toBe("");
    const unnamed = await finaliseSheet({ ...base, revision: 1 }, withBetaine("12", { name: "" }), "");
    expect(unnamed).toMatchObject({ kind: "problems", problems: [{ field: "name" }] });
    expect(await finaliseSheet({ ...base, revision: 1 }, withBetaine("12"), "")).toMatchObject({ kind: "final", number: 1 });
  });
});

describe("lots of a line", () => {
  const lotOf = async (code: string, assayPercent: number | null, material = betaineId) => {
    const id = crypto.randomUUID();
    const words = { code: `${code} ${id.slice(0, 6)}`, supplier: "", note: "" };
    const lot = { id, materialId: material, ...words, assayPercent, packGrams: 1000, price: 10, openedOn: null, endsOn: null };
    await receiveLot(database(), currentMakerId(), lot, crypto.randomUUID());
    return id;
  };
  const taken = (lotId: string, grams: string) => ({ lotId, code: "", grams, assayPercent: null, pricePerGram: null });
  const weighedFrom = (lots: readonly ReturnType<typeof taken>[]) => {
    const sheet = withBetaine("20");
    return { ...sheet, lines: sheet.lines.map((line) => (line.materialId === betaineId ? { ...line, lots } : line)) };
  };

  it("are kept with it, set the active matter, and come along into a final version: 60 g at 30 % and 40 at 28 % of 100 g", async () => {
    const lots = [taken(await lotOf("A", 30), "60"), taken(await lotOf("B", 28), "")];
    expect(await saveSheet(base, weighedFrom(lots))).toMatchObject({ kind: "saved" });
    const { typed } = await openSheet({ formulaId: ids.formulaId }, "");
    expect(typed.lines[1]?.lots).toMatchObject([
      { grams: "60", assayPercent: 30, pricePerGram: 0.01 },
      { grams: "", assayPercent: 28 },
    ]);
    const [row] = await listFormulas(database(), currentMakerId(), { most: 1 });
    expect(row?.activePercent).toBeCloseTo((20 * 29.2) / 100, 9);
    expect(await finaliseSheet({ ...base, revision: 1 }, typed, "")).toMatchObject({ kind: "final" });
    expect((await openSheet({ formulaId: ids.formulaId, number: 1 }, "")).typed.lines[1]?.lots).toHaveLength(2);
    await beginDraft(ids.formulaId, ids.versionId);
    expect((await openSheet({ formulaId: ids.formulaId, number: 2 }, "")).typed.lines[1]?.lots).toHaveLength(2);
  });

  it("of another material, or gone, are a problem of that line, and nothing is stored", async () => {
    const [glycerin] = await materialsBySlug(database(), currentMakerId(), ["glycerin"]);
    for (const lotId of [await lotOf("G", null, glycerin?.id), crypto.randomUUID()]) {
      const result = await saveSheet(base, weighedFrom([taken(lotId, "")]));
      expect(result).toMatchObject({ kind: "problems", problems: [{ message: expect.stringContaining("not on the shelf") as string }] });
    }
    expect((await openSheet({ formulaId: ids.formulaId }, "")).typed.lines).toHaveLength(1);
  });

  it("a lot a line is weighed from cannot be taken out", async () => {
    const lotId = await lotOf("C", 30);
    await saveSheet(base, weighedFrom([taken(lotId, "")]));
    await expect(deleteLot(database(), currentMakerId(), lotId)).rejects.toThrow();
  });
});

describe("facts a maker knows better", () => {
  it("count in a draft from then on, and leave a final version as it was", async () => {
    await saveSheet(base, withBetaine("20"));
    await finaliseSheet({ ...base, revision: 1 }, withBetaine("20"), "");
    const before = await openSheet({ formulaId: ids.formulaId, number: 1 }, "");
    await saveOwnFacts(database(), currentMakerId(), betaineId, { active: { low: 40, typical: 40, high: 40 } });
    try {
      const after = await openSheet({ formulaId: ids.formulaId, number: 1 }, "");
      expect(after.storedAssessment).toEqual(before.storedAssessment);
      expect(after.materials).toEqual(before.materials);
      await beginDraft(ids.formulaId, ids.versionId);
      const draft = await openSheet({ formulaId: ids.formulaId, number: 2 }, "");
      expect(draft.materials.find(({ facts }) => facts.slug === "cocamidopropyl-betaine")?.facts.active?.typical).toBe(40);
    } finally {
      await saveOwnFacts(database(), currentMakerId(), betaineId, {});
    }
  });
});

describe("a final version kept as a material", () => {
  it("is made of its lines; a draft is not yet one", async () => {
    await saveSheet(base, withBetaine("20"));
    await expect(keepAsMaterial(ids.formulaId, ids.versionId)).rejects.toThrow("not final");
    await finaliseSheet({ ...base, revision: 1 }, withBetaine("20", { name: "Wings wash" }), "");
    const slug = await keepAsMaterial(ids.formulaId, ids.versionId);
    expect(slug).toBe("wings-wash-v1");
    const [kept] = await materialsBySlug(database(), currentMakerId(), [slug]);
    expect(kept?.facts.parts?.map(({ percent }) => percent)).toEqual([80, 20]);
  });
});
