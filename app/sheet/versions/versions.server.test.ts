import { sql } from "drizzle-orm";
import { assess } from "@tensidrum/core/assessment";
import { type Formula } from "@tensidrum/core/formula";
import { Refusal } from "@tensidrum/core/quantities";
import { describe, expect, it } from "vitest";
import { currentMakerId, database } from "../../../db/workplace.server";
import { saveProduct } from "../../../db/comparison/queries.server";
import { demoFormulas } from "../../../db/demo/formulas";
import { countFormulas, listVersions } from "../../../db/formulas/queries.server";
import { listMaterials } from "../../../db/materials/queries.server";
import { onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import { acknowledgeFinding, acknowledgementForm } from "../acknowledgements.server";
import { readForm } from "../../frame/readForm.server";
import { openSheet } from "../openSheet.server";
import { newDraftOf, restoreVersion } from "./newDraft.server";
import { exportFile } from "./exportFiles.server";
import { importFormula } from "./importFormula.server";
import { openVersionCosts } from "./costs.server";
import { openDifference } from "./openDifference.server";
import { versionFormula } from "./versionFormula.server";

onFreshDatabase({ demo: "once" });

const curtainCall = demoFormulas.find(({ name }) => name.startsWith("Curtain Call"));
const formulaId = curtainCall?.id ?? "";
const firstId = curtainCall?.versions[0]?.id ?? "";
const read = (address: { formulaId: string; number?: number }) => versionFormula(database(), currentMakerId(), address);

describe("the difference of two versions", () => {
  it("of the demo shampoo: 18 to 15 % sulfonate, a colour that came, and what it did", async () => {
    const { lines, readings, from, to } = await openDifference(formulaId, {});
    expect([from, to]).toEqual([1, 2]);
    const sulfonate = lines.find(({ name }) => name.includes("olefin sulfonate"));
    expect([sulfonate?.before?.percent, sulfonate?.after?.percent]).toEqual([18, 15]);
    expect(lines.find(({ name }) => name.includes("dye"))?.before).toBeNull();
    expect(lines.some(({ name }) => name === "Glycerin")).toBe(false);
    expect(readings.map(({ reading }) => reading)).toContain("activeMatterPercent");
  });

  it("of a version that is not there is refused", async () => {
    await expect(openDifference(formulaId, { from: 1, to: 77 })).rejects.toThrow(Refusal);
  });
});

const parted = {
  ...{ format: "tensidrum-formula/1", name: "Hand gel", profile: "hand-wash", batchGrams: 900 },
  phases: [{ id: "A" }, { id: "colours" }],
  lines: [{ id: "w", phase: "A", material: "water-distilled", qs: true }],
  splits: [
    { name: "gold", sharePercent: 30, lines: [{ id: "m", phase: "colours", material: "mica", percent: 0.05 }] },
    { name: "to finish", sharePercent: 40, lines: [], open: { addUpToPercent: 9, what: "scent" } },
  ],
};

describe("what versions cost beside each other", () => {
  it("is by the lots of today, whether they were made or not; what has no price is named", async () => {
    const { id = "" } = demoFormulas.find(({ name }) => name.startsWith("Curtain")) ?? {};
    const { name, rows } = await openVersionCosts(id);
    expect(name).toBe("Curtain Call shampoo");
    expect(rows.map(({ number, isDraft }) => [number, isDraft])).toEqual([
      [2, true],
      [1, false],
    ]);
    for (const { per100Grams, batch, batchGrams, dearest, unpriced } of rows) {
      expect(per100Grams).toBeGreaterThan(0);
      expect(batch).toBeCloseTo(((per100Grams ?? 0) * batchGrams) / 100, 9);
      expect(dearest?.cost).toBeLessThanOrEqual(per100Grams ?? 0);
      expect(unpriced).toContain("Citric acid 50 % w/w solution");
    }
    await expect(openVersionCosts(crypto.randomUUID())).rejects.toThrow("not here");
  });

  it("stands beside the product it is to come close to, at the price of 100 g of that", async () => {
    const { id = "" } = demoFormulas.find(({ name }) => name.startsWith("Curtain")) ?? {};
    expect((await openVersionCosts(id)).product).toBeNull();
    await database().execute(sql`update versions set close_to = 'the one of the Guests' where formula_id = ${id} and state = 'draft'`);
    const product = { id: crypto.randomUUID(), name: "The one of the guests", known: { pins: {}, onePercentAfter: null } };
    await saveProduct(database(), currentMakerId(), product);
    expect((await openVersionCosts(id)).product).toBeNull();
    await saveProduct(database(), currentMakerId(), { ...product, price: 3.9, contentGrams: 250 });
    const told = (await openVersionCosts(id)).product;
    expect(told).toMatchObject({ name: "The one of the guests", price: 3.9, contentGrams: 250 });
    expect(told?.per100Grams).toBeCloseTo(1.56, 9);
  });
});

describe("files", () => {
  it("a formula in parts comes in as parts, and goes out with the same shares, lines and what others may add", async () => {
    const { formulaId: own } = await importFormula(JSON.stringify(parted));
    const { typed } = await openSheet({ formulaId: own }, "");
    expect(typed.phases.map(({ letter, title, part }) => [letter, title, part?.share])).toEqual([
      ["A", "", undefined],
      ["B", "gold", "30.00"],
      ["C", "to finish", "40.00"],
    ]);
    const out = JSON.parse(await (await exportFile({ formulaId: own, number: 1 }, "formula.json")).text()) as Formula;
    expect(out.splits).toMatchObject([{ name: "gold", sharePercent: 30, lines: [{ material: "mica", percent: 0.05 }] }, parted.splits[1]]);
    const again = await importFormula(JSON.stringify(out));
    expect((await openSheet({ formulaId: again.formulaId }, "")).typed.phases).toEqual(typed.phases);
  });

  it("a formula goes out and comes in again with the same readings", async () => {
    const before = await read({ formulaId, number: 2 });
    const file = await (await exportFile({ formulaId, number: 2 }, "formula.json")).text();
    const { materials } = JSON.parse(file) as Formula;
    // Only what the workshop knows better than the library goes along.
    expect(materials?.map(({ slug }) => slug)).toEqual(["cocamidopropyl-betaine"]);
    const { formulaId: broughtIn } = await importFormula(file);
    const after = await read({ formulaId: broughtIn });
    const [left, right] = [assess(before.formula, before.materials), assess(after.formula, after.materials)];
    expect(right.activeMatter).toEqual(left.activeMatter);
    expect(right.findings.map(({ what }) => what)).toEqual(left.findings.map(({ what }) => what));
    expect(after.formula.aim).toEqual(before.formula.aim);
  });

  it("a material the file brings along becomes one's own, under a slug that is free", async () => {
    const glycerin = (await listMaterials(database(), currentMakerId())).find(({ facts }) => facts.slug === "glycerin")?.facts;
    const file: Formula = {
      format: "tensidrum-formula/1",
      name: "With <b>its own</b> glycerin",
      profile: "body-wash",
      batchGrams: 500,
      scales: [],
      measured: { ph: 5.4, densityGramsPerMl: 1.021 },
      phases: [{ id: "water" }, { id: "B", temperatureC: 40 }],
      lines: [
        { id: "w", phase: "water", material: "water-distilled", qs: true },
        { id: "g", phase: "B", material: "glycerin", percent: 5 },
      ],
      materials: [{ ...glycerin!, name: "Lake glycerin" }],
    };
    const { formulaId: own } = await importFormula(JSON.stringify(file));
    const { formula, materials } = await read({ formulaId: own });
    expect(formula.lines[1]?.material).toBe("glycerin-2");
    expect(formula.measured).toEqual({ ph: 5.4, densityGramsPerMl: 1.021 });
    expect(materials.get("glycerin-2")?.name).toBe("Lake glycerin");
    expect(formula.phases).toEqual([
      { id: "A", title: "water" },
      { id: "B", title: "", temperatureC: 40 },
    ]);
  });

  it.each([
    ["a newer version", '{"format":"tensidrum-formula/9"}', /tensidrum-formula\/9|format/],
    ["no JSON", "once upon a time", /./],
    ["nothing", "  ", /nothing to read/],
    ["two parts of one name", "parts", /Two parts have the name "half"/],
  ])("%s is refused in words, and nothing is stored", async (_, text, words) => {
    const half = { name: "half", sharePercent: 50, lines: [] };
    const parts = JSON.stringify({ ...parted, splits: [half, half] });
    const many = await countFormulas(database(), currentMakerId());
    await expect(importFormula(text === "parts" ? parts : text)).rejects.toThrow(words);
    expect(await countFormulas(database(), currentMakerId())).toBe(many);
  });

  it("lines as CSV, with cells that cannot act as formulas, and a card in Markdown", async () => {
    const csv = await (await exportFile({ formulaId, number: 2 }, "lines.csv")).text();
    expect(csv.split("\r\n")[0]).toBe("phase,material,inci,role,percent,rest,grams,activePercent,slug");
    expect(csv.split("\r\n")).toHaveLength(17);
    expect(csv).not.toMatch(/(^|,|")[=+@]/m);
    const card = await exportFile({ formulaId, number: 2 }, "card.md");
    expect(card.headers.get("content-disposition")).toContain("curtain-call-shampoo-v2.md");
    expect(await card.text()).toContain("| phase | material |");
    await expect(exportFile({ formulaId, number: 2 }, "../../etc/passwd")).rejects.toThrow("no such file");
  });
});

describe("trials and what comes back", () => {
  it("a trial is a formula of its own; the old one stays", async () => {
    const { formulaId: trial } = await newDraftOf(formulaId, firstId);
    const [old, drafted] = [await read({ formulaId, number: 1 }), await read({ formulaId: trial })];
    expect(drafted.formula.name).toBe("Curtain Call shampoo, trial from v1");
    expect(drafted.formula.lines.map(({ percent }) => percent)).toEqual(old.formula.lines.map(({ percent }) => percent));
    expect(new Set([...old.formula.lines, ...drafted.formula.lines].map(({ id }) => id)).size).toBe(old.formula.lines.length * 2);
  });

  it("an earlier version comes back into the draft", async () => {
    await restoreVersion(formulaId, firstId);
    const [first, draft] = [await read({ formulaId, number: 1 }), await read({ formulaId })];
    expect(draft.isDraft).toBe(true);
    expect(draft.formula.lines).toEqual(first.formula.lines);
    expect(await listVersions(database(), currentMakerId(), formulaId)).toHaveLength(2);
  });
});

describe("acknowledgements of findings", () => {
  const form = (fields: Record<string, string>) => {
    const data = new FormData();
    for (const [name, value] of Object.entries(fields)) data.set(name, value);
    return data;
  };
  const says = { code: "DUST" as const, fingerprint: "5a".repeat(32) };

  const read = (fields: Record<string, string>) => readForm(acknowledgementForm, form(fields)).typed;

  it("are kept with the formula, replaced, and deleted", async () => {
    const kept = async () => (await openSheet({ formulaId }, "")).acknowledgements;
    await acknowledgeFinding(formulaId, read({ intent: "keep", ...says, reason: "I wear a mask." }));
    await acknowledgeFinding(formulaId, read({ intent: "keep", ...says, reason: "Always." }));
    expect(await kept()).toEqual([{ ...says, reason: "Always." }]);
    await acknowledgeFinding(formulaId, read({ intent: "take-back", ...says }));
    expect(await kept()).toEqual([]);
  });

  it("need a reason, a known code and a formula of one's own", async () => {
    expect(await acknowledgeFinding(formulaId, read({ intent: "keep", ...says, reason: " " }))).toMatchObject([{ field: "reason" }]);
    expect(() => read({ intent: "keep", ...says, code: "NO_SUCH", reason: "y" })).toThrow(Refusal);
    await expect(acknowledgeFinding(crypto.randomUUID(), { intent: "keep", ...says, reason: "y" })).rejects.toThrow("not here");
  });
});
