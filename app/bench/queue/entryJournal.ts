import type { EntryKeep, KeptEntry } from "./entryKeep";

const KEY = "tensidrum.bench-journal";

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
      const kept = await keep.all(batch);
      const there = new Set(kept.map(({ id }) => id));
      const lost = noted().filter((entry) => entry.batch === batch && !there.has(entry.id));
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
