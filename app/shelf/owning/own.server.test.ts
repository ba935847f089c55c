import { referenceLibrary } from "@tensidrum/core/reference";
import { describe, expect, it } from "vitest";
import { sentenceOf } from "../../frame/formAnswer";
import { listMaterials } from "../../../db/materials/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { loadReferenceLibrary } from "../../../db/materials/loadReference.server";
import { onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import { openCompare } from "../comparing/compare.server";
import { openMaterial } from "../openMaterial.server";
import { receive } from "../stock.server";
import { openLibraryChanges } from "./libraryChanges.server";
import { typedMaterial, type TypedMaterial } from "./materialFields";
import { openNewMaterial, openOwn, saveNewMaterial, saveOwn, takeAway } from "./own.server";

onFreshDatabase({ demo: "never" });

const nothing = typedMaterial(null);
const facts = (numbers: Partial<TypedMaterial["numbers"]>, spans: Partial<TypedMaterial["spans"]> = {}): TypedMaterial => ({
  ...nothing,
  numbers: { ...nothing.numbers, ...numbers },
  spans: { ...nothing.spans, ...spans },
});
const fieldsOf = async (work: Promise<Awaited<ReturnType<typeof saveOwn>>>) => {
  const saved = await work;
  return "slug" in saved ? saved.slug : saved.map(({ field }) => field);
};

describe("a bought base with nothing but its printed list", () => {
  const base = (inci: string): TypedMaterial => ({ ...nothing, name: "Lake House base", role: "base", form: "liquid", inci });
  const list = "Aqua\nDecyl Glucoside\nCocamidopropyl Betaine\nGlycerin\nPhenoxyethanol";

  it("says what is in it, in the order of the label, to 100 %, marked as an estimate; its strength stays unknown", async () => {
    expect(await fieldsOf(saveNewMaterial(base(list), ""))).toBe("lake-house-base");
    const stored = (await listMaterials(database(), currentMakerId())).find(({ facts: { slug } }) => slug === "lake-house-base")?.facts;
    const shares = (stored?.inci ?? []).map(({ percent }) => percent);
    expect(stored?.inci?.map(({ name }) => name)).toEqual(list.split("\n"));
    expect(shares.reduce((sum, percent) => sum + percent, 0)).toBeCloseTo(100, 6);
    expect(shares).toEqual(shares.toSorted((a, b) => b - a));
    expect(stored).toMatchObject({ uncertain: ["inci"], active: null });
  });

  it("one percent among the names asks for the others", async () => {
    expect(await fieldsOf(saveNewMaterial(base("Aqua 70\nDecyl Glucoside"), ""))).toEqual(["inci"]);
  });
});

describe("facts held against the library", () => {
  it("stand above it, say what differs, and go again", async () => {
    const library = (await openMaterial("cocamidopropyl-betaine")).facts;
    expect(
      await fieldsOf(saveOwn("cocamidopropyl-betaine", facts({ saltPercent: "6,1" }, { phSupplied: { low: "5.2", high: "5.4" } }))),
    ).toBe("cocamidopropyl-betaine");
    const mine = await openMaterial("cocamidopropyl-betaine");
    expect(mine.facts.find(({ name }) => name === "salt brought in")).toMatchObject({ value: "6.1 %", source: "mine" });
    expect(mine.yours).toContainEqual({ name: "salt brought in", library: "5.2 % NaCl", mine: "6.1 % NaCl" });
    expect((await openOwn("cocamidopropyl-betaine")).typed.numbers.saltPercent).toBe("6.1");
    expect(await takeAway("cocamidopropyl-betaine")).toEqual([]);
    expect((await openMaterial("cocamidopropyl-betaine")).facts).toEqual(library);
  });

  it("what the library says too is not one's own", async () => {
    await saveOwn("cocamidopropyl-betaine", facts({ saltPercent: "5.2" }));
    expect((await openMaterial("cocamidopropyl-betaine")).yours).toEqual([]);
  });

  it.each([
    ["percent over 100", facts({ saltPercent: "101" }), "numbers.saltPercent"],
    ["text", facts({ densityGramsPerMl: "thick" }), "numbers.densityGramsPerMl"],
    ["one end", facts({}, { use: { low: "1", high: "" } }), "spans.use"],
    ["the low end above the high", facts({}, { phStable: { low: "9", high: "3" } }), "spans.phStable"],
    ["a range without its typical strength", { ...nothing, active: { typical: "", low: "20", high: "30" } }, "active"],
  ])("%s is named at its field, and nothing is stored", async (_, typed, field) => {
    expect(await fieldsOf(saveOwn("decyl-glucoside", typed))).toEqual([field]);
    expect((await openMaterial("decyl-glucoside")).yours).toEqual([]);
  });
});

describe("a material of one's own", () => {
  const typed: TypedMaterial = {
    ...nothing,
    name: "Lakeside wash base",
    role: "base",
    parts: "water-distilled 60\nCocamidopropyl betaine 40",
  };

  it("made of others computes from them; it can be changed, and taken out", async () => {
    expect(await saveNewMaterial(typed, "")).toEqual({ slug: "lakeside-wash-base" });
    expect(await saveNewMaterial(typed, "")).toEqual({ slug: "lakeside-wash-base-2" });
    const { parts, isOwn, madeAs } = await openMaterial("lakeside-wash-base");
    expect({ isOwn, madeAs, parts: parts.map(({ percent }) => percent) }).toEqual({ isOwn: true, madeAs: "blend", parts: [60, 40] });
    const { typed: stored } = await openOwn("lakeside-wash-base");
    await saveOwn("lakeside-wash-base", { ...stored, name: "Lakeside base, thin" });
    expect((await openMaterial("lakeside-wash-base")).name).toBe("Lakeside base");
    expect(await takeAway("lakeside-wash-base-2")).toEqual([]);
    await expect(openMaterial("lakeside-wash-base-2")).rejects.toThrow("No material");
  });

  it("that stands on the shelf stays", async () => {
    const lot = { id: crypto.randomUUID(), movementId: crypto.randomUUID(), material: "lakeside-wash-base", code: "B-1", grams: "100" };
    await receive({ ...lot, assay: "", price: "", supplier: "", openedOn: "", endsOn: "", afterOpening: "", note: "" });
    expect(sentenceOf(await takeAway("lakeside-wash-base"))).toContain("Delete it there first");
  });

  it("cannot be made of itself", async () => {
    expect(await fieldsOf(saveOwn("lakeside-wash-base", { ...typed, parts: "lakeside-wash-base 100" }))).toEqual(["parts"]);
  });

  it("begun from one of the library carries its other facts, and the two can be laid side by side", async () => {
    const { typed: begun } = await openNewMaterial({ from: "coco-glucoside" });
    expect(begun.name).toBe("My Coco-glucoside");
    expect(await saveNewMaterial({ ...begun, active: { typical: "47", low: "46", high: "48" } }, "coco-glucoside")).toEqual({
      slug: "my-coco-glucoside",
    });
    const { basedOn } = await openMaterial("my-coco-glucoside");
    expect(basedOn).toBe("coco-glucoside");
    const { differences, sides } = await openCompare("coco-glucoside", "My Coco-glucoside");
    expect(sides.map(({ slug }) => slug)).toEqual(["coco-glucoside", "my-coco-glucoside"]);
    expect(differences.find(({ fact }) => fact === "active")).toMatchObject({ other: "47, 46 to 48 %" });
    expect(differences.map(({ fact }) => fact)).not.toContain("foam");
  });

  it("an oil too small to weigh is begun as a tenth of itself in a light oil, and is what the form says", async () => {
    const { typed: begun } = await openNewMaterial({ thinned: "tocopherol", strength: "10" });
    expect(begun.parts).toBe("tocopherol 10\ncaprylic-capric-triglyceride 90");
    const saved = await saveNewMaterial(begun, "");
    expect(saved).toHaveProperty("slug");
    const { typed: odd } = await openNewMaterial({ thinned: "tocopherol", strength: "none" });
    expect(odd.parts).toBe(begun.parts);
  });

  it.each<[string, Partial<TypedMaterial>, string]>([
    ["no name", { name: " " }, "name"],
    ["no role", { role: "" }, "role"],
    ["no composition", { parts: "" }, "inci"],
    ["parts that miss 100", { parts: "glycerin 50" }, "parts"],
    ["a part nobody knows", { parts: "moondust 100" }, "parts"],
    ["a part that is only nearly known", { parts: "glycerine 100" }, "parts"],
  ])("with %s is named at its field", async (_, changes, field) => {
    expect(await fieldsOf(saveNewMaterial({ ...typed, ...changes }, ""))).toEqual([field]);
  });
});

describe("an update of the library", () => {
  it("says what changed fact by fact, keeps own facts, and is noted once", async () => {
    expect((await openLibraryChanges()).updates).toEqual([]);
    await saveOwn("glycerin", facts({ densityGramsPerMl: "1.25" }));
    const updated = referenceLibrary.map((material) =>
      material.slug === "glycerin" ? { ...material, maxTemperatureC: 140, densityGramsPerMl: 1.261 } : material,
    );
    expect(await loadReferenceLibrary(database(), updated)).toBe(referenceLibrary.length);
    expect(await loadReferenceLibrary(database(), updated)).toBe(0);
    const [update] = (await openLibraryChanges()).updates;
    expect(update?.materials).toMatchObject([{ slug: "glycerin", isNew: false }]);
    expect(update?.materials[0]?.differences.map(({ name, after }) => [name, after])).toContainEqual(["heat stability", "140 °C"]);
    expect((await openMaterial("glycerin")).yours[0]).toMatchObject({ library: "1.261 g/mL", mine: "1.25 g/mL" });
  });
});
