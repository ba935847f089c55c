import { describe, expect, it } from "vitest";
import { listLots } from "../../../db/inventory/queries.server";
import { holdLot } from "../../../db/inventory/writes.server";
import { onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import { currentMakerId, database } from "../../../db/workplace.server";
import { receive } from "../stock.server";
import { openOutlook } from "./outlook.server";

onFreshDatabase({ demo: "once" });

const all = async () => {
  const { enough, less, lacking } = await openOutlook();
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
    const before = (await openOutlook()).lacking[0];
    const nothing = { assay: "", price: "", supplier: "", openedOn: "", endsOn: "", note: "" };
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
