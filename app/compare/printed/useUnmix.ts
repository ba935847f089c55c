import type { PrintedList, Unmixing } from "@tensidrum/core/stability";
import { useEffect, useRef, useState } from "react";
import type { UnmixAnswer, UnmixTask } from "../../../workers/unmix.worker";

export interface ReadList {
  /** Null before the first ranges are there. */
  readonly state: Unmixing | null;
  /** It goes on; what is there is coarse. */
  readonly isBusy: boolean;
  /** Stops where it is; what is there stays. */
  cancel(): void;
}

/** Reads a printed list beside the page: first its ranges, then better and better middles. What is newer counts. */
export function useUnmix(list: PrintedList, { usual, watch, ph }: Pick<UnmixTask, "usual" | "watch" | "ph">): ReadList {
  const worker = useRef<Worker | null>(null);
  const number = useRef(0);
  const [state, setState] = useState<Unmixing | null>(null);
  const [isBusy, setBusy] = useState(false);
  const task = JSON.stringify({ list, usual, watch, ph });
  useEffect(() => () => worker.current?.terminate(), []);
  useEffect(() => {
    if (worker.current === null) {
      worker.current = new Worker(new URL("../../../workers/unmix.worker.ts", import.meta.url), { type: "module" });
      worker.current.onmessage = ({ data }: MessageEvent<UnmixAnswer>) => {
        if (data.number !== number.current) return;
        setState(data.state);
        setBusy(data.state.done < 1);
      };
    }
    number.current += 1;
    setBusy(true);
    worker.current.postMessage({ ...(JSON.parse(task) as Omit<UnmixTask, "number">), number: number.current });
  }, [task]);
  return {
    state,
    isBusy,
    cancel() {
      worker.current?.terminate();
      worker.current = null;
      setBusy(false);
    },
  };
}
