import { playedUntilTuned, type BatchEntry } from "@tensidrum/core/process";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { SentBatch } from "../batch/sentBatch";
import { useBatchHere, type BatchHere } from "../queue/useBatchHere";
import { freshPractice, keepPractice, type KeptPractice } from "./keptPractice";

export interface PracticeHere {
  readonly here: BatchHere;
  readonly isOver: boolean;
  /** Plays every step up to the next one that is tuned. */
  playOn(): void;
  /** Lets its clock run on. */
  letPass(milliseconds: number): void;
  /** Enough: shows what was hidden. */
  end(): void;
  /** Begins anew, with the same hidden batch or another one. */
  again(isSame: boolean): void;
}

const noQueue = { stored: [], waiting: [], refused: [], broken: [], link: "there" } as const;

/** A batch that is only played: entered in this browser alone, on a clock that can be let run. */
export function usePractice(sent: SentBatch, kept: KeptPractice, onAgain: (fresh: KeptPractice) => void): PracticeHere {
  const [state, setState] = useState(kept);
  const latest = useRef(state);
  const change = useCallback(
    (changes: Partial<KeptPractice>) => {
      latest.current = { ...latest.current, ...changes };
      keepPractice(sent.id, latest.current);
      setState(latest.current);
    },
    [sent.id],
  );
  const clock = useCallback(() => new Date(Date.now() + latest.current.aheadMilliseconds).toISOString(), []);
  const held = useCallback(() => latest.current.entries, []);
  const add = useCallback((made: readonly BatchEntry[]) => change({ entries: [...latest.current.entries, ...made] }), [change]);
  const letGo = useCallback(() => undefined, []);
  const here = useBatchHere(sent, { entries: state.entries, queue: noQueue, clock, held, add, letGo });
  const { plan } = here;
  useEffect(() => keepPractice(sent.id, latest.current), [sent.id]);
  return useMemo(
    () => ({
      here,
      isOver: state.isOver,
      playOn: () => add(playedUntilTuned(plan, latest.current.entries, { at: clock(), newId: () => crypto.randomUUID() })),
      letPass: (milliseconds) => change({ aheadMilliseconds: latest.current.aheadMilliseconds + milliseconds }),
      end: () => change({ isOver: true }),
      again(isSame) {
        const fresh = freshPractice(isSame ? latest.current.seed : undefined);
        keepPractice(sent.id, fresh);
        onAgain(fresh);
      },
    }),
    [here, state.isOver, plan, add, change, clock, onAgain, sent.id],
  );
}
