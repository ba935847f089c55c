import { type FoundMaterial, materialFinder } from "@tensidrum/core/search";

export interface MaterialStore {
  readonly all: readonly FoundMaterial[];
  readonly find: (text: string) => readonly FoundMaterial[];
}

interface Kept {
  /** What the server called this state of the library. */
  readonly tag: string | null;
  readonly store: MaterialStore;
}

let kept: Kept | undefined;
let asking: Promise<MaterialStore> | undefined;

/**
 * Every material the maker can pick, as it is now: the server is asked each time, and an unchanged library is not read
 * again. While it cannot be reached the last one stands; a first one that cannot be fetched can be tried again.
 */
export function loadMaterialStore(): Promise<MaterialStore> {
  asking ??= fetchStore().finally(() => {
    asking = undefined;
  });
  return asking;
}

async function fetchStore(): Promise<MaterialStore> {
  const response = await fetch("/materials.json", { headers: { Accept: "application/json" } }).catch((error: unknown) => {
    if (kept === undefined) throw error;
    return null;
  });
  if (response === null || !response.ok) {
    if (kept !== undefined) return kept.store;
    throw new Error(`The library could not be read (${response?.status})`);
  }
  const tag = response.headers.get("etag");
  if (kept !== undefined && tag !== null && kept.tag === tag) return kept.store;
  const all = (await response.json()) as readonly FoundMaterial[];
  kept = { tag, store: { all, find: materialFinder(all) } };
  return kept.store;
}
