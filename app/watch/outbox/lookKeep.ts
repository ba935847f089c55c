import { openDB, type DBSchema, type IDBPDatabase } from "idb";

/** A look as a device keeps it until the server has it. */
export interface KeptLook {
  readonly id: string;
  readonly batch: string;
  /** The fields of its form, without the photo. */
  readonly fields: readonly (readonly [string, string])[];
  readonly photo: File | null;
  /** Why the server would not take it; null while it waits. */
  readonly why: string | null;
}

interface WatchStore extends DBSchema {
  looks: { key: string; value: KeptLook; indexes: { batch: string } };
}

/** Keeps looks in the browser's own database; where that is closed, in memory alone. */
export function lookKeep() {
  const opening = openDB<WatchStore>("tensidrum-watch", 1, {
    upgrade(database) {
      database.createObjectStore("looks", { keyPath: "id" }).createIndex("batch", "batch");
    },
  }).catch(() => null);
  const memory = new Map<string, KeptLook>();
  const using = async (work: (database: IDBPDatabase<WatchStore>) => Promise<unknown>, otherwise: () => unknown): Promise<unknown> => {
    const database = await opening;
    return database === null ? otherwise() : work(database);
  };
  return {
    async all(batch: string): Promise<readonly KeptLook[]> {
      const database = await opening;
      if (database !== null) return database.getAllFromIndex("looks", "batch", batch);
      return [...memory.values()].filter((look) => look.batch === batch);
    },
    put: (look: KeptLook): Promise<unknown> =>
      using(
        (database) => database.put("looks", look),
        () => void memory.set(look.id, look),
      ),
    remove: (id: string): Promise<unknown> =>
      using(
        (database) => database.delete("looks", id),
        () => void memory.delete(id),
      ),
  };
}

export type LookKeep = ReturnType<typeof lookKeep>;
