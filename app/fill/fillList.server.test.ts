import { describe, expect, it } from "vitest";
import { demoFormulas } from "../../db/demo/formulas";
import { addEntries, beginBatch } from "../../db/batches/writes.server";
import { formulaOfVersion } from "../../db/formulas/formulaOfVersion.server";
import { onFreshDatabase } from "../../db/testing/onFreshDatabase";
import { currentMakerId, database } from "../../db/workplace.server";
import { coreVersion } from "@tensidrum/core/assessment";
import { stepsOf, type BatchEntry } from "@tensidrum/core/process";
import { openFill } from "./fillList.server";

onFreshDatabase({ demo: "once" });

const greenRoom = demoFormulas.find(({ name }) => name === "Green Room body wash");

async function begun(code: string) {
  const { formula, materials } = await formulaOfVersion(database(), currentMakerId(), { formulaId: greenRoom?.id ?? "", number: 1 });
  const { steps, vessels } = stepsOf(formula, materials);
  const id = crypto.randomUUID();
  const versionId = greenRoom?.versions[0]?.id ?? "";
  await beginBatch(database(), currentMakerId(), { id, versionId, code, formula, steps, vessels, coreVersion, entries: [] }, []);
  const enter = (entries: readonly BatchEntry[], finishedAt: Date | null = null) =>
    addEntries(database(), currentMakerId(), id, () => ({ entries, lots: new Map(), filled: [], finishedAt }));
  return { steps, enter };
}

const head = () => ({ id: crypto.randomUUID(), at: new Date().toISOString() });

describe("what is to be filled", () => {
  it("is what is made but for its last step, and what was closed; not what is being made, not what was discarded", async () => {
    await begun("GR-being-made");
    const made = await begun("GR-made");
    const through = made.steps.filter(({ code }) => code !== "fill");
    await made.enter(through.map(({ id: step }): BatchEntry => ({ ...head(), kind: "skipped", step, reason: "made elsewhere" })));
    const closed = await begun("GR-closed");
    await closed.enter([{ ...head(), kind: "finished", yieldGrams: 290 }], new Date());
    const gone = await begun("GR-gone");
    await gone.enter([{ ...head(), kind: "discarded" }], new Date());
    const { waiting, filled } = await openFill();
    expect(waiting.map(({ code }) => code).sort()).toEqual(["GR-closed", "GR-made"]);
    expect(waiting.find(({ code }) => code === "GR-closed")).toMatchObject({ toFillGrams: 290, isYieldKnown: true, planned: 0 });
    expect(filled).toEqual([]);
  });

  it("one that was counted at the bench is filled", async () => {
    const counted = await begun("GR-counted");
    const step = counted.steps.at(-1)?.id ?? "";
    await counted.enter(
      [
        { ...head(), kind: "filled", step, count: 4, container: "pump bottle" },
        { ...head(), kind: "finished", yieldGrams: 290 },
      ],
      new Date(),
    );
    expect((await openFill()).filled.map(({ code, counted: words }) => [code, words])).toEqual([["GR-counted", ["4 × pump bottle"]]]);
  });
});
