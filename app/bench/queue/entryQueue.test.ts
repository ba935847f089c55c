import type { BatchEntry } from "@tensidrum/core/process";
import "fake-indexeddb/auto";
import { IDBFactory } from "fake-indexeddb";
import fc from "fast-check";
import { beforeEach, describe, expect, it } from "vitest";
import type { StoredEntry } from "../batch/sentBatch";
import { browserKeep, memoryKeep, type EntryKeep } from "./entryKeep";
import { EntryQueue, type Answer } from "./entryQueue";

const BATCH = "5ea50000-0000-4000-8000-00000000a200";
const noted = (id: string): BatchEntry => ({ id, at: "2026-11-26T10:00:00.000Z", kind: "noted", step: null, text: id });

/** A server that can be away, may lose its answer on the way, and refuses what it is told to. */
class PlayedServer {
  readonly held: StoredEntry[] = [];
  isAway = false;
  answersLost = 0;
  refuses = new Set<string>();
  calls = 0;

  readonly send = (behind: number, entries: readonly BatchEntry[]): Promise<Answer> => {
    this.calls += 1;
    if (this.isAway) return Promise.reject(new Error("away"));
    const refused = entries.filter(({ id }) => this.refuses.has(id)).map(({ id }) => ({ id, why: "It has been done already." }));
    for (const entry of entries) {
      if (!this.refuses.has(entry.id) && !this.held.some((one) => one.entry.id === entry.id)) this.put(entry);
    }
    if (this.answersLost > 0) {
      this.answersLost -= 1;
      return Promise.reject(new Error("the answer was lost"));
    }
    const sent = new Set(ids(entries));
    const stored = this.held.filter(({ position, entry }) => position > behind || sent.has(entry.id));
    return Promise.resolve({ now: "2026-11-26T10:00:00.000Z", stored, refused });
  };

  put(entry: BatchEntry): void {
    this.held.push({ position: this.held.length + 1, entry });
  }
}

/** Lets everything that waits for nothing but its turn go on; the database played here takes several. */
const resolved = async () => {
  for (let turn = 0; turn < 20; turn += 1) await new Promise((resolve) => setTimeout(resolve, 1));
};

function ids(entries: readonly { readonly id: string }[]): readonly string[] {
  return entries.map(({ id }) => id);
}

function device(server: PlayedServer, keep: EntryKeep, stored: readonly StoredEntry[] = [], position?: number) {
  const retries: (() => void)[] = [];
  const later = (_: number, call: () => void) => {
    retries.push(call);
    return () => void retries.splice(retries.indexOf(call), 1);
  };
  const queue = new EntryQueue({ batch: BATCH, keep, send: server.send, later }, stored, position);
  return { queue, retry: () => retries.shift()?.() };
}

describe.each([
  ["in memory", memoryKeep],
  ["in the browser's database", browserKeep],
])("the queue of a device, kept %s", (_, makeKeep) => {
  let server: PlayedServer;
  let keep: EntryKeep;
  beforeEach(() => {
    globalThis.indexedDB = new IDBFactory();
    server = new PlayedServer();
    keep = makeKeep();
  });

  it("counts an entry at once and sends it", async () => {
    const { queue } = device(server, keep);
    const adding = queue.add([noted("a")]);
    expect(ids(queue.now().waiting)).toEqual(["a"]);
    await adding;
    await resolved();
    expect(queue.now()).toMatchObject({ waiting: [], link: "there" });
    expect(ids(server.held.map(({ entry }) => entry))).toEqual(["a"]);
  });

  it("keeps them while the server is away, also over a reload, and sends them in order when it is back", async () => {
    server.isAway = true;
    const first = device(server, keep);
    for (const id of ["a", "b", "c"]) await first.queue.add([noted(id)]);
    await resolved();
    expect(first.queue.now()).toMatchObject({ link: "away", stored: [] });
    first.queue.stop();

    const again = device(server, keep);
    await again.queue.start();
    await again.queue.add([noted("d")]);
    expect(ids(again.queue.now().waiting)).toEqual(["a", "b", "c", "d"]);
    await resolved();
    server.isAway = false;
    again.retry();
    await resolved();
    expect(ids(server.held.map(({ entry }) => entry))).toEqual(["a", "b", "c", "d"]);
    expect(again.queue.now()).toMatchObject({ waiting: [], link: "there" });
  });

  it("an answer that was lost on the way makes it send again; the server holds it once", async () => {
    server.answersLost = 1;
    const { queue, retry } = device(server, keep);
    await queue.add([noted("a")]);
    await resolved();
    expect(queue.now().link).toBe("away");
    retry();
    await resolved();
    expect(server.held).toHaveLength(1);
    expect(queue.now()).toMatchObject({ waiting: [], link: "there" });
  });

  it("an answer that was lost, on a page that was then loaded without the entry but with its position, does not keep it waiting", async () => {
    server.answersLost = 1;
    const before = device(server, keep);
    await before.queue.add([noted("a")]);
    await resolved();
    before.queue.stop();
    // The page leaves out what changes nothing, as an entry that takes another back.
    const { queue } = device(server, keep, [], server.held.at(-1)?.position);
    await queue.start();
    await resolved();
    expect(queue.now()).toMatchObject({ waiting: [], link: "there" });
    expect(server.held).toHaveLength(1);
  });

  it("what the server refuses is put aside with why, is still there after a reload, and can be let go", async () => {
    server.refuses.add("b");
    const { queue } = device(server, keep);
    await queue.add([noted("a"), noted("b"), noted("c")]);
    await resolved();
    expect(ids(server.held.map(({ entry }) => entry))).toEqual(["a", "c"]);
    expect(queue.now().refused).toEqual([{ entry: noted("b"), why: "It has been done already." }]);
    const again = device(server, keep, server.held);
    await again.queue.start();
    expect(again.queue.now()).toMatchObject({ waiting: [], refused: [{ why: "It has been done already." }] });
    await again.queue.letGo("b");
    expect(again.queue.now().refused).toEqual([]);
    expect(await keep.all(BATCH)).toEqual([]);
  });

  it("hears what another device entered, and what it sent itself only once", async () => {
    const { queue } = device(server, keep);
    await queue.add([noted("mine")]);
    await resolved();
    server.put(noted("theirs"));
    await queue.receive(server.held);
    await queue.receive(server.held);
    expect(queue.now().stored.map(({ entry }) => entry.id)).toEqual(["mine", "theirs"]);
  });

  it("a page from before, served without the server, knows what came after it", async () => {
    const { queue } = device(server, keep);
    await queue.add([noted("a")]);
    await resolved();
    const stale = device(server, keep, []);
    server.isAway = true;
    await stale.queue.start();
    expect(stale.queue.now().stored.map(({ entry }) => entry.id)).toEqual(["a"]);
  });

  it("whatever goes wrong in whatever order, each entry arrives once and in the order it was made", async () => {
    const trouble = fc.constantFrom("fine", "away", "lost", "reload", "bare reload");
    await fc.assert(
      fc.asyncProperty(fc.array(trouble, { minLength: 1, maxLength: 8 }), async (troubles) => {
        const here = new PlayedServer();
        const own = memoryKeep();
        let at = device(here, own);
        for (const [count, kind] of troubles.entries()) {
          here.isAway = kind === "away";
          if (kind === "lost") here.answersLost = 1;
          if (kind === "reload" || kind === "bare reload") {
            at.queue.stop();
            at = device(here, own, kind === "reload" ? [...here.held] : [], here.held.at(-1)?.position);
            await at.queue.start();
          }
          await at.queue.add([noted(`e${count}`)]);
          await resolved();
        }
        here.isAway = false;
        at.queue.linkIs("there");
        await resolved();
        expect(here.held.map(({ entry }) => entry.id)).toEqual(troubles.map((_kind, count) => `e${count}`));
        expect(at.queue.now().waiting).toEqual([]);
      }),
      { numRuns: 25 },
    );
  });
});
