import type { BatchEntry } from "@tensidrum/core/process";
import { openDB, type DBSchema, type IDBPDatabase } from "idb";

/** An entry as a device keeps it. */
export interface KeptEntry {
  readonly id: string;
  readonly batch: string;
  readonly entry: BatchEntry;
  /** Where the server holds it; null while it waits or was refused. */
  readonly position: number | null;
  /** Why the server would not take it. */
  readonly why: string | null;
}

/** An entry a device kept and cannot read. */
export interface BrokenEntry {
  readonly id: string;
  readonly text: string;
}

/** Where a device keeps entries, so that a page that closes loses none. */
export interface EntryKeep {
  /** Those of a batch in the order they were kept first. */
  all(batch: string): Promise<readonly KeptEntry[]>;
  /** Those of a batch that cannot be read, as they were kept. */
  broken(batch: string): Promise<readonly BrokenEntry[]>;
  put(entries: readonly KeptEntry[]): Promise<void>;
  remove(ids: readonly string[]): Promise<void>;
}

interface Row extends KeptEntry {
  readonly order: number;
}

interface BenchStore extends DBSchema {
  entries: { key: string; value: Row; indexes: { batch: string } };
}

/** Keeps entries in the browser's own database. Where that is closed, as in some private windows, in memory alone. */
export function browserKeep(): EntryKeep {
  const opening = openDB<BenchStore>("tensidrum-bench", 1, {
    upgrade(database) {
      database.createObjectStore("entries", { keyPath: "id" }).createIndex("batch", "batch");
    },
  }).catch(() => null);
  const memory = memoryKeep();
  const using = async <T>(work: (database: IDBPDatabase<BenchStore>) => Promise<T>, otherwise: () => Promise<T>): Promise<T> => {
    const database = await opening;
    return database === null ? otherwise() : work(database);
  };
  return {
    all: (batch) =>
      using(
        async (database) => (await database.getAllFromIndex("entries", "batch", batch)).sort((a, b) => a.order - b.order),
        () => memory.all(batch),
      ),
    broken: () => Promise.resolve([]),
    put: (entries) =>
      using(
        async (database) => {
          const work = database.transaction("entries", "readwrite");
          const kept = new Map((await work.store.getAll()).map((row) => [row.id, row.order]));
          const last = Math.max(0, ...kept.values());
          await Promise.all([
            ...entries.map((entry, at) => work.store.put({ ...entry, order: kept.get(entry.id) ?? last + 1 + at })),
            work.done,
          ]);
        },
        () => memory.put(entries),
      ),
    remove: (ids) =>
      using(
        async (database) => {
          const work = database.transaction("entries", "readwrite");
          await Promise.all([...ids.map((id) => work.store.delete(id)), work.done]);
        },
        () => memory.remove(ids),
      ),
  };
}

export function memoryKeep(): EntryKeep {
  const rows = new Map<string, KeptEntry>();
  return {
    all: (batch) => Promise.resolve([...rows.values()].filter((row) => row.batch === batch)),
    broken: () => Promise.resolve([]),
    put: (entries) => {
      for (const entry of entries) rows.set(entry.id, entry);
      return Promise.resolve();
    },
    remove: (ids) => {
      for (const id of ids) rows.delete(id);
      return Promise.resolve();
    },
  };
}
