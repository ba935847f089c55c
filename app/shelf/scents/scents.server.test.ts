import { describe, expect, it } from "vitest";
import { onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import { openMaterial } from "../openMaterial.server";
import { takeAway } from "../owning/own.server";
import type { TypedScent } from "./scentForms.server";
import { beginScent, keepScent, nextScentRound, openScent, openScents, removeScent } from "./scents.server";

onFreshDatabase({ demo: "never" });

const dose = { profile: "body-wash", percent: "0.5", with: "" } as const;
const round = (counts: Readonly<Record<string, string>>, changes: Partial<TypedScent> = {}): TypedScent => ({
  id: crypto.randomUUID(),
  intent: "round",
  countedIn: "drops",
  oils: Object.fromEntries(Object.entries(counts).map(([material, count]) => [material, { material, count }])),
  note: "",
  name: "",
  ...changes,
});
const begun = async (name: string) => {
  const id = crypto.randomUUID();
  expect(await beginScent({ id, name })).toEqual([]);
  return id;
};

describe("a scent", () => {
  it("has a name of its own", async () => {
    await begun("Boathouse");
    expect((await beginScent({ id: crypto.randomUUID(), name: "Boathouse" }))[0]?.message).toContain("already");
    expect((await beginScent({ id: crypto.randomUUID(), name: "" }))[0]?.field).toBe("name");
    expect((await openScents()).scents.map(({ name }) => name)).toEqual(["Boathouse"]);
  });

  it("is built in rounds: what changed is told, and each oil stands against its own limit", async () => {
    const id = await begun("Lakeside");
    expect((await openScent(id, dose)).inProduct).toBeNull();
    const first = round({ "juniper-berry-oil": "10", "lemon-oil": "10" });
    expect(await nextScentRound(id, first)).toEqual([]);
    expect(await nextScentRound(id, first)).toEqual([]);
    expect(await nextScentRound(id, round({ "juniper-berry-oil": "10", "lemon-oil": "0", "pine-needle-oil": "5" }))).toEqual([]);
    const scent = await openScent(id, dose);
    expect(scent.rounds.map(({ number }) => number)).toEqual([1, 2]);
    const [, second] = scent.rounds;
    expect(second?.shares.reduce((sum, { percent }) => sum + percent, 0)).toBeCloseTo(100, 9);
    expect(second?.changed.map(({ after }) => after === 0)).toContain(true);
    expect(scent.inProduct?.oils.map(({ isOver }) => isOver)).toEqual([false, false]);
    expect((await openScent(id, { ...dose, percent: "3" })).inProduct?.isOverCap).toBe(true);
    expect((await openScent(id, { ...dose, percent: "much" })).doseProblem).not.toBeNull();
  });

  it.each<[string, TypedScent, string]>([
    ["no number", round({ "lemon-oil": "some" }), "no count"],
    ["one oil twice", round({}, { oils: { a: { material: "lemon-oil", count: "1" }, b: { material: "lemon-oil", count: "2" } } }), "twice"],
  ])("a round of %s is answered at its field", async (name, typed, words) => {
    const id = await begun(`With ${name}`);
    const [problem] = await nextScentRound(id, typed);
    expect(problem?.message).toContain(words);
    expect(problem?.field).toMatch(/^oils\..*\.count$/);
    expect((await openScent(id, dose)).rounds).toEqual([]);
  });

  it.each<[string, TypedScent, string]>([
    ["nothing", round({}), "no oil"],
    ["an unknown oil", round({ moondust: "3" }), "not in the library"],
  ])("a round of %s is refused", async (name, typed, words) => {
    const id = await begun(`Of ${name}`);
    await expect(nextScentRound(id, typed)).rejects.toThrow(words);
    expect((await openScent(id, dose)).rounds).toEqual([]);
  });

  it("a round is kept as a material made of its oils, which stays when the scent goes", async () => {
    const id = await begun("Curtain");
    const typed = round({ "juniper-berry-oil": "2", "lemon-oil": "1" }, { countedIn: "parts" });
    await nextScentRound(id, typed);
    expect(await keepScent(id, { id: typed.id, name: "" })).toMatchObject([{ field: "name" }]);
    expect(await keepScent(id, { id: typed.id, name: "Curtain scent" })).toEqual({ slug: "curtain-scent" });
    expect(await keepScent(id, { id: typed.id, name: "Again" })).toEqual({ slug: "curtain-scent" });
    const { parts, madeAs } = await openMaterial("curtain-scent");
    expect(madeAs).toBe("scent");
    expect(parts.map(({ percent }) => Math.round(percent * 100) / 100)).toEqual([66.67, 33.33]);
    await removeScent(id);
    await expect(openScent(id, dose)).rejects.toThrow("not here");
    expect((await openMaterial("curtain-scent")).name).toBe("Curtain scent");
    expect(await takeAway("curtain-scent")).toEqual([]);
  });

  it("an oil that is counted in a scent stays in the library", async () => {
    expect(await takeAway("lemon-oil")).toEqual([]);
    expect((await openMaterial("lemon-oil")).name).toBe("Lemon essential oil");
  });
});
