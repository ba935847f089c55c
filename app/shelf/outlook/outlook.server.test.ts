import { describe, expect, it } from "vitest";
import { listLots } from "../../../db/inventory/queries.server";
import { holdLot } from "../../../db/inventory/writes.server";
import { onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import { currentMakerId, database } from "../../../db/workplace.server";
import { receive } from "../stock.server";
import { changeOffers, openOffers } from "./offers.server";
import { openOutlook } from "./outlook.server";
import type { TypedOffer, TypedPlan } from "./outlookForms.server";
import { changePlans } from "./plans.server";
import { openShopping, outlookCalendar, shoppingCsv } from "./shopping.server";

onFreshDatabase({ demo: "once" });

const all = async () => {
  const { enough, less, lacking } = (await openOutlook()).makeable;
  return [...enough, ...less, ...lacking];
};

describe("what the shelf makes", () => {
  it("looks at every formula once, and says what limits each", async () => {
    const rows = await all();
    expect(new Set(rows.map(({ id }) => id)).size).toBe(rows.length);
    expect(rows.length).toBeGreaterThan(3);
    for (const { grams, limitedBy } of rows) expect(limitedBy.length).toBeGreaterThan(grams === null ? -1 : 0);
  });

  it("what is received makes a batch possible, and a lot on hold does not count", async () => {
    const before = (await openOutlook()).makeable.lacking[0];
    const nothing = { assay: "", price: "", supplier: "", openedOn: "", endsOn: "", afterOpening: "", note: "" };
    for (const { slug } of before?.limitedBy ?? []) {
      const ids = { id: crypto.randomUUID(), movementId: crypto.randomUUID() };
      expect(await receive({ ...nothing, ...ids, material: slug, code: "T-1", grams: "500" })).toEqual({ slug });
    }
    const received = (await all()).find(({ id }) => id === before?.id);
    expect(received?.grams).toBeGreaterThan(0);
    const [first] = before?.limitedBy ?? [];
    const lot = (await listLots(database(), currentMakerId())).find(({ facts, code }) => facts.slug === first?.slug && code === "T-1");
    await holdLot(database(), currentMakerId(), lot?.id ?? "", "smells of paint");
    expect((await all()).find(({ id }) => id === before?.id)).toMatchObject({ grams: 0, limitedBy: [{ slug: first?.slug }] });
  });
});

describe("planned batches", () => {
  const planned = (changes: Partial<TypedPlan> = {}): TypedPlan => ({
    ...{ intent: "plan", id: crypto.randomUUID(), version: "", on: "2090-05-01", grams: "600 g", note: "", ...changes },
  });
  const version = async () => (await openOutlook()).versions.find(({ name }) => name.startsWith("Curtain Call shampoo v1"))?.id ?? "";

  it("are told with what they lack, and move and go", async () => {
    const plan = planned({ version: await version(), note: "opening night" });
    expect(await changePlans(plan)).toEqual([]);
    expect(await changePlans(plan)).toEqual([]);
    const { plans, toBuy } = await openOutlook();
    expect(plans).toMatchObject([{ id: plan.id, grams: 600, note: "opening night", day: "Mon 1 May 2090", isLate: false }]);
    expect(plans[0]?.lacks.length).toBe(toBuy.length);
    expect(toBuy.length).toBeGreaterThan(0);
    expect(toBuy.every(({ neededOn }) => neededOn === "2090-05-01")).toBe(true);
    expect(await changePlans({ ...plan, intent: "move", on: "2090-06-02" })).toEqual([]);
    expect((await openOutlook()).plans[0]?.plannedOn).toBe("2090-06-02");
    expect(await (await outlookCalendar()).text()).toContain("DTSTART;VALUE=DATE:20900602");
    expect(await changePlans({ ...plan, intent: "drop" })).toEqual([]);
    expect((await openOutlook()).plans).toEqual([]);
    await expect(changePlans({ ...plan, intent: "drop" })).rejects.toThrow("not there any more");
  });

  it("say at its field what is wrong with them", async () => {
    const wrong = await changePlans(planned({ on: "May", grams: "lots" }));
    expect(wrong.map(({ field }) => field)).toEqual(["version", "on", "grams"]);
    expect((await changePlans(planned({ version: crypto.randomUUID() }))).map(({ field }) => field)).toEqual(["version"]);
  });

  it("are bought for in whole packs of the cheapest price, and the list is a table", async () => {
    const plan = planned({ version: await version(), grams: "100 kg" });
    await changePlans(plan);
    const { slug, grams } = (await openOutlook()).toBuy.find((row) => row.slug === "glycerin") ?? { slug: "glycerin", grams: 0 };
    expect(grams).toBeGreaterThan(0);
    const offer: TypedOffer = {
      intent: "keep",
      id: crypto.randomUUID(),
      supplier: "=Prompt Side Supplies",
      pack: "100 g",
      price: "0,10",
      least: "50",
    };
    expect(await changeOffers(slug, offer)).toEqual([]);
    expect((await changeOffers(slug, { ...offer, price: "1 $", least: "0" })).map(({ field }) => field)).toEqual(["price", "least"]);
    const order = (await openOutlook()).toBuy.find((row) => row.slug === slug)?.order;
    expect(order).toMatchObject({
      packs: Math.max(50, Math.ceil(grams / 100)),
      packGrams: 100,
      leastPacks: 50,
      supplier: "=Prompt Side Supplies",
    });
    expect(order?.price).toBeCloseTo(0.1 * (order?.packs ?? 0), 9);
    expect((await openShopping()).groups.map(({ supplier }) => supplier)).toContain("=Prompt Side Supplies");
    const csv = await (await shoppingCsv()).text();
    expect(csv.split("\r\n")[0]).toBe('material,"lacking, g",needed on,supplier,packs,"pack, g","price of a pack, €","price of all, €"');
    expect(csv).toContain(`"'=Prompt Side Supplies"`);
    expect((await openOffers(slug)).offers).toMatchObject([{ perKilogram: 1, leastPacks: 50 }]);
    await changePlans({ ...plan, intent: "drop" });
    expect((await openShopping()).groups).toEqual([]);
  });
});
