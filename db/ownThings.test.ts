import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { Database } from "./client.server";
import { containers } from "./containers/schema";
import { demoFormulas } from "./demo/formulas";
import { workshop } from "./demo/workshop";
import { lineLots } from "./formulas/schema";
import { listLines } from "./formulas/queries.server";
import { findMaterial, materialsBySlug, materialsStamp, saveOwnFacts } from "./materials/queries.server";
import { materials, ownFacts } from "./materials/schema";
import { scentCounts, scentRounds, scents } from "./scents/schema";
import { listLots } from "./inventory/queries.server";
import { freshDatabase } from "./testing/freshDatabase";

let db: Database;
let close: () => Promise<void>;
let glycerinId: string;

beforeAll(async () => {
  ({ db, close } = await freshDatabase({ demo: "once" }));
  glycerinId = (await materialsBySlug(db, workshop.id, ["glycerin"]))[0]?.id ?? "";
});

afterAll(async () => close());

const refused = async (work: PromiseLike<unknown>) => expect(Promise.resolve(work)).rejects.toThrow();

describe("own facts", () => {
  it("stand in every query that reads a material, and change what a cache is told by", async () => {
    const before = await materialsStamp(db, workshop.id);
    await saveOwnFacts(db, workshop.id, glycerinId, { maxTemperatureC: 99 });
    expect(await materialsStamp(db, workshop.id)).not.toBe(before);
    expect((await materialsBySlug(db, workshop.id, ["glycerin"]))[0]?.facts.maxTemperatureC).toBe(99);
    expect((await listLots(db, workshop.id)).find(({ facts }) => facts.slug === "glycerin")?.facts.maxTemperatureC).toBe(99);
    const versionId = demoFormulas.find(({ name }) => name.startsWith("Curtain"))?.versions.at(-1)?.id ?? "";
    const line = (await listLines(db, workshop.id, versionId)).find(({ facts }) => facts.slug === "glycerin");
    expect(line?.facts.maxTemperatureC).toBe(99);
    const found = await findMaterial(db, workshop.id, "glycerin");
    expect(found?.own).toEqual({ maxTemperatureC: 99 });
    expect(found?.facts.maxTemperatureC).not.toBe(99);
    await saveOwnFacts(db, workshop.id, glycerinId, {});
    expect((await findMaterial(db, workshop.id, "glycerin"))?.own).toBeNull();
  });

  it("are some, and never say what a material is", async () => {
    const row = { makerId: workshop.id, materialId: glycerinId };
    await refused(db.insert(ownFacts).values({ ...row, facts: {} }));
    await refused(db.insert(ownFacts).values({ ...row, facts: { name: "Sugar" } as object }));
  });
});

describe("what was made here", () => {
  it("is one's own: a reference material is not made here", async () => {
    await refused(db.execute(sql`update ${materials} set made_as = 'scent' where id = ${glycerinId}`));
  });
});

describe("containers", () => {
  const one = {
    makerId: workshop.id,
    name: "Test bottle",
    nominalMl: 100,
    brimfulMl: 110,
    headspaceMl: 5,
    dipTubeMl: 2,
    priceEach: null,
    position: 9,
  };
  it.each<[string, Partial<typeof one>]>([
    ["a brim below what it is sold as", { brimfulMl: 90 }],
    ["nothing left to fill", { headspaceMl: 108 }],
    ["less than no headspace", { headspaceMl: -1 }],
    ["no name", { name: "" }],
  ])("%s is refused", async (_, changes) => {
    await refused(db.insert(containers).values({ ...one, ...changes, id: crypto.randomUUID() }));
  });
});

describe("scents", () => {
  it("a round counts more than nothing of each oil, and has a number of its own", async () => {
    const [scentId, roundId] = [crypto.randomUUID(), crypto.randomUUID()];
    await db.insert(scents).values({ id: scentId, makerId: workshop.id, name: "Test" });
    const round = { makerId: workshop.id, scentId, number: 1, countedIn: "drops" as const };
    await db.insert(scentRounds).values({ ...round, id: roundId });
    await refused(db.insert(scentRounds).values({ ...round, id: crypto.randomUUID() }));
    const oil = { roundId, makerId: workshop.id, materialId: glycerinId, position: 0 };
    await refused(db.insert(scentCounts).values({ ...oil, count: 0 }));
    await refused(db.insert(scentCounts).values({ ...oil, count: 3, dropMilligrams: 0 }));
  });
});

describe("lots of lines", () => {
  it("hold the line's material, weigh more than nothing, and stay in a final version", async () => {
    const formula = demoFormulas.find(({ name }) => name.startsWith("Curtain"));
    const [setId, draftId] = [formula?.versions[0]?.id ?? "", formula?.versions.at(-1)?.id ?? ""];
    const lotsOf = async (slug: string) => (await listLots(db, workshop.id)).find(({ facts }) => facts.slug === slug)?.id ?? "";
    const lineId = (await listLines(db, workshop.id, draftId)).find(({ facts }) => facts.slug === "glycerin")?.id ?? "";
    const row = { makerId: workshop.id, lineId, versionId: draftId, position: 0, grams: null };
    await refused(db.insert(lineLots).values({ ...row, lotId: await lotsOf("xanthan-gum") }));
    const lotId = await lotsOf("glycerin");
    await refused(db.insert(lineLots).values({ ...row, lotId, grams: 0 }));
    await refused(db.insert(lineLots).values({ ...row, lotId, versionId: setId }));
    await db.insert(lineLots).values({ ...row, lotId });
  });
});
