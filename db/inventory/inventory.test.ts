import fc from "fast-check";
import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { Database } from "../client.server";
import { workshop } from "../demo/workshop";
import { brokenConstraint } from "../failures.server";
import { materialsBySlug } from "../materials/queries.server";
import { freshDatabase } from "../testing/freshDatabase";
import { findLot, listLots, lotsOfMaterial, movementsOfMaterial } from "./queries.server";
import { addMovement, deleteLot, receiveLot, type NewMovement } from "./writes.server";

let db: Database;
let close: () => Promise<void>;
let materialId: string;
let count = 0;

beforeAll(async () => {
  ({ db, close } = await freshDatabase({ demo: "never" }));
  const [betaine] = await materialsBySlug(db, workshop.id, ["cocamidopropyl-betaine"]);
  materialId = betaine?.id ?? "";
});

afterAll(async () => close());

/** A lot of so many grams; its id. */
async function received(packGrams: number): Promise<string> {
  const id = crypto.randomUUID();
  count += 1;
  const words = { code: `L-${count}`, supplier: "", note: "" };
  const lot = { id, materialId, ...words, assayPercent: 30, packGrams, price: 7.4, openedOn: null, endsOn: null };
  await receiveLot(db, workshop.id, lot, crypto.randomUUID());
  return id;
}

const add = (lotId: string, movement: NewMovement, movementId = crypto.randomUUID()) =>
  addMovement(db, workshop.id, { lotId, movementId }, () => movement);
const held = async (lotId: string) => {
  const lot = await findLot(db, workshop.id, lotId);
  return [lot?.freeGrams, lot?.leftGrams];
};
const refusal = async (work: Promise<unknown>) => work.then(() => "done").catch((error: unknown) => brokenConstraint(error) ?? "refused");

describe("the books of a lot", () => {
  it("1,000 g, 84 used, 1.7 corrected away, 100 promised: 914.3 g are in it, 814.3 g are free", async () => {
    const lot = await received(1000);
    await add(lot, { kind: "use", grams: -84, note: "Curtain Call" });
    await add(lot, { kind: "correct", grams: -1.7, note: "spilt" });
    await add(lot, { kind: "reserve", grams: -100, note: "CC 261126-1" });
    expect(await held(lot)).toEqual([814.3, 914.3]);
    await add(lot, { kind: "release", grams: 100, note: "CC 261126-1" });
    await add(lot, { kind: "use", grams: -97.5, note: "CC 261126-1" });
    expect(await held(lot)).toEqual([816.8, 816.8]);
    const books = (await movementsOfMaterial(db, workshop.id, materialId, 100)).filter(({ lotId }) => lotId === lot);
    expect(books.map(({ restGrams }) => restGrams)).toEqual([816.8, 914.3, 814.3, 914.3, 916, 1000]);
  });

  it("what is left is the sum of the movements, whatever they are", async () => {
    const kind = fc.constantFrom("use", "discard", "reserve", "release", "correct");
    const movement = fc.tuple(kind, fc.integer({ min: 1, max: 9999 })).map(([of, tenths]): NewMovement => ({
      kind: of as NewMovement["kind"],
      grams: of === "release" || (of === "correct" && tenths % 2 === 0) ? tenths / 10 : -tenths / 10,
      note: "",
    }));
    await fc.assert(
      fc.asyncProperty(fc.array(movement, { maxLength: 8 }), async (drawn) => {
        const lot = await received(500);
        for (const one of drawn) await add(lot, one);
        const sum = (of: readonly NewMovement[]) => of.reduce((total, { grams }) => total + Math.round(grams * 10), 5000) / 10;
        expect(await held(lot)).toEqual([sum(drawn), sum(drawn.filter(({ kind: of }) => of !== "reserve" && of !== "release"))]);
      }),
      { numRuns: 15 },
    );
  });

  it("a movement sent twice is entered once, also when both come at the same moment", async () => {
    const lot = await received(100);
    const id = crypto.randomUUID();
    const use: NewMovement = { kind: "use", grams: -10, note: "" };
    await Promise.all([add(lot, use, id), add(lot, use, id), add(lot, use, id)]);
    expect(await held(lot)).toEqual([90, 90]);
  });

  it("of two who take the last 60 g at the same moment the second sees what the first left", async () => {
    const lot = await received(100);
    const seen: number[] = [];
    const take = () =>
      addMovement(db, workshop.id, { lotId: lot, movementId: crypto.randomUUID() }, ({ freeGrams }) => {
        seen.push(freeGrams);
        return { kind: "use", grams: -60, note: "" };
      });
    await Promise.all([take(), take()]);
    expect(seen).toEqual([100, 40]);
  });

  it("a row is never changed and never taken out", async () => {
    const lot = await received(100);
    expect(await refusal(db.execute(sql`update movements set grams = 50 where lot_id = ${lot}`))).toBe("protected");
    expect(await refusal(db.execute(sql`delete from movements where lot_id = ${lot}`))).toBe("protected");
    expect(await held(lot)).toEqual([100, 100]);
  });

  it.each<[string, NewMovement]>([
    ["a use that adds", { kind: "use", grams: 5, note: "" }],
    ["a promise that adds", { kind: "reserve", grams: 5, note: "" }],
    ["something received that takes away", { kind: "receive", grams: -5, note: "" }],
    ["a correction of nothing", { kind: "correct", grams: 0, note: "" }],
  ])("%s is refused", async (_, movement) => {
    const lot = await received(100);
    expect(await refusal(add(lot, movement))).toBe("refused");
  });
});

describe("a lot", () => {
  it("typed by mistake can go, with what came in it; one that is promised or used stays", async () => {
    const [mistaken, promised, used] = [await received(100), await received(100), await received(100)];
    await add(promised, { kind: "reserve", grams: -10, note: "" });
    await add(used, { kind: "use", grams: -10, note: "" });
    expect(await deleteLot(db, workshop.id, mistaken)).toBe(true);
    expect(await findLot(db, workshop.id, mistaken)).toBeUndefined();
    expect(await refusal(deleteLot(db, workshop.id, promised))).toBe("protected");
    expect(await refusal(deleteLot(db, workshop.id, used))).toBe("protected");
    expect(await held(used)).toEqual([90, 90]);
  });

  it("keeps its material: one that stands on the shelf cannot be taken out of the library", async () => {
    await received(100);
    expect(await refusal(db.execute(sql`delete from materials where id = ${materialId}`))).not.toBe("done");
  });

  it("has a code of its own among the lots of its material", async () => {
    const lot = await received(100);
    const code = (await findLot(db, workshop.id, lot))?.code ?? "";
    const twin = { id: crypto.randomUUID(), materialId, code, supplier: "", note: "", assayPercent: null, packGrams: 1 };
    const work = receiveLot(db, workshop.id, { ...twin, price: null, openedOn: null, endsOn: null }, crypto.randomUUID());
    expect(await refusal(work)).toBe("taken");
  });

  it("is listed with the others of its material and with all", async () => {
    const lot = await received(250);
    const ofMaterial = async () => (await lotsOfMaterial(db, workshop.id, materialId)).find(({ id }) => id === lot);
    expect(await ofMaterial()).toMatchObject({ leftGrams: 250, isUntouched: true });
    await add(lot, { kind: "reserve", grams: -1, note: "" });
    expect(await ofMaterial()).toMatchObject({ leftGrams: 250, isUntouched: false });
    expect((await listLots(db, workshop.id)).find(({ id }) => id === lot)?.facts.slug).toBe("cocamidopropyl-betaine");
  });
});
