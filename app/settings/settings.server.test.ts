import { describe, expect, it } from "vitest";
import { onFreshDatabase } from "../../db/testing/onFreshDatabase";
import { openUnits } from "../frame/units.server";
import { containerColumns, scaleColumns, type TypedRow } from "./rows";
import { readRows } from "./rowsForm.server";
import { openSettings, saveSettings } from "./settings.server";

onFreshDatabase({ demo: "never" });

const row = (cells: Readonly<Record<string, string>>): TypedRow => ({ id: crypto.randomUUID(), cells });
const fieldsOf = async (form: Parameters<typeof saveSettings>[0]) =>
  (await saveSettings(form))?.rows.map(({ row: at, field }) => [at, field]) ?? null;

describe("scales", () => {
  it("are kept in order; what is wrong is named by row and field", async () => {
    const fine = row({ name: "fine", readability: "0,01", capacity: "200 g" });
    expect(await fieldsOf({ intent: "scales", rows: [fine] })).toBeNull();
    expect((await openSettings()).scales.map(({ cells }) => cells)).toEqual([{ name: "fine", readability: "0.01", capacity: "200" }]);
    const bad = [row({ name: "", readability: "0.1", capacity: "100" }), row({ name: "odd", readability: "5", capacity: "1" }), fine, fine];
    expect(await fieldsOf({ intent: "scales", rows: bad })).toEqual([
      [0, "name"],
      [1, "capacity"],
      [3, "name"],
    ]);
    expect((await openSettings()).scales).toHaveLength(1);
  });
});

describe("containers", () => {
  const pump = { name: "Pump", nominal: "250", brimful: "276", headspace: "10", dipTube: "6", price: "0.92" };

  it("are kept; who has not measured the brim counts with what it is sold as", async () => {
    const saltSample = row({ name: "Jar", nominal: "100 mL", brimful: "", headspace: "", dipTube: "", price: "" });
    expect(await fieldsOf({ intent: "containers", rows: [row(pump), saltSample] })).toBeNull();
    expect((await openSettings()).containers.map(({ cells }) => cells)).toEqual([
      pump,
      { name: "Jar", nominal: "100", brimful: "100", headspace: "0", dipTube: "0", price: "" },
    ]);
  });

  it.each([
    [{ ...pump, nominal: "0" }, "nominal"],
    [{ ...pump, brimful: "240" }, "brimful"],
    [{ ...pump, headspace: "-1" }, "headspace"],
    [{ ...pump, headspace: "270", dipTube: "6" }, "headspace"],
    [{ ...pump, price: "free" }, "price"],
  ])("what cannot be is named", async (cells, field) => {
    expect(await fieldsOf({ intent: "containers", rows: [row(cells)] })).toEqual([[0, field]]);
  });
});

describe("money and mass", () => {
  it("are the maker's own from then on", async () => {
    expect(await openUnits()).toEqual({ currency: "", massUnit: "g" });
    await saveSettings({ intent: "units", currency: "kr", massUnit: "oz" });
    expect(await openUnits()).toEqual({ currency: "kr", massUnit: "oz" });
  });
});

describe("drops", () => {
  const drops = (changes: object = {}) =>
    ({ intent: "drops", drops: { material: "lemon-oil", drops: "20", grams: "0.52", ...changes } }) as const;

  it("20 that weigh 0.52 g are 26 mg each, and what else is one's own stays", async () => {
    expect(await saveSettings(drops({ material: "juniper-berry-oil", grams: "0.48" }))).toBeNull();
    expect(await saveSettings(drops())).toBeNull();
    const { weighed } = (await openSettings()).drops;
    expect(weighed.map(({ slug, milligrams }) => [slug, Math.round(milligrams * 1000) / 1000])).toEqual([
      ["juniper-berry-oil", 24],
      ["lemon-oil", 26],
    ]);
  });

  it.each([
    [{ drops: "5" }, "Weigh 20 drops"],
    [{ grams: "" }, "what they weigh"],
    [{ material: "moondust" }, "Choose"],
  ])("too few, or nothing weighed, is answered in words", async (changes, words) => {
    expect((await saveSettings(drops(changes)))?.message).toContain(words);
  });
});

describe("a form of rows", () => {
  const form = (entries: readonly (readonly [string, string])[]) => {
    const data = new FormData();
    for (const [key, value] of entries) data.append(key, value);
    return data;
  };
  const id = crypto.randomUUID();

  it("leaves out a row that is wholly empty", () => {
    const blank = crypto.randomUUID();
    const data = form([
      ["id", id],
      ["name", "fine"],
      ["readability", "0.01"],
      ["capacity", "200"],
      ["id", blank],
      ["name", " "],
      ["readability", ""],
      ["capacity", ""],
    ]);
    expect(readRows(data, scaleColumns)).toEqual([{ id, cells: { name: "fine", readability: "0.01", capacity: "200" } }]);
  });

  it("refuses what the page could not have sent", () => {
    expect(() => readRows(form([["id", id]]), scaleColumns)).toThrow("not as this page sends it");
    expect(() => readRows(form([["id", "one"]]), containerColumns)).toThrow("not as this page sends it");
  });
});

describe("codes of batches", () => {
  it("follow a pattern with a number in it; what means nothing is named", async () => {
    const saved = (batchCode: string) => saveSettings({ intent: "codes", batchCode });
    expect(await saved("{yyyy}/{letters}{n}")).toBeNull();
    expect((await openSettings()).batchCode).toBe("{yyyy}/{letters}{n}");
    expect((await saved("{letters}-{yymmdd}"))?.message).toContain("needs {n}");
    expect((await saved("{moon}-{n}"))?.message).toContain("{moon} means nothing here");
    expect((await saved("{letters-{n}"))?.message).toContain("means nothing here");
    expect((await openSettings()).batchCode).toBe("{yyyy}/{letters}{n}");
  });
});

describe("the funnel", () => {
  const typed = (thickness: readonly string[], density: readonly string[], seconds: readonly string[]) =>
    saveSettings({ intent: "funnel", funnel: { thickness, density, seconds } });

  it("glycerin in 60 s and an oil in 5 s give its constants, k 0.01682 and c 0.0727", async () => {
    expect((await openSettings()).funnel).toBeNull();
    expect(await typed(["1.27", "0,064"], ["1.26", "0.92"], ["60", "5"])).toBeNull();
    const { funnel } = await openSettings();
    expect(funnel?.k).toBeCloseTo(0.01682, 4);
    expect(funnel?.c).toBeCloseTo(0.0727, 3);
  });

  it.each([
    [["1.27", ""], ["1.26", "0.92"], ["60", "5"], "of both liquids"],
    [["1.27", "0"], ["1.26", "0.92"], ["60", "5"], "more than 0"],
    [["1.27", "1.27"], ["1.26", "1.26"], ["60", "60"], "do not calibrate"],
  ])("%j, %j in %j is answered in words", async (thickness, density, seconds, words) => {
    const problem = await typed(thickness, density, seconds);
    expect(problem?.message).toContain(words);
    expect(problem?.form).toMatchObject({ intent: "funnel", funnel: { thickness } });
  });
});
