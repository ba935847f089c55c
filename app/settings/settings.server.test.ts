import { describe, expect, it } from "vitest";
import { onFreshDatabase } from "../../db/testing/onFreshDatabase";
import { openUnits } from "../frame/units.server";
import { readForm } from "../frame/readForm.server";
import { cellPath, filledRows } from "./rows";
import { openSettings, saveSettings } from "./settings.server";
import { settingsFormOf } from "./settingsForm.server";

onFreshDatabase({ demo: "never" });

type Cells = Readonly<Record<string, string>>;
const rowsOf = (...rows: readonly Cells[]) => Object.fromEntries(rows.map((cells) => [crypto.randomUUID(), cells]));
/** Row and field of each problem. */
const fieldsOf = async (typed: Extract<Parameters<typeof saveSettings>[0], { rows: unknown }>) => {
  const ids = Object.keys(typed.rows);
  return (await saveSettings(typed)).map(({ field }) => {
    const [, id = "", cell] = field.split(".");
    return [ids.indexOf(id), cell];
  });
};

describe("scales", () => {
  it("are kept in order; what is wrong is named by row and field", async () => {
    const fine = { name: "fine", readability: "0,01", capacity: "200 g" };
    expect(await fieldsOf({ intent: "scales", rows: rowsOf(fine) })).toEqual([]);
    expect((await openSettings()).scales.map(({ cells }) => cells)).toEqual([{ name: "fine", readability: "0.01", capacity: "200" }]);
    const bad = rowsOf({ name: "", readability: "0.1", capacity: "100" }, { name: "odd", readability: "5", capacity: "1" }, fine, fine);
    expect(await fieldsOf({ intent: "scales", rows: bad })).toEqual([
      [0, "name"],
      [1, "capacity"],
      [3, "name"],
    ]);
    expect((await openSettings()).scales).toHaveLength(1);
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
  const drops = (changes: object = {}) => ({ intent: "drops", material: "lemon-oil", drops: "20", grams: "0.52", ...changes }) as const;

  it("20 that weigh 0.52 g are 26 mg each, and what else is one's own stays", async () => {
    expect(await saveSettings(drops({ material: "juniper-berry-oil", grams: "0.48" }))).toEqual([]);
    expect(await saveSettings(drops())).toEqual([]);
    const { weighed } = (await openSettings()).drops;
    expect(weighed.map(({ slug, milligrams }) => [slug, Math.round(milligrams * 1000) / 1000])).toEqual([
      ["juniper-berry-oil", 24],
      ["lemon-oil", 26],
    ]);
  });

  it.each([
    [{ grams: "" }, "what they weigh"],
    [{ material: "moondust" }, "Choose"],
  ])("nothing weighed, or of nothing, is answered in words", async (changes, words) => {
    expect((await saveSettings(drops(changes)))[0]?.message).toContain(words);
  });

  it("too few are refused", async () => {
    await expect(saveSettings(drops({ drops: "5" }))).rejects.toThrow("5 drops of 0.52 g do not tell");
  });
});

describe("the form of the scales", () => {
  const form = (entries: Cells) => {
    const data = new FormData();
    for (const [key, value] of Object.entries(entries)) data.append(key, value);
    return data;
  };
  const read = (entries: Cells) => {
    const data = form({ intent: "scales", ...entries });
    return readForm(settingsFormOf(data), data);
  };

  it("is rows by their identifier, in order; one that is wholly empty is none", () => {
    const [one, blank] = [crypto.randomUUID(), crypto.randomUUID()];
    const { typed, problems } = read({
      [cellPath(one, "name")]: "fine",
      [cellPath(one, "readability")]: "0.01",
      [cellPath(blank, "name")]: " ",
      [cellPath(blank, "readability")]: "",
    });
    expect(problems).toEqual([]);
    expect(typed.intent === "scales" && filledRows(typed.rows)).toEqual([{ id: one, cells: { name: "fine", readability: "0.01" } }]);
  });

  it("names what does not show at its cell", () => {
    const name = cellPath(crypto.randomUUID(), "name");
    expect(read({ [name]: "fi\u202ene" }).problems.map(({ field }) => field)).toEqual([name]);
  });

  it("refuses what the page could not have sent", () => {
    expect(() => read({ "rows.one.name": "fine" })).toThrow("a field this page does not know");
    expect(() => read({ intent: "everything" })).toThrow("not as this page sends it (intent");
  });
});

describe("codes of batches", () => {
  it("follow a pattern with a number in it; what means nothing is named", async () => {
    const saved = (batchCode: string) => saveSettings({ intent: "codes", batchCode });
    expect(await saved("{yyyy}/{letters}{n}")).toEqual([]);
    expect((await openSettings()).batchCode).toBe("{yyyy}/{letters}{n}");
    expect((await saved("{letters}-{yymmdd}"))[0]?.message).toContain("needs {n}");
    expect((await saved("{moon}-{n}"))[0]?.message).toContain("{moon} means nothing here");
    expect((await saved("{letters-{n}"))[0]?.message).toContain("means nothing here");
    expect((await openSettings()).batchCode).toBe("{yyyy}/{letters}{n}");
  });
});

describe("the funnel", () => {
  const typed = (thickness: string[], density: string[], seconds: string[]) =>
    saveSettings({ intent: "funnel", thickness, density, seconds });

  it("glycerin in 60 s and an oil in 5 s give its constants, k 0.01682 and c 0.0727", async () => {
    expect((await openSettings()).funnel).toBeNull();
    expect(await typed(["1.27", "0,064"], ["1.26", "0.92"], ["60", "5"])).toEqual([]);
    const { funnel } = await openSettings();
    expect(funnel?.k).toBeCloseTo(0.01682, 4);
    expect(funnel?.c).toBeCloseTo(0.0727, 3);
  });

  it.each([
    [["1.27", ""], ["1.26", "0.92"], ["60", "5"], "of both liquids"],
    [["1.27", "0"], ["1.26", "0.92"], ["60", "5"], "more than 0"],
  ])("%j, %j in %j is answered in words", async (thickness, density, seconds, words) => {
    expect((await typed(thickness, density, seconds))[0]?.message).toContain(words);
  });

  it("two equal liquids are refused", async () => {
    await expect(typed(["1.27", "1.27"], ["1.26", "1.26"], ["60", "60"])).rejects.toThrow("do not calibrate");
  });
});
