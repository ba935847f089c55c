import type { ShelfLot } from "@tensidrum/core/inventory";
import { createContext, type ReactNode, useContext, useEffect, useState } from "react";

const Lots = createContext<readonly ShelfLot[] | null>(null);

/** Fetches what stands on the shelf once the page is there: the Sheet works without it. */
export function ShelfLotsProvider({ children }: { readonly children: ReactNode }) {
  const [lots, setLots] = useState<readonly ShelfLot[] | null>(null);
  useEffect(() => {
    const gone = new AbortController();
    fetch("/shelf/lots.json", { signal: gone.signal })
      .then(async (response) => (response.ok ? ((await response.json()) as readonly ShelfLot[]) : null))
      .then(setLots)
      // Without the shelf there are no prices and no lots to choose; the page says so.
      .catch(() => undefined);
    return () => gone.abort();
  }, []);
  return <Lots.Provider value={lots}>{children}</Lots.Provider>;
}

/** What stands on the shelf; null while it is not known. */
export function useShelfLots(): readonly ShelfLot[] | null {
  return useContext(Lots);
}
