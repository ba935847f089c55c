import { useEffect, useState } from "react";
import type { Remembered } from "./memory.server";

/** What earlier batches tell of a line's material; nothing while it was never used. */
export function RememberedPart({ material }: { readonly material: string }) {
  const [text, setText] = useState<string | null>(null);
  useEffect(() => {
    const gone = new AbortController();
    fetch(`/shelf/${material}/memory.json`, { signal: gone.signal })
      .then(async (response) => setText(response.ok ? ((await response.json()) as Remembered).text : null))
      // Without the server there is no memory, and the Sheet goes on.
      .catch(() => undefined);
    return () => gone.abort();
  }, [material]);
  return text === null ? null : <p>{text}</p>;
}
