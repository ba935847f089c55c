import type { BatchEntry } from "@tensidrum/core/process";
import { beforeAll, describe, expect, it } from "vitest";
import { demoFormulas } from "../../../db/demo/formulas";
import { addEntries, beginBatch } from "../../../db/batches/writes.server";
import { findVersion, listVersions } from "../../../db/formulas/queries.server";
import { deleteDraft } from "../../../db/formulas/writes.server";
import { onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import { currentMakerId, database } from "../../../db/workplace.server";
import { openSheet } from "../openSheet.server";
import { draftAsMade, openAsMade } from "./asMade.server";
import { versionFormula } from "./versionFormula.server";

onFreshDatabase({ demo: "once" });

const formulaId = demoFormulas.find(({ name }) => name === "Curtain Call shampoo")?.id ?? "";
const batch = crypto.randomUUID();
const address = { formulaId, batch };

type Bare<Entry> = Entry extends BatchEntry ? Omit<Entry, "id" | "at"> : never;
const entry = (bare: Bare<BatchEntry>): BatchEntry => ({ ...bare, id: crypto.randomUUID(), at: "2026-11-26T10:00:00.000Z" }) as BatchEntry;
/** 20 % citric acid that is no line, as the bench knows it. */
const citric = {
  name: "citric acid 20 %",
  line: null,
  kind: "acid",
  molarMass: 192.12,
  pKas: [3.13, 4.76, 6.4],
  strengthPercent: 20,
} as const;

describe("a new draft with what was done", () => {
  let planned: Awaited<ReturnType<typeof versionFormula>>;

  beforeAll(async () => {
    const db = database();
    const makerId = currentMakerId();
    const version = (await listVersions(db, makerId, formulaId)).find(({ state }) => state === "final");
    const stored = await findVersion(db, makerId, { formulaId, number: version?.number });
    const snapshot = stored?.version.snapshot;
    if (version === undefined || snapshot == null) throw new Error("the demo has changed");
    planned = await versionFormula(db, makerId, { formulaId, number: version.number });
    const total = 500;
    const formula = { ...snapshot, batchGrams: total };
    const told = formula.lines.reduce((sum, { percent = 0 }) => sum + percent, 0);
    const grams = (percent: number | undefined) => (total * (percent ?? 100 - told)) / 100;
    await beginBatch(
      db,
      makerId,
      { id: batch, versionId: version.id, code: "CC-TEST-1", formula, steps: [], vessels: [], coreVersion: "1", entries: [] },
      [],
    );
    const entries = [
      ...formula.lines.map(({ id: line, percent }) => entry({ kind: "weighed", step: "s", line, grams: grams(percent) })),
      entry({ kind: "dosed", step: "ph", agent: citric, grams: 5 }),
      entry({ kind: "ph-read", step: "ph", ph: 5.31, way: "dilution", sampleGrams: 2 }),
      entry({ kind: "noted", step: null, text: "a little hazy at first" }),
      entry({ kind: "finished", yieldGrams: 490 }),
    ];
    await addEntries(db, makerId, batch, () => ({ entries, lots: new Map(), filled: [], finishedAt: new Date() }));
  });

  it("a closed batch is told beside its version: pH and yield of all that went in, 490 of 505 g", async () => {
    const { versions } = await openSheet({ formulaId }, "");
    const { made } = versions.find(({ state }) => state === "final") ?? {};
    expect(made).toMatchObject({ id: batch, code: "CC-TEST-1", ph: 5.31, yieldGrams: 490 });
    expect(made?.yieldPercent).toBeCloseTo((100 * 490) / 505, 6);
  });

  it("shows the difference first: a line of citric acid that was not there, the shares thinned by 1 %", async () => {
    const { comparison, note, draftNumber } = await openAsMade(address);
    expect(draftNumber).toBe(2);
    const acid = comparison.lines.find(({ name }) => name === "Citric acid anhydrous");
    // 5 g × 20 ⁄ 99.5 of 505 g
    expect(acid).toMatchObject({ before: null, after: { percent: 0.199 } });
    const sulfonate = comparison.lines.find(({ name }) => name.includes("olefin sulfonate"));
    expect(sulfonate?.after?.percent).toBeCloseTo(((sulfonate?.before?.percent ?? 0) * 500) / 505, 3);
    expect(note).toBe("As made in CC-TEST-1: pH 5.31, yield 97.0 %.\na little hazy at first");
  });

  it("waits for the draft there is, and is made once that is gone, with the measured pH and the note", async () => {
    await expect(draftAsMade(address)).rejects.toThrow("There is a draft already");
    const db = database();
    const draft = (await listVersions(db, currentMakerId(), formulaId)).find(({ state }) => state === "draft");
    await deleteDraft(db, currentMakerId(), draft?.id ?? "");
    await draftAsMade(address);
    const sheet = await openSheet({ formulaId }, "");
    expect(sheet).toMatchObject({ state: "draft", typed: { measured: { ph: "5.31" } } });
    expect(sheet.note).toContain("As made in CC-TEST-1");
    expect(sheet.typed.lines).toHaveLength(planned.formula.lines.length + 1);
    const after = await versionFormula(db, currentMakerId(), { formulaId });
    expect(after.formula.lines.find(({ material }) => material === "citric-acid-anhydrous")?.percent).toBe(0.199);
  });

  it("of a batch that is not closed or not of this formula there is none", async () => {
    await expect(openAsMade({ formulaId, batch: crypto.randomUUID() })).rejects.toThrow("No closed batch");
  });
});
