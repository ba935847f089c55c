import { beforeAll, describe, expect, it } from "vitest";
import { onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import { openMaterial } from "../openMaterial.server";
import { receive, standing } from "../stock.server";
import { openLabel } from "./label.server";
import { madeCode } from "./preparationCode";
import { makeSolution, openSolution } from "./solution.server";
import type { TypedSolution } from "./solutionForm.server";
import { makeWater, openWater } from "./water.server";
import type { TypedWater } from "./waterForm.server";

onFreshDatabase({ demo: "never" });

const ids = () => ({ id: crypto.randomUUID(), movementId: crypto.randomUUID() });

describe("the code of something made here", () => {
  it("is the day, and the first number that is free", () => {
    expect(madeCode("S", "2026-11-26", new Set(["S-261126-1", "W-261126-2"]))).toBe("S-261126-2");
  });
});

describe("a stock solution", () => {
  const wish = (changes: Partial<TypedSolution> = {}): TypedSolution => ({
    of: "citric-acid-anhydrous",
    strength: "25",
    grams: "100",
    months: "3",
    lot: "",
    ...changes,
  });
  const lot = ids();

  beforeAll(async () => {
    const words = { material: "citric-acid-anhydrous", code: "CA-1", grams: "30", assay: "", price: "", supplier: "", note: "" };
    await receive({ ...lot, ...words, openedOn: "", endsOn: "", afterOpening: "" });
  });

  it("is planned by strength and amount: of a 99.5 % powder 25.13 g in 74.87 g of water, and what the fine scale can do with it", async () => {
    const { plan, problems } = await openSolution(wish());
    expect(problems).toEqual([]);
    expect(plan?.soluteGrams).toBeCloseTo(25.126, 3);
    expect(plan?.waterGrams).toBeCloseTo(74.874, 3);
    expect(plan?.least).toMatchObject({ grams: 0.2 });
    expect(plan?.least?.soluteGrams).toBeCloseTo(0.05025, 5);
  });

  it.each([
    [wish({ of: "moondust" }), "of"],
    [wish({ of: "coco-glucoside" }), "of"],
    [wish({ strength: "0" }), "strength"],
    [wish({ strength: "99.9" }), "strength"],
    [wish({ grams: "some" }), "grams"],
    [wish({ months: "13" }), "months"],
  ])("says at which field it must be fixed", async (typed, field) => {
    expect((await openSolution(typed)).problems[0]?.field).toBe(field);
    expect(await makeSolution(typed, ids())).toMatchObject([{ field }]);
  });

  it("once made stands on the shelf, takes its solute off the lot, and the same form sent twice is one lot", async () => {
    const made = ids();
    expect(await makeSolution(wish({ lot: lot.id }), made)).toEqual({ lotId: made.id });
    expect(await makeSolution(wish({ lot: lot.id }), made)).toEqual({ lotId: made.id });
    const shelf = await standing();
    const solution = shelf.find(({ id }) => id === made.id);
    expect(solution).toMatchObject({ leftGrams: 100, packGrams: 100 });
    expect(solution?.solutionOf?.[0]?.material).toBe("citric-acid-anhydrous");
    expect(shelf.find(({ id }) => id === lot.id)?.leftGrams).toBeCloseTo(30 - 25.126, 3);
    expect(await openLabel(made.id)).toMatchObject({ name: "Citric acid anhydrous 25 % solution", isMadeHere: true });
  });

  it("more than the lot holds is refused, and nothing is stored", async () => {
    const before = await standing();
    expect(await makeSolution(wish({ lot: lot.id, grams: "500" }), ids())).toMatchObject([{ field: "lot" }]);
    expect(await makeSolution(wish({ lot: crypto.randomUUID() }), ids())).toMatchObject([{ field: "lot" }]);
    expect(await standing()).toEqual(before);
  });

  it("a second one of the same strength is another lot of the same material", async () => {
    await makeSolution(wish(), ids());
    const { standing: made } = await openSolution(wish());
    expect(made).toHaveLength(2);
    expect(new Set(made.map(({ slug }) => slug)).size).toBe(1);
    expect((await openMaterial(made[0]?.slug ?? "")).parts.map(({ name }) => name)).toEqual([
      "Citric acid anhydrous",
      "Distilled or deionised water",
    ]);
  });
});

describe("a plant water", () => {
  const wish = (changes: Partial<TypedWater> = {}): TypedWater => ({
    name: "Birch leaf water",
    inci: "Betula Alba Leaf Extract",
    plant: "40",
    water: "600",
    yield: "470",
    days: "7",
    tested: "",
    ...changes,
  });

  it("says what it gives: a fifth of 40 g in 470 g is 1.70 %, an estimate", async () => {
    const { plan } = await openWater(wish());
    expect(plan?.composition[1]).toMatchObject({ name: "Betula Alba Leaf Extract" });
    expect(plan?.composition[1]?.percent).toBeCloseTo(1.702, 3);
  });

  it.each([
    [wish({ name: "" }), "name"],
    [wish({ plant: "" }), "plant"],
    [wish({ days: "20" }), "days"],
    [wish({ yield: "much" }), "yield"],
  ])("says at which field it must be fixed", async (typed, field) => {
    expect((await openWater(typed)).problems[0]?.field).toBe(field);
  });

  it("an empty form has nothing wrong with it, and one that is not weighed yet cannot stand on the shelf", async () => {
    expect((await openWater({ name: "", inci: "", plant: "", water: "", yield: "", days: "7", tested: "" })).problems).toEqual([]);
    expect(await makeWater(wish({ yield: "" }), ids())).toMatchObject([{ field: "yield" }]);
  });

  it("stands with its days of life; challenge-tested it may have more", async () => {
    const made = ids();
    expect(await makeWater(wish(), made)).toEqual({ lotId: made.id });
    await makeWater(wish({ days: "30", tested: "on" }), ids());
    const { standing: waters } = await openWater(wish());
    expect(waters.map(({ daysLeft }) => daysLeft)).toEqual([7, 30]);
    expect(new Set(waters.map(({ slug }) => slug)).size).toBe(1);
    expect((await openMaterial("birch-leaf-water")).handling).toContain("Simmer");
  });
});
