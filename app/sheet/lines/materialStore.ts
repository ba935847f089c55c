import { type FoundMaterial, materialFinder } from "@tensidrum/core/search";

export interface MaterialStore {
  readonly all: readonly FoundMaterial[];
  readonly find: (text: string) => readonly FoundMaterial[];
}

let loading: Promise<MaterialStore> | undefined;

/** Every material the maker can pick, fetched once when the search is first used. A failed fetch can be tried again. */
export function loadMaterialStore(): Promise<MaterialStore> {
  loading ??= fetchStore().catch((error: unknown) => {
    loading = undefined;
    throw error;
  });
  return loading;
}

async function fetchStore(): Promise<MaterialStore> {
  const response = await fetch("/materials.json", { headers: { Accept: "application/json" } });
  if (!response.ok) throw new Error(`The library could not be read (${response.status})`);
  const all = (await response.json()) as readonly FoundMaterial[];
  return { all, find: materialFinder(all) };
}
