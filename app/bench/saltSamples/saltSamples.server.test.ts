import { materialsOf, simulatedBatch, planBatch } from "@tensidrum/core/process";
import { sql } from "drizzle-orm";
import { describe, expect, it } from "vitest";
import { database } from "../../../db/workplace.server";
import { demoFormulas } from "../../../db/demo/formulas";
import { onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import { openPractice } from "../practice/practice.server";
import { readForm } from "../../frame/readForm.server";
import { sampleForm, type TypedSample } from "./sampleForm.server";
import { changeSaltSamples, openSaltSamples } from "./saltSamples.server";

onFreshDatabase({ demo: "once" });

const idOf = (formula: string) => demoFormulas.find(({ name }) => name === formula)?.id ?? "";
const greenRoom = { formulaId: idOf("Green Room body wash"), number: 1 };
const curtainCall = { formulaId: idOf("Curtain Call shampoo"), number: 1 };
const form = (fields: Readonly<Record<string, string>>): TypedSample => {
  const typed = new FormData();
  for (const [name, value] of Object.entries({ id: crypto.randomUUID(), intent: "add", ...fields })) typed.set(name, value);
  return readForm(sampleForm, typed).typed;
};

describe("jars of a base", () => {
  it("those of the demo lie on its base, and another base has none of them", async () => {
    expect((await openSaltSamples(greenRoom)).saltSamples.map(({ saltPercent }) => saltPercent)).toEqual([
      0.67, 0.97, 1.37, 1.77, 2.17, 2.57, 2.97,
    ]);
    expect((await openSaltSamples(curtainCall)).saltSamples).toEqual([]);
  });

  it("a jar is added with the salt that is truly in it, poured away, and put back", async () => {
    const { hiddenSaltPercent } = await openSaltSamples(curtainCall);
    const added = form({ baseGrams: "50 g", saltGrams: "0,5", by: "word", word: "syrup" });
    expect(await changeSaltSamples(curtainCall, added)).toEqual({ problems: [], gone: null });
    const [saltSample] = (await openSaltSamples(curtainCall)).saltSamples;
    expect(saltSample).toMatchObject({ id: added.id, viscosity: 0.4, unit: "Pa·s", said: "syrup" });
    expect(saltSample?.saltPercent).toBeCloseTo((hiddenSaltPercent * 50 + 50) / 50.5, 9);
    const { gone } = await changeSaltSamples(curtainCall, form({ intent: "remove", id: added.id }));
    expect((await openSaltSamples(curtainCall)).saltSamples).toEqual([]);
    const back = { id: gone?.id ?? "", salt: String(gone?.saltPercent), viscosity: String(gone?.viscosity), unit: "Pa·s", said: "syrup" };
    await changeSaltSamples(curtainCall, form({ intent: "put-back", ...back }));
    expect((await openSaltSamples(curtainCall)).saltSamples).toEqual([saltSample]);
    await changeSaltSamples(curtainCall, form({ intent: "remove", id: added.id }));
  });

  it.each([
    [{ baseGrams: "", viscosity: "1" }, "Of the base"],
    [{ baseGrams: "0", viscosity: "1" }, "more than 0 g"],
    [{ baseGrams: "50", saltGrams: "2 oz", viscosity: "1" }, "not oz"],
    [{ baseGrams: "50", saltGrams: "30", viscosity: "1" }, "Is the salt in grams?"],
    [{ baseGrams: "50", viscosity: "" }, "Type the thickness"],
    [{ baseGrams: "50", viscosity: "0" }, "more than 0"],
    [{ baseGrams: "50", by: "word", word: "porridge" }, "Choose a word"],
  ])("%j is answered in words and adds nothing", async (fields, words) => {
    expect((await changeSaltSamples(curtainCall, form(fields))).problems[0]?.message).toContain(words);
    expect((await openSaltSamples(curtainCall)).saltSamples).toEqual([]);
  });

  it("seconds of a funnel nobody calibrated stand for themselves", async () => {
    const added = form({ baseGrams: "50", by: "funnel", viscosity: "41" });
    await changeSaltSamples(curtainCall, added);
    expect((await openSaltSamples(curtainCall)).saltSamples).toMatchObject([{ viscosity: 41, unit: "s" }]);
    await changeSaltSamples(curtainCall, form({ intent: "remove", id: added.id }));
  });
});

describe("a practice run", () => {
  const counts = async () => {
    const { rows } = await database().execute(
      sql`select (select count(*) from batches) as batches, (select count(*) from batch_entries) as entries,
        (select count(*) from movements) as movements, (select count(*) from batch_lots) as lots`,
    );
    return rows[0];
  };

  it("of a final version and of a draft can be opened, and stores nothing", async () => {
    const before = await counts();
    const { sent, runs } = await openPractice(greenRoom);
    expect(runs).toEqual([]);
    expect(sent).toMatchObject({ code: "practice run", lots: [], entries: [], earlier: null });
    expect(sent.steps.some(({ tunes }) => tunes === "ph")).toBe(true);
    expect(sent.saltSamples).toHaveLength(7);
    const { sent: draft } = await openPractice({ formulaId: idOf("Prop Room hand wash"), number: 1 });
    expect(draft.formula.lines.length).toBeGreaterThan(3);
    expect(await counts()).toEqual(before);
  });

  it("its hidden salt curve is that of the jars of its base", async () => {
    const { formula, steps, saltSamples } = (await openPractice(greenRoom)).sent;
    const plan = { ...planBatch(formula, formula.batchGrams, materialsOf(formula)), steps };
    expect(simulatedBatch(plan, 0.3, saltSamples).saltCurve.peakSaltPercent).toBeCloseTo(2.36, 1);
  });

  it("of a version that is not there is refused", async () => {
    await expect(openPractice({ ...greenRoom, number: 99 })).rejects.toThrow("No version lies at this address.");
  });
});
