import type { BatchEntry } from "@tensidrum/core/process";
import { useCallback, useEffect, useState } from "react";
import type { KeptRun } from "./keptRun";

interface Ended {
  readonly formulaId: string;
  readonly number: number;
  readonly id: string;
  readonly seed: string;
  readonly entries: readonly BatchEntry[];
}

/**
 * Keeps a run that is over, once; where nobody answers it lies in this browser until the page is opened again.
 * @returns how to try once more, or null while there is nothing to do.
 */
export function useKeptRuns(
  runs: readonly KeptRun[],
  onKept: (runs: readonly KeptRun[]) => void,
  { formulaId, number, id, seed, entries }: Ended,
): (() => void) | null {
  const [isRefused, setIsRefused] = useState(false);
  const isKept = runs.some((run) => run.id === id);
  const keep = useCallback(async () => {
    const body = JSON.stringify({ id, seed, entries });
    const answer = await fetch(`/bench/practice/${formulaId}/${number}/runs`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body,
    }).catch(() => null);
    if (answer?.ok === true) onKept((await answer.json()) as KeptRun[]);
    setIsRefused(answer?.ok !== true);
  }, [formulaId, number, id, seed, entries, onKept]);
  useEffect(() => {
    if (!isKept) void keep();
    // Once for each run: what it was judged by does not change any more.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [id]);
  return isRefused && !isKept ? () => void keep() : null;
}
