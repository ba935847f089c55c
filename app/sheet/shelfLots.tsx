import type { ShelfLot } from "@tensidrum/core/inventory";
import { createContext, type ReactNode, useContext, useEffect, useState } from "react";

const Lots = createContext<readonly ShelfLot[] | null>(null);

/** What stands on the shelf; null where it cannot be read just now. */
export async function fetchShelfLots(signal?: AbortSignal): Promise<readonly ShelfLot[] | null> {
  // Without the shelf there are no prices and no lots to choose; the page says so.
  const response = await fetch("/shelf/lots.json", signal === undefined ? {} : { signal }).catch(() => null);
  return response?.ok === true ? ((await response.json()) as readonly ShelfLot[]) : null;
}

/** Fetches what stands on the shelf once the page is there: the Sheet works without it. */
export function ShelfLotsProvider({ children }: { readonly children: ReactNode }) {
  const [lots, setLots] = useState<readonly ShelfLot[] | null>(null);
  useEffect(() => {
    const gone = new AbortController();
    fetchShelfLots(gone.signal)
      .then((found) => {
        if (!gone.signal.aborted) setLots(found);
      })
      .catch(() => undefined);
    return () => gone.abort();
  }, []);
  return <Lots.Provider value={lots}>{children}</Lots.Provider>;
}

/** What stands on the shelf; null while it is not known. */
export function useShelfLots(): readonly ShelfLot[] | null {
  return useContext(Lots);
}
