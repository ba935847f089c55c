import { processOf, stepsOf, suggestedSteps } from "@tensidrum/core/process";
import type { OwnProcess } from "@tensidrum/core/formula";
import { describe, expect, it } from "vitest";
import { demoFormulas } from "../../../db/demo/formulas";
import { onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import { currentMakerId, database } from "../../../db/workplace.server";
import { openSheet } from "../openSheet.server";
import { finaliseSheet, saveSheet } from "../saveSheet.server";
import { exportFile } from "../versions/exportFiles.server";
import { importFormula } from "../versions/importFormula.server";
import { newDraftOf } from "../versions/newDraft.server";
import { openDifference } from "../versions/openDifference.server";
import { versionFormula } from "../versions/versionFormula.server";
import { keepSteps, openSteps } from "./steps.server";

onFreshDatabase({ demo: "once" });

const formulaId = demoFormulas.find(({ name }) => name === "Curtain Call shampoo")?.id ?? "";
const draft = { formulaId, number: 2 };
const read = (address: { formulaId: string; number?: number }) => versionFormula(database(), currentMakerId(), address);

/** The suggested steps, rest first renamed and a step of one's own at the end. */
async function changed(): Promise<OwnProcess> {
  const { formula, materials } = await openSteps(draft);
  const { steps } = processOf(suggestedSteps(formula, new Map(materials.map((material) => [material.slug, material]))));
  const named = steps.map((step) => (step.id === "rest" ? { ...step, title: "Leave it until Tuesday" } : step));
  return { steps: [...named, { id: "own-1", title: "Show it to the dresser", lines: [] }] };
}

describe("the maker's own steps of a version", () => {
  it("are as suggested at first, and kept with the draft", async () => {
    expect((await openSteps(draft)).process).toBeNull();
    expect(await keepSteps(draft, await changed())).toBeNull();
    const { process, isDraft } = await openSteps(draft);
    expect(isDraft).toBe(true);
    expect(process?.steps.at(-1)?.title).toBe("Show it to the dresser");
    const { formula, materials } = await read(draft);
    expect(stepsOf(formula, materials).steps.map(({ title }) => title)).toContain("Leave it until Tuesday");
  });

  it("outlast a save of the sheet, and stand in the difference", async () => {
    const sheet = await openSheet(draft, "");
    const base = { formulaId, versionId: sheet.versionId, revision: sheet.revision };
    expect(await saveSheet(base, { ...sheet.typed, batch: "450" })).toMatchObject({ kind: "saved" });
    expect((await openSteps(draft)).process).not.toBeNull();
    const steps = (await openDifference(formulaId, {})).head.find(({ what }) => what === "Steps");
    expect(steps).toMatchObject({ before: "as suggested", after: expect.stringContaining("Leave it until Tuesday") as string });
  });

  it("go along into a trial and out and in again as a file, for the lines there are then", async () => {
    const { id } = (await openSheet(draft, "")).versions.find(({ number }) => number === 2) ?? { id: "" };
    const trial = await newDraftOf(formulaId, id);
    const file = await (await exportFile(draft, "formula.json")).text();
    const imported = await importFormula(file);
    for (const copy of [trial, imported]) {
      const { formula, materials } = await read({ formulaId: copy.formulaId });
      const { steps } = stepsOf(formula, materials);
      expect(steps.map(({ title }) => title)).toContain("Show it to the dresser");
      expect(steps.flatMap(({ lines }) => lines).sort()).toEqual(formula.lines.map((line) => line.id).sort());
      expect(formula.process?.steps.flatMap(({ lines }) => lines).length).toBe(formula.lines.length);
    }
  });

  it.each([
    [{ steps: [{ id: "a", lines: ["moon"] }] }, 'there is no line "moon"'],
    [{ steps: [{ id: "a", lines: [], atMostC: 300 }] }, "atMostC"],
    [{ steps: [{ id: "a", lines: [], colour: "red" }] }, "colour"],
  ])("%j is refused in words, and what was kept stays", async (process, words) => {
    expect(await keepSteps(draft, process as unknown as OwnProcess)).toContain(words);
    expect((await openSteps(draft)).process).not.toBeNull();
  });

  it("are in the final version for good; the suggested ones come back in a draft alone", async () => {
    const sheet = await openSheet(draft, "");
    const base = { formulaId, versionId: sheet.versionId, revision: sheet.revision };
    expect(await finaliseSheet(base, sheet.typed, "")).toMatchObject({ kind: "final" });
    expect(await keepSteps(draft, null)).toContain("is final");
    expect((await read(draft)).formula.process?.steps.at(-1)?.title).toBe("Show it to the dresser");
  });
});
