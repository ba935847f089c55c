import { sql } from "drizzle-orm";
import { beforeAll, describe, expect, it } from "vitest";
import { greenRoom } from "../../../db/demo/season";
import { onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import { currentMakerId, database } from "../../../db/workplace.server";
import { placesFor } from "./placesFor";
import { search } from "./search.server";

onFreshDatabase({ demo: "once" });

const told = async (wanted: string) => (await search(wanted)).results.map(({ title, where, to }) => ({ title, where, to }));

describe("search over everything", () => {
  beforeAll(async () => {
    const [db, maker] = [database(), currentMakerId()];
    const id = crypto.randomUUID();
    const version = greenRoom.versions[0]?.id ?? "";
    await db.execute(sql`insert into batches (id, maker_id, version_id, code, formula, steps, vessels, core_version)
      values (${id}, ${maker}, ${version}, 'GR-270512-1', '{"name": "Green Room body wash", "batchGrams": 300}', '[]', '[]', '0')`);
    const noted = {
      id: crypto.randomUUID(),
      at: "2027-05-12T10:00:00Z",
      kind: "noted",
      step: null,
      text: "The stirrer squeaked while the birch went in",
    };
    const design = { format: "tensidrum-label/1", name: "Small", boxes: [{ text: "Shake before the second act" }, { text: "" }] };
    await db.execute(sql`insert into labels (id, maker_id, formula_id, design)
      values (gen_random_uuid(), ${maker}, ${greenRoom.id}, ${JSON.stringify(design)}::jsonb)`);
    await db.execute(sql`insert into batch_entries (id, batch_id, maker_id, kind, entry)
      values (${noted.id}, ${id}, ${maker}, 'noted', ${JSON.stringify(noted)}::jsonb)`);
  });

  it.each([
    ["a formula by its name", "green room", "formula", "Green Room body wash"],
    ["a formula with a letter off", "curtian call", "formula", "Curtain Call shampoo"],
    ["a formula with a slip in each of two words", "curtian cal", "formula", "Curtain Call shampoo"],
    ["a batch by its code", "GR-270512", "batch", "GR-270512-1"],
    ["an entry by words in another order", "birch stirrer", "entry of the record", "GR-270512-1"],
    ["a material", "juniper", "material", "Juniper berry essential oil"],
    ["a formula by one of its lines", "juniper", "line of v1", "Green Room body wash"],
    ["a lot by its code", "B-114", "lot", "Lot B-114"],
    ["a lot by where it was bought", "herb stall", "lot", "Lot BL-2"],
    ["a note of a version", "hairspray", "note of v1", "Curtain Call shampoo"],
    ["a scent blend", "lakeside", "scent blend", "Lakeside evening"],
    ["a label by its maker's words", "second act", "label", "Green Room body wash"],
    ["a container", "flip top", "container", "Flip-top, guests"],
  ])("finds %s", async (_, wanted, where, title) => {
    expect(await told(wanted)).toContainEqual(expect.objectContaining({ where, title }));
  });

  it("what begins with the text comes before what only has it", async () => {
    const [first] = await told("juniper");
    expect(first?.title).toMatch(/^Juniper/);
  });

  it("a name as it was typed is found among hundreds of nearly the same", async () => {
    await database().execute(sql`insert into formulas (id, maker_id, name)
      select gen_random_uuid(), ${currentMakerId()}, case when n = 300 then 'Boathouse lanterns 7 gel' else 'Boathouse lantern ' || n end
      from generate_series(1, 300) n`);
    const titles = (await told("boathouse lanterns 7")).filter(({ where }) => where === "formula").map(({ title }) => title);
    expect(titles[0]).toBe("Boathouse lanterns 7 gel");
    expect(titles).toHaveLength(5);
  });

  it.each([
    ["nothing", "   "],
    ["operators only", "& | ! <-> :* ()"],
    ["a letter", "a"],
    ["quotes and percents", "' or 1=1; -- % _ \\"],
    ["ten thousand letters", "sulfonate ".repeat(1000)],
    ["another script", "شامبو 洗发水"],
    ["a zero byte", "a\u0000b"],
  ])("%s is answered without a fault", async (_, wanted) => {
    const { results } = await search(wanted.replaceAll("\u0000", ""));
    expect(Array.isArray(results)).toBe(true);
  });

  it.each([
    ["back up", "/settings/backups"],
    ["label", "/fill"],
    ["stock", "/shelf"],
    ["finish", "/bench"],
    ["shoping", "/shelf/shopping"],
    ["calender", "/days"],
    ["help", "/help"],
    ["mould", "/help/preserve"],
  ])("the page people call “%s” is known", (words, to) => {
    expect(placesFor(words).map((place) => place.to)).toContain(to);
  });
});
