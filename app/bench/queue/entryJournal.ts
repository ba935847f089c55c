import type { BrokenEntry, EntryKeep, KeptEntry } from "./entryKeep";

const KEY = "tensidrum.bench-journal";
const PATIENCE_MILLISECONDS = 2_000;

interface Checked {
  readonly entries: readonly KeptEntry[];
  readonly broken: readonly unknown[];
}

/** What was kept is read before it is used. A device without the server may lack what reads it: then the server does. */
async function checked(kept: readonly KeptEntry[]): Promise<Checked> {
  if (kept.length === 0) return { entries: kept, broken: [] };
  const tooLate = new Promise<null>((resolve) => setTimeout(() => resolve(null), PATIENCE_MILLISECONDS));
  const reader = await Promise.race([import("./entries.stored").catch(() => null), tooLate]);
  return reader === null ? { entries: kept, broken: [] } : reader.storedEntries(kept);
}

function brokenEntry(kept: unknown): BrokenEntry {
  const { id } = kept as { readonly id?: unknown };
  return { id: typeof id === "string" ? id : "", text: JSON.stringify(kept) };
}

/**
 * Keeps entries as another keep does, and before that notes them where it takes no time: the browser's database answers
 * only after a moment, and a page that is closed in it would lose what it has shown as entered.
 */
export function journaled(keep: EntryKeep, storage: Pick<Storage, "getItem" | "setItem" | "removeItem">): EntryKeep {
  const noted = (): readonly KeptEntry[] => {
    try {
      const read: unknown = JSON.parse(storage.getItem(KEY) ?? "[]");
      return Array.isArray(read) ? read.filter((one: unknown): one is KeptEntry => typeof one === "object" && one !== null) : [];
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
      const { entries: kept } = await checked(await keep.all(batch));
      const there = new Set(kept.map(({ id }) => id));
      const { entries: lost } = await checked(noted().filter((entry) => entry.batch === batch && !there.has(entry.id)));
      if (lost.length > 0) await keep.put(lost);
      strike(new Set(lost.map(({ id }) => id)));
      return [...kept, ...lost];
    },
    async broken(batch) {
      const { broken } = await checked([...(await keep.all(batch)), ...noted().filter((entry) => entry.batch === batch)]);
      return [...new Map(broken.map((one) => [brokenEntry(one).id, brokenEntry(one)])).values()];
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
