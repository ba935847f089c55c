import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { workshop } from "./demo/workshop";
import { listFormulas } from "./formulas/queries.server";
import { makers } from "./makers/schema";
import { copyFormula } from "./testing/copyFormula";
import { freshDatabase } from "./testing/freshDatabase";

let fresh: Awaited<ReturnType<typeof freshDatabase>>;

beforeAll(async () => {
  fresh = await freshDatabase({ demo: "once" });
  const [first] = await listFormulas(fresh.db, workshop.id, { most: 1 });
  await copyFormula(fresh.db, first?.id ?? "", 20);
  // Several of one moment, finer than a browser's clock, so that the moment alone does not tell where a part ends.
  await fresh.db.execute(sql`update formulas set updated_at = date_trunc('minute', updated_at) + interval '7 microseconds'`);
});

afterAll(() => fresh.close());

/** Identifiers of all formulas, read part by part. */
async function inParts(most: number): Promise<readonly string[]> {
  const read: string[] = [];
  for (;;) {
    const part = await listFormulas(fresh.db, workshop.id, { most, behind: read.at(-1) ?? "" });
    if (part.length === 0) return read;
    read.push(...part.map(({ id }) => id));
  }
}

describe("a list in parts", () => {
  it.each([1, 3, 7, 100])("of %d rows tells every row once, in the order of the whole", async (most) => {
    const whole = (await listFormulas(fresh.db, workshop.id, { most: 1_000 })).map(({ id }) => id);
    expect(whole.length).toBeGreaterThan(20);
    expect(await inParts(most)).toEqual(whole);
  });

  it("behind a row that is not there, or is another maker's, nothing comes", async () => {
    const stranger = { id: crypto.randomUUID(), name: "Somebody else" };
    await fresh.db.insert(makers).values(stranger);
    const theirs = crypto.randomUUID();
    await fresh.db.execute(sql`insert into formulas (id, maker_id, name) values (${theirs}, ${stranger.id}, 'Theirs')`);
    for (const behind of [crypto.randomUUID(), theirs]) expect(await listFormulas(fresh.db, workshop.id, { most: 5, behind })).toEqual([]);
  });
});
