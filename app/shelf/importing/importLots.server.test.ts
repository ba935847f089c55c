import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { closeDatabase } from "../../../db/client.server";
import { freshDatabase } from "../../../db/testing/freshDatabase";
import { openMaterial } from "../openMaterial.server";
import { standing } from "../stock.server";
import { readImportForm } from "./importForm.server";
import { importLots, lotsCsv, previewLots } from "./importLots.server";

let fresh: Awaited<ReturnType<typeof freshDatabase>>;
let server: string | undefined;

/** A maker with an empty cupboard. */
async function begin() {
  if (server !== undefined) process.env.DATABASE_URL = server;
  fresh = await freshDatabase({ demo: "never" });
  process.env.DATABASE_URL = fresh.connectionString;
}

async function end() {
  await closeDatabase();
  await fresh.close();
}

beforeAll(async () => {
  server = process.env.DATABASE_URL;
  await begin();
});

afterAll(async () => {
  await end();
  if (server !== undefined) process.env.DATABASE_URL = server;
});

const LIST = [
  "material;code;grams;assay;price;endsOn;supplier;note",
  'Cocamidopropyl betaine;B-1;1000;30,4;7,40;2027-03-31;market;"a note; with a mark"',
  "glycerin;G-1;500;;6.2;;;=1+1",
  "moondust;M-1;10;;;;;",
].join("\n");
const all = { rows: new Set([0, 1, 2]), below: false };
const good = { rows: new Set([0, 1]), below: false };

async function columnsOf(text: string) {
  return (await previewLots(text, null)).columns;
}

describe("a list of lots", () => {
  it("is shown before anything is stored", async () => {
    const preview = await previewLots(LIST, null);
    expect(preview).toMatchObject({ rowCount: 3, goodCount: 2, goodBelow: 0 });
    expect(preview.rows.map(({ problems }) => problems.length)).toEqual([0, 0, 1]);
    expect(await standing()).toEqual([]);
  });

  it("comes in whole or not at all: one broken row among the chosen, and nothing is stored", async () => {
    await expect(importLots(LIST, await columnsOf(LIST), all)).rejects.toThrow("Row 3");
    await expect(importLots(LIST, await columnsOf(LIST), { rows: new Set(), below: false })).rejects.toThrow("No row is chosen");
    expect(await standing()).toEqual([]);
  });

  it("stores the chosen rows, and not a second time", async () => {
    expect(await importLots(LIST, await columnsOf(LIST), good)).toBe(2);
    expect((await standing()).map(({ code, leftGrams }) => [code, leftGrams])).toEqual([
      ["B-1", 1000],
      ["G-1", 500],
    ]);
    await expect(importLots(LIST, await columnsOf(LIST), good)).rejects.toThrow("stands on the shelf already");
    expect((await openMaterial("cocamidopropyl-betaine")).lots[0]).toMatchObject({ assay: "30.4 %", note: "a note; with a mark" });
  });

  it("goes out so that no cell acts as a formula, and into an empty cupboard it comes as it was", async () => {
    const csv = await lotsCsv();
    expect(csv).toContain("'=1+1");
    const told = async () => (await standing()).map(({ id: _, ...lot }) => lot);
    const before = await told();
    const note = (await openMaterial("glycerin")).lots[0]?.note;
    await end();
    await begin();
    expect(await standing()).toEqual([]);
    expect(await importLots(csv, await columnsOf(csv), good)).toBe(2);
    expect(await told()).toEqual(before);
    expect((await openMaterial("glycerin")).lots[0]?.note).toBe(note);
  });

  it("of 1,200 rows shows 200, and brings the rest in when asked to", async () => {
    const rows = Array.from({ length: 1200 }, (_, at) => `glycerin,MANY-${at},${at + 1}`);
    const text = ["material,code,grams", ...rows].join("\n");
    const preview = await previewLots(text, null);
    expect(preview.rows).toHaveLength(200);
    expect(preview.goodBelow).toBe(1000);
    expect(await importLots(text, preview.columns, { rows: new Set([0]), below: true })).toBe(1001);
  });
});

describe("the form of an import", () => {
  const form = (entries: readonly (readonly [string, string])[]) => {
    const data = new FormData();
    for (const [key, value] of entries) data.append(key, value);
    return data;
  };

  it("reads the choice of columns and rows", async () => {
    const read = await readImportForm(
      form([
        ["intent", "import"],
        ["text", "a,b"],
        ["column-material", "1"],
        ["column-code", ""],
        ["row", "0"],
        ["row", "7"],
        ["below", "on"],
      ]),
    );
    expect(read).toMatchObject({ intent: "import", content: "a,b", columns: { material: 1 }, chosen: { below: true } });
    expect([...read.chosen.rows]).toEqual([0, 7]);
  });

  it("prefers a file to pasted text", async () => {
    const data = form([
      ["intent", "read"],
      ["text", "pasted"],
    ]);
    data.set("file", new File(["of the file"], "lots.csv"));
    const { content } = await readImportForm(data);
    expect(new TextDecoder().decode(content as Uint8Array)).toBe("of the file");
  });

  it.each([
    [[["intent", "burn"]]],
    [
      [
        ["intent", "columns"],
        ["column-material", "-1"],
      ],
    ],
    [
      [
        ["intent", "import"],
        ["row", "first"],
      ],
    ],
  ] as const)("refuses what the page could not have sent", async (entries) => {
    await expect(readImportForm(form(entries))).rejects.toThrow("not as this page sends it");
  });
});
