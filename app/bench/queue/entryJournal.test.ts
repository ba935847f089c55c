import { describe, expect, it } from "vitest";
import { journaled } from "./entryJournal";
import { memoryKeep, type EntryKeep, type KeptEntry } from "./entryKeep";

function storageOf(): Pick<Storage, "getItem" | "setItem" | "removeItem"> {
  const kept = new Map<string, string>();
  return {
    getItem: (key) => kept.get(key) ?? null,
    setItem: (key, value) => void kept.set(key, value),
    removeItem: (key) => void kept.delete(key),
  };
}

const row = (id: string, changes: Partial<KeptEntry> = {}): KeptEntry => ({
  ...{ id, batch: "b", position: null, why: null },
  entry: { id, at: "2026-11-27T10:00:00.000Z", kind: "paused" },
  ...changes,
});

/** A database that never answers a put, as for a page that is closed in that moment. */
const deaf = (): EntryKeep => ({ ...memoryKeep(), put: () => new Promise<void>(() => undefined) });

describe("a journal before the database", () => {
  it("what the database did not take before the page closed is there on the next visit, once", async () => {
    const storage = storageOf();
    void journaled(deaf(), storage).put([row("1"), row("2")]);
    const database = memoryKeep();
    const next = journaled(database, storage);
    expect((await next.all("b")).map(({ id }) => id)).toEqual(["1", "2"]);
    expect((await database.all("b")).map(({ id }) => id)).toEqual(["1", "2"]);
    expect((await journaled(memoryKeep(), storage).all("b")).length).toBe(0);
  });

  it("of another batch it stays noted until that one is asked for", async () => {
    const storage = storageOf();
    void journaled(deaf(), storage).put([row("1", { batch: "other" })]);
    const next = journaled(memoryKeep(), storage);
    expect(await next.all("b")).toEqual([]);
    expect((await next.all("other")).map(({ id }) => id)).toEqual(["1"]);
  });

  it("what the database took is noted no longer, nor what was let go, nor what the server holds", async () => {
    const storage = storageOf();
    const keep = journaled(memoryKeep(), storage);
    await keep.put([row("1"), row("2", { position: 7 })]);
    await keep.remove(["1"]);
    expect(storage.getItem("tensidrum.bench-journal")).toBeNull();
    expect((await keep.all("b")).map(({ id }) => id)).toEqual(["2"]);
  });

  it("an entry that cannot be read is told with its text, and not among the others", async () => {
    const half = { id: "2", batch: "b", position: null, why: null, entry: { id: "2", kind: "weighed" } } as unknown as KeptEntry;
    const keep = journaled(memoryKeep(), storageOf());
    await keep.put([row("1"), half]);
    expect((await keep.all("b")).map(({ id }) => id)).toEqual(["1"]);
    expect(await keep.broken("b")).toEqual([{ id: "2", text: JSON.stringify(half) }]);
    await keep.remove(["2"]);
    expect(await keep.broken("b")).toEqual([]);
  });

  it("a note that cannot be read is none, and a full storage keeps nothing from being kept", async () => {
    const storage = storageOf();
    storage.setItem("tensidrum.bench-journal", "{half");
    const full = {
      ...storage,
      setItem() {
        throw new Error("full");
      },
    };
    const keep = journaled(memoryKeep(), full);
    await keep.put([row("1")]);
    expect((await keep.all("b")).map(({ id }) => id)).toEqual(["1"]);
  });
});
