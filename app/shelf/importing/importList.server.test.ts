import { describe, expect, it } from "vitest";
import { atFreshDatabase, onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import { makeSolution } from "../preparations/solution.server";
import { openMaterial } from "../openMaterial.server";
import { typedMaterial } from "../owning/materialFields";
import { saveNewMaterial, saveOwn } from "../owning/own.server";
import { moveByHand, standing } from "../stock.server";
import { Refusal } from "@tensidrum/core/quantities";
import { readForm } from "../../frame/readForm.server";
import { importForm, wantedImport } from "./importForm.server";
import { shelfFile } from "./exportShelf.server";
import { importList, previewList } from "./importList.server";
import type { ImportKind } from "./importRow";

onFreshDatabase({ demo: "never" });

/** Does a job for a maker with an empty cupboard. */
const atEmptyCupboard = (job: () => Promise<void>) => atFreshDatabase({ demo: "never" }, job);

const LIST = [
  "material;code;grams;assay;price;endsOn;supplier;note",
  'Cocamidopropyl betaine;B-1;1000;30,4;7,40;2027-03-31;market;"a note; with a mark"',
  "glycerin;G-1;500;;6.2;;;=1+1",
  "moondust;M-1;10;;;;;",
].join("\n");
const all = { rows: new Set([0, 1, 2]), below: false };
const good = { rows: new Set([0, 1]), below: false };

const unsaid = { kind: null, columns: null };

/** Brings a list in as it is read. */
async function bring(text: string, chosen: { rows: ReadonlySet<number>; below: boolean }, kind: ImportKind = "lots") {
  const { columns } = await previewList(text, { kind, columns: null });
  return importList(text, { kind, columns, chosen });
}

const twoIds = () => ({ id: crypto.randomUUID(), movementId: crypto.randomUUID() });

const lotsCsv = async () => (await shelfFile("lots.csv")).text();

describe("a list of lots", () => {
  it("is shown before anything is stored", async () => {
    const preview = await previewList(LIST, unsaid);
    expect(preview).toMatchObject({ rowCount: 3, goodCount: 2, goodBelow: 0 });
    expect(preview.rows.map(({ problems }) => problems.length)).toEqual([0, 0, 1]);
    expect(await standing()).toEqual([]);
  });

  it("comes in whole or not at all: one broken row among the chosen, and nothing is stored", async () => {
    await expect(bring(LIST, all)).rejects.toThrow("Row 3");
    await expect(bring(LIST, { rows: new Set(), below: false })).rejects.toThrow("No row is chosen");
    expect(await standing()).toEqual([]);
  });

  it("stores the chosen rows, and not a second time", async () => {
    expect(await bring(LIST, good)).toBe(2);
    expect((await standing()).map(({ code, leftGrams }) => [code, leftGrams])).toEqual([
      ["B-1", 1000],
      ["G-1", 500],
    ]);
    await expect(bring(LIST, good)).rejects.toThrow("stands on the shelf already");
    expect((await openMaterial("cocamidopropyl-betaine")).lots[0]).toMatchObject({ assay: "30.4 %", note: "a note; with a mark" });
  });

  it("goes out so that no cell acts as a formula, and into an empty cupboard it comes as it was", async () => {
    const csv = await lotsCsv();
    expect(csv).toContain("'=1+1");
    const told = async () => (await standing()).map(({ id: _, ...lot }) => lot);
    const before = await told();
    const note = (await openMaterial("glycerin")).lots[0]?.note;
    await atEmptyCupboard(async () => {
      expect(await standing()).toEqual([]);
      expect(await bring(csv, good)).toBe(2);
      expect(await told()).toEqual(before);
      expect((await openMaterial("glycerin")).lots[0]?.note).toBe(note);
    });
  });

  it("of 1,200 rows shows 200, and brings the rest in when asked to", async () => {
    const rows = Array.from({ length: 1200 }, (_, at) => `glycerin,MANY-${at},${at + 1}`);
    const text = ["material,code,grams", ...rows].join("\n");
    const preview = await previewList(text, unsaid);
    expect(preview.rows).toHaveLength(200);
    expect(preview.goodBelow).toBe(1000);
    expect(await importList(text, { kind: "lots", columns: preview.columns, chosen: { rows: new Set([0]), below: true } })).toBe(1001);
  });
});

describe("a file of everything that is one's own", () => {
  const everything = async () => {
    const file = JSON.parse(await (await shelfFile("materials.json")).text()) as { lots: { id: string }[] };
    return { ...file, lots: file.lots.map(({ id: _, ...lot }) => lot) };
  };

  it("goes out, and into an empty cupboard it comes as it was: materials, own facts, lots and what is left of them", async () => {
    let before: Awaited<ReturnType<typeof everything>> | undefined;
    let text = "";
    await atEmptyCupboard(async () => {
      const slurry = { ...typedMaterial(null), name: "Gum slurry", role: "humectant", parts: "glycerin 90\nxanthan-gum 10" };
      expect(await saveNewMaterial(slurry, "")).toEqual({ slug: "gum-slurry" });
      const better = { ...typedMaterial(null), numbers: { ...typedMaterial(null).numbers, densityGramsPerMl: "1.255" } };
      expect(await saveOwn("glycerin", better)).toEqual({ slug: "glycerin" });
      expect(
        await makeSolution({ of: "citric-acid-anhydrous", strength: "25", grams: "100", months: "3", lot: "" }, twoIds()),
      ).toHaveProperty("lotId");
      const [lot] = await standing();
      await moveByHand({
        id: crypto.randomUUID(),
        lotId: lot?.id ?? "",
        kind: "use",
        grams: "12.5",
        note: "",
        ...{ openedOn: "", endsOn: "", afterOpening: "" },
      });
      before = await everything();
      expect(before.lots).toMatchObject([{ gramsLeft: 87.5, packGrams: 100 }]);
      text = await (await shelfFile("materials.json")).text();
    });
    await atEmptyCupboard(async () => {
      expect(await bring(text, { rows: new Set([0, 1, 2, 3]), below: false }, "file")).toBe(4);
      expect(await everything()).toEqual(before);
      expect((await openMaterial("glycerin")).yours).toEqual([{ name: "density as supplied", library: "1.26 g/mL", mine: "1.255 g/mL" }]);
    });
  });

  it("a lot whose material is not ticked is not brought in alone", async () => {
    const materials = [{ slug: "dew", name: "Dew", role: "water", inci: [{ name: "Aqua", percent: 100 }] }];
    const text = JSON.stringify({ format: "tensidrum-materials/1", materials, lots: [{ id: "D-1", material: "dew", packGrams: 5 }] });
    await expect(bring(text, { rows: new Set([1]), below: false }, "file")).rejects.toThrow("not ticked");
    await expect(openMaterial("dew")).rejects.toThrow("No material");
  });

  it("own materials go out as a table whose cells are no formulas, and come back", async () => {
    const odd = {
      ...typedMaterial(null),
      name: "=Odd wash",
      role: "surfactant",
      inci: "Coco-Glucoside 50",
      active: { typical: "50", low: "", high: "" },
      handling: "+warm it",
    };
    await saveNewMaterial(odd, "");
    const csv = await (await shelfFile("materials.csv")).text();
    expect(csv).toContain("'=Odd wash");
    expect(csv).toContain("'+warm it");
    const again = csv.replace("odd-wash", "odd-wash-too").replace("'=Odd wash", "'=Odd wash too").split("\r\n");
    const rows = [again[0], ...again.filter((line) => line.includes("odd-wash-too"))].join("\r\n");
    expect(await bring(rows, { rows: new Set([0]), below: false }, "materials")).toBe(1);
    expect((await openMaterial("odd-wash-too")).name).toBe("=Odd wash too");
  });
});

describe("the form of an import", () => {
  const form = (entries: readonly (readonly [string, string])[]) => {
    const data = new FormData();
    for (const [key, value] of entries) data.append(key, value);
    return data;
  };

  it("reads the choice of columns and rows", async () => {
    const { typed } = readForm(
      importForm,
      form([
        ["intent", "import"],
        ["text", "a,b"],
        ["columns.material", "1"],
        ["columns.code", ""],
        ["row", "0"],
        ["row", "7"],
        ["below", "on"],
      ]),
    );
    const wanted = await wantedImport(typed);
    expect(wanted).toMatchObject({ content: "a,b", columns: { material: 1 }, chosen: { below: true } });
    expect([...wanted.chosen.rows]).toEqual([0, 7]);
  });

  it("prefers a file to pasted text", async () => {
    const data = form([
      ["intent", "read"],
      ["text", "pasted"],
    ]);
    data.set("file", new File(["of the file"], "lots.csv"));
    const { content } = await wantedImport(readForm(importForm, data).typed);
    expect(new TextDecoder().decode(content as Uint8Array)).toBe("of the file");
  });

  it.each([
    [[["intent", "burn"]]],
    [
      [
        ["intent", "columns"],
        ["columns.material", "-1"],
      ],
    ],
    [
      [
        ["intent", "columns"],
        ["columns.nothing", "1"],
      ],
    ],
    [
      [
        ["intent", "import"],
        ["row", "first"],
      ],
    ],
  ] as const)("refuses what the page could not have sent", (entries) => {
    expect(() => readForm(importForm, form(entries))).toThrow(Refusal);
  });
});
