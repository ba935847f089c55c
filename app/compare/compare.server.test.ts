import { sql } from "drizzle-orm";
import { describe, expect, it } from "vitest";
import { demoFormulas } from "../../db/demo/formulas";
import { listLines, listVersions } from "../../db/formulas/queries.server";
import { deleteDraft, keepOrigin } from "../../db/formulas/writes.server";
import { onFreshDatabase } from "../../db/testing/onFreshDatabase";
import { currentMakerId, database } from "../../db/workplace.server";
import { openCompare } from "./compareList.server";
import { changeList, openList } from "./printed/list.server";
import { changeProduct, openProduct } from "./products/product.server";
import type { TypedProduct } from "./products/productForms.server";
import { readingFields, type TypedReadings } from "./readings/fields";
import { changeRounds, openRounds } from "./rounds/rounds.server";
import type { TypedRounds } from "./rounds/roundsForms.server";
import { openSide, sideCsv } from "./side/side.server";

onFreshDatabase({ demo: "once" });

const nothingRead = Object.fromEntries(readingFields.map(({ field }) => [field, ""])) as TypedReadings;
const LIST = "Aqua, Sodium C14-16 Olefin Sulfonate, Cocamidopropyl Betaine, Glycerin, Hydrolyzed Lupine Protein, Sodium Chloride, Parfum";
const id = crypto.randomUUID();
const product = (changes: Partial<TypedProduct> = {}): TypedProduct => ({
  ...nothingRead,
  ...{
    intent: "save",
    id,
    name: "The one the guests like",
    printed: LIST,
    price: "3,90",
    content: "250",
    container: "pump",
    photo: undefined,
  },
  ...{ ph: "5.3", funnelSeconds: "22", foamAtOnceMm: "118", foamAfterFiveMm: "92", slip: "4", dryMatter: "", clarity: "", note: "" },
  ...changes,
});
const fieldsOf = async (changes: Partial<TypedProduct>) => (await changeProduct(product(changes))).map(({ field }) => field);

describe("a product to come close to", () => {
  it("is kept with its list and what was measured; what is wrong is told at its field", async () => {
    expect(await fieldsOf({ name: "", ph: "15", price: "much", printed: ",,," })).toEqual(["ph", "name", "price", "printed"]);
    expect(await fieldsOf({})).toEqual([]);
    expect(await fieldsOf({ id: crypto.randomUUID() })).toEqual(["name"]);
    expect(await openProduct(id)).toMatchObject({
      name: "The one the guests like",
      price: "3.9",
      readings: { funnelSeconds: "22", rinse: "" },
    });
    await expect(openProduct(crypto.randomUUID())).rejects.toThrow("not here");
    expect((await openCompare()).products).toMatchObject([{ name: "The one the guests like", hasList: true, isMeasured: true }]);
  });

  it("its list is read name by name, and what is known of it is kept until the list is another", async () => {
    const { names } = await openList(id);
    expect(names.map(({ name, usual }) => [name, usual !== null])).toEqual([
      ["Aqua", true],
      ["Sodium C14-16 Olefin Sulfonate", true],
      ["Cocamidopropyl Betaine", true],
      ["Glycerin", true],
      ["Hydrolyzed Lupine Protein", false],
      ["Sodium Chloride", true],
      ["Parfum", true],
    ]);
    const list = {
      intent: "keep",
      pins: ["", "6.5", "", "", "", "", ""],
      after: "3",
      dryMatter: "18.5",
      ph: "5.4",
      percents: Array<string>(7).fill("1"),
      profile: "everyday-shampoo",
    } as const;
    expect(await changeList(id, { ...list, pins: [...list.pins] })).toBeNull();
    expect(await openList(id)).toMatchObject({
      known: { pins: { "1": 6.5 }, onePercentAfter: 3 },
      dryMatterPercent: 18.5,
      ph: 5.4,
      profile: "everyday-shampoo",
    });
    expect((await openProduct(id)).dryMatter).toBe("18.5");
    expect(await fieldsOf({ note: "bought in May" })).toEqual([]);
    expect((await openList(id)).known.pins).toEqual({ "1": 6.5 });
    await expect(changeList(id, { ...list, pins: [], percents: ["1"] })).rejects.toThrow("changed");
  });

  it("goes to a new sheet as lines that bring it: a name nobody knows is to be chosen, water is q.s.", async () => {
    const percents = ["86.3", "6", "4", "2", "0.2", "1.2", "0.3"];
    const made = await changeList(id, {
      intent: "send",
      pins: Array<string>(7).fill(""),
      after: "",
      dryMatter: "",
      ph: "5.3",
      percents,
      profile: "everyday-shampoo",
    });
    const { rows } = await database().execute<{ slug: string; percent: number | null; rest: boolean; written: string }>(
      sql`select m.slug, l.percent::float8 as percent, l.takes_the_rest as rest, l.as_written as written from lines l join versions v on v.id = l.version_id join materials m on m.id = l.material_id where v.formula_id = ${made?.formulaId ?? ""} order by l.position`,
    );
    expect(rows.filter(({ rest }) => rest)).toHaveLength(1);
    expect(rows.find(({ written }) => written === "Hydrolyzed Lupine Protein")).toMatchObject({ percent: 0.2, slug: "not-chosen" });
    expect(rows.find(({ slug }) => slug.startsWith("aos"))?.percent).toBeGreaterThan(6);
    const { closeTo, product: found } = await openRounds(made?.formulaId ?? "");
    expect([closeTo, found?.name]).toEqual(["The one the guests like", "The one the guests like"]);
  });
});

describe("rounds of a formula", () => {
  const formulaId = demoFormulas.find(({ name }) => name.startsWith("Green"))?.id ?? "";
  const typed = (changes: Partial<TypedRounds>): TypedRounds => ({
    ...nothingRead,
    ...{ intent: "readings", version: "", learned: "", material: "", to: "" },
    ...changes,
  });

  it("take what was measured and learned, and say what is wrong", async () => {
    const [version] = await listVersions(database(), currentMakerId(), formulaId);
    const done = await changeRounds(formulaId, typed({ version: version?.id ?? "", slip: "9" }));
    expect(done).toMatchObject({ problems: [{ field: "slip" }] });
    expect(await changeRounds(formulaId, typed({ version: version?.id ?? "", ph: "5.6", slip: "3", learned: "foams well" }))).toEqual({
      draft: null,
    });
    const { rounds, next } = await openRounds(formulaId);
    expect(rounds.at(-1)).toMatchObject({ learned: "foams well", readings: { ph: "5.6", slip: "3" } });
    expect(next).toBeNull();
    await expect(openRounds(crypto.randomUUID())).rejects.toThrow("not here");
  });

  it("show a trial beside the version it began from; a final one comes back as the next version", async () => {
    const [from] = await listVersions(database(), currentMakerId(), formulaId);
    const trialId = demoFormulas.find(({ name }) => name.startsWith("Curtain"))?.id ?? "";
    const first = (await listVersions(database(), currentMakerId(), trialId)).at(-1);
    await keepOrigin(database(), currentMakerId(), { versionId: first?.id ?? "", fromVersionId: from?.id ?? "" });
    expect((await openRounds(trialId)).trialOf).toMatchObject({ formulaId, number: from?.number });
    const shown = (await openRounds(formulaId)).rounds.find(({ number }) => number === from?.number);
    expect(shown?.trials).toMatchObject([{ formulaId: trialId, fromNumber: from?.number }]);
    const trial = shown?.trials[0]?.rounds[0];
    expect(trial).toMatchObject({ id: first?.id, backAs: null, isDraft: false });
    expect(trial?.changed).not.toBe("Nothing changed in the lines.");
    const done = await changeRounds(formulaId, typed({ intent: "bring", version: first?.id ?? "" }));
    if (!("draft" in done)) throw new Error("it was not brought back");
    const draft = (await openRounds(formulaId)).rounds.at(-1);
    expect(draft).toMatchObject({ number: done.draft, isDraft: true, brought: { formulaId: trialId, number: first?.number } });
    const [lines, ofTrial] = await Promise.all([
      listLines(database(), currentMakerId(), draft?.id ?? ""),
      listLines(database(), currentMakerId(), first?.id ?? ""),
    ]);
    expect(lines.map(({ materialId, percent }) => [materialId, percent])).toEqual(
      ofTrial.map(({ materialId, percent }) => [materialId, percent]),
    );
    const again = await changeRounds(formulaId, typed({ intent: "bring", version: first?.id ?? "" }));
    expect(again).toMatchObject({ problems: [{ message: expect.stringContaining("is open") as string }] });
    await deleteDraft(database(), currentMakerId(), draft?.id ?? "");
    const stranger = await changeRounds(formulaId, typed({ intent: "bring", version: from?.id ?? "" }));
    expect(stranger).toMatchObject({ problems: [{ message: expect.stringContaining("not here any more") as string }] });
  });

  it("stand beside a product and each other, as a page and for a spreadsheet", async () => {
    const { rounds } = await openRounds(formulaId);
    const addresses = [...rounds.map(({ number }) => `v:${formulaId}:${number}`), `p:${id}`];
    const side = await openSide(addresses);
    expect(side.heads.at(-1)).toMatchObject({ title: "The one the guests like", isProduct: true });
    expect(side.near?.rows.map(({ what }) => what)).toEqual(["pH", "slip"]);
    expect(side.costs[0]?.values.at(-1)).toBeCloseTo(1.56, 9);
    const csv = await (await sideCsv(addresses)).text();
    expect(csv.split("\n")[0]).toContain("The one the guests like");
    await expect(openSide(["x"])).rejects.toThrow("not here");
    await expect(openSide([])).rejects.toThrow("Nothing was chosen");
    await expect(openSide(Array.from({ length: 7 }, (_, at) => `v:${formulaId}:${at + 1}`))).rejects.toThrow("At most 6");
  });
});
