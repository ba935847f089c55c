import { useCallback, useEffect, useRef, useState } from "react";
import type { Material } from "@tensidrum/core/library";
import type { DesignAnswer, DesignTask, WhyTask } from "../../../workers/design.worker";
import type { OpenDesigner } from "./designer.server";
import type { DesignerWishes } from "./wishesOf";

type State = Extract<DesignAnswer, { kind: "state" }>;
type Why = Extract<DesignAnswer, { kind: "why" }>;

/** How a question stands: what was found so far, and what follows once it is over. */
export interface Designing {
  readonly state: State | null;
  readonly robust: Extract<DesignAnswer, { kind: "robust" }>["robust"] | null;
  readonly mends: Extract<DesignAnswer, { kind: "mends" }>["mends"] | null;
  readonly refused: { readonly message: string; readonly remedy: string } | null;
  readonly why: Why | null;
  readonly isStopped: boolean;
  /** The wishes changed since; what is here answers the ones before. */
  readonly isStale: boolean;
}

const nothing: Designing = { state: null, robust: null, mends: null, refused: null, why: null, isStopped: false, isStale: false };

/** A question rests this long before it is asked, so that a slider can be drawn. */
const PAUSE_MILLISECONDS = 250;

/** Asks for blends beside the page, anew whenever the wishes change. */
export function useDesign(
  { formula, shelf }: Pick<OpenDesigner, "formula" | "shelf">,
  materials: readonly Material[],
  wishes: DesignerWishes,
) {
  const [designing, setDesigning] = useState<Designing>(nothing);
  const worker = useRef<Worker | null>(null);
  const number = useRef(0);
  const key = JSON.stringify(wishes);
  /** The wishes that were asked last. */
  const [answered, setAnswered] = useState("");

  const stop = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
    setDesigning((now) => ({ ...now, isStopped: true }));
  }, []);

  useEffect(() => {
    const { onlyShelf, coldOnly, mustNot, preservative, ...own } = JSON.parse(key) as DesignerWishes;
    const timer = setTimeout(() => {
      // A search that runs does not listen: it goes, and another begins.
      worker.current?.terminate();
      const asking = new Worker(new URL("../../../workers/design.worker.ts", import.meta.url), { type: "module" });
      worker.current = asking;
      number.current += 1;
      setAnswered(key);
      const asked = number.current;
      setDesigning((now) => ({ ...nothing, state: now.state, isStale: true }));
      asking.onmessage = ({ data }: MessageEvent<DesignAnswer>) => {
        if (data.number !== asked) return;
        setDesigning((now) => {
          switch (data.kind) {
            case "state":
              return { ...now, state: data, isStale: false };
            case "robust":
              return { ...now, robust: data.robust };
            case "mends":
              return { ...now, mends: data.mends };
            case "why":
              return { ...now, why: data };
            case "refused":
              return { ...now, state: null, isStale: false, refused: data };
          }
        });
      };
      const task: DesignTask = {
        ...{ kind: "search", number: asked, materials },
        ask: { formula, wishes: own, shelf, onlyShelf, mustNot, coldOnly, preservative },
      };
      asking.postMessage(task);
    }, PAUSE_MILLISECONDS);
    return () => clearTimeout(timer);
  }, [formula, shelf, materials, key]);

  useEffect(() => () => worker.current?.terminate(), []);

  const askWhy = useCallback((at: number) => {
    const task: WhyTask = { kind: "why", number: number.current, at };
    worker.current?.postMessage(task);
  }, []);
  return { designing: designing.isStale || answered === key ? designing : { ...designing, isStale: true, isStopped: false }, askWhy, stop };
}
