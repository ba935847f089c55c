import type { BatchEntry } from "@tensidrum/core/process";
import { describe, expect, it } from "vitest";
import { beginBatch } from "../../../db/batches/writes.server";
import { demoFormulas } from "../../../db/demo/formulas";
import { formulaOfVersion } from "../../../db/formulas/formulaOfVersion.server";
import { findVersion } from "../../../db/formulas/queries.server";
import { onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import { currentMakerId, database } from "../../../db/workplace.server";
import { rememberedOf } from "./memory.server";

onFreshDatabase({ demo: "once" });

describe("what earlier batches tell of a material", () => {
  it("is nothing while it was never used, and then what it did", async () => {
    const [db, makerId] = [database(), currentMakerId()];
    expect(await rememberedOf("juniper-berry-oil")).toEqual({ text: null });
    const { id: formulaId = "" } = demoFormulas.find(({ name }) => name.startsWith("Green")) ?? {};
    const { formula } = await formulaOfVersion(db, makerId, { formulaId, number: 1 });
    const version = await findVersion(db, makerId, { formulaId, number: 1 });
    const oil = formula.lines.find(({ material }) => material === "juniper-berry-oil")?.id ?? "";
    const head = () => ({ id: crypto.randomUUID(), at: "2026-11-26T10:00:00Z" });
    const thick = (viscosity: number): BatchEntry => ({
      ...head(),
      kind: "thickness-read",
      step: "salt",
      viscosity,
      unit: "Pa·s",
      said: "",
    });
    for (const [code, after] of [
      ["GR-1", 2],
      ["GR-2", 1.6],
    ] as const) {
      const weighed: BatchEntry = { ...head(), kind: "weighed", step: "scent", line: oil, grams: 1 };
      const batch = {
        id: crypto.randomUUID(),
        versionId: version?.version.id ?? "",
        code,
        formula,
        steps: [],
        vessels: [],
        coreVersion: "0",
      };
      await beginBatch(db, makerId, { ...batch, entries: [thick(4), weighed, thick(after)] }, []);
    }
    // √(0.5 × 0.4) = 0.447
    expect(await rememberedOf("juniper-berry-oil")).toEqual({ text: "In 2 batches it made it 55 % thinner in the middle." });
    expect(await rememberedOf("nothing-like-that")).toEqual({ text: null });
  });
});
