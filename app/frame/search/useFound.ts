import { useDebouncedValue } from "@mantine/hooks";
import { useEffect, useState } from "react";
import type { SearchResult } from "./search.server";

/** What is typed this fast is not asked for letter by letter. */
const PAUSE_MILLISECONDS = 140;
const LEAST_LETTERS = 2;

/** What the server finds for a text while it is typed; null while it is asked. Without the server nothing is found. */
export function useFound(text: string): readonly SearchResult[] | null {
  const [asked] = useDebouncedValue(text.trim(), PAUSE_MILLISECONDS);
  const [answer, setAnswer] = useState<{ readonly of: string; readonly results: readonly SearchResult[] }>({ of: "", results: [] });
  useEffect(() => {
    if (asked.length < LEAST_LETTERS) return undefined;
    const ending = new AbortController();
    fetch(`/search.json?q=${encodeURIComponent(asked)}`, { signal: ending.signal })
      .then(async (response) => (response.ok ? ((await response.json()) as { results: readonly SearchResult[] }).results : []))
      .catch(() => [])
      .then((results) => {
        if (!ending.signal.aborted) setAnswer({ of: asked, results });
      });
    return () => ending.abort();
  }, [asked]);
  if (text.trim().length < LEAST_LETTERS) return [];
  return answer.of === text.trim() ? answer.results : null;
}
