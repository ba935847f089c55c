import type { EntryKeep, KeptEntry } from "./entryKeep";

const KEY = "tensidrum.bench-journal";
const PATIENCE_MILLISECONDS = 2_000;

/** What was kept is read before it is used. A device without the server may lack what reads it: then the server does. */
async function checked(kept: readonly KeptEntry[]): Promise<readonly KeptEntry[]> {
  if (kept.length === 0) return kept;
  const tooLate = new Promise<null>((resolve) => setTimeout(() => resolve(null), PATIENCE_MILLISECONDS));
  const reader = await Promise.race([import("./entries.stored").catch(() => null), tooLate]);
  return reader === null ? kept : reader.storedEntries(kept);
}

/**
 * Keeps entries as another keep does, and before that notes them where it takes no time: the browser's database answers
 * only after a moment, and a page that is closed in it would lose what it has shown as entered.
 */
export function journaled(keep: EntryKeep, storage: Pick<Storage, "getItem" | "setItem" | "removeItem">): EntryKeep {
  const noted = (): readonly KeptEntry[] => {
    try {
      return JSON.parse(storage.getItem(KEY) ?? "[]") as readonly KeptEntry[];
    } catch {
      return [];
    }
  };
  const write = (entries: readonly KeptEntry[]): void => {
    try {
      if (entries.length === 0) storage.removeItem(KEY);
      else storage.setItem(KEY, JSON.stringify(entries));
    } catch {
      // A full storage keeps no note; the database does what it did without.
    }
  };
  const strike = (ids: ReadonlySet<string>): void => {
    const all = noted();
    const left = all.filter(({ id }) => !ids.has(id));
    if (left.length < all.length) write(left);
  };
  return {
    async all(batch) {
      const kept = await checked(await keep.all(batch));
      const there = new Set(kept.map(({ id }) => id));
      const lost = await checked(noted().filter((entry) => entry.batch === batch && !there.has(entry.id)));
      if (lost.length > 0) await keep.put(lost);
      strike(new Set(lost.map(({ id }) => id)));
      return [...kept, ...lost];
    },
    async put(entries) {
      const waiting = entries.filter(({ position, why }) => position === null && why === null);
      if (waiting.length > 0) write([...noted(), ...waiting]);
      await keep.put(entries);
      strike(new Set(entries.map(({ id }) => id)));
    },
    remove(ids) {
      strike(new Set(ids));
      return keep.remove(ids);
    },
  };
}
