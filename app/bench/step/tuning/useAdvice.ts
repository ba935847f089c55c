import type { AdviceOptions, Titration, TitrationAdvice } from "@tensidrum/core/acidity";
import type { Thickening, ThickeningAdvice } from "@tensidrum/core/rheology";
import { useEffect, useRef, useState } from "react";
import type { AdvisorAnswer, AdvisorQuestion, AdvisorTask } from "../../../../workers/advisor.worker";

interface PhAsked {
  readonly titration: Titration | null;
  /** The same with the reading that is about to be taken, so that its advice is ready when it is; null for none. */
  readonly ahead: Titration | null;
  readonly options: AdviceOptions;
}

/** The next dose of acid or base. Null before the first reading and while it is being worked out. */
export function usePhAdvice({ titration, ahead, options }: PhAsked): TitrationAdvice | null {
  const question = (one: Titration | null): AdvisorQuestion | null => (one === null ? null : { on: "ph", titration: one, ...options });
  return useAdvice(question(titration), question(ahead)) as TitrationAdvice | null;
}

/** The next addition of salt. Null likewise. */
export function useThicknessAdvice(thickening: Thickening | null): ThickeningAdvice | null {
  return useAdvice(thickening === null ? null : { on: "thickness", thickening }, null) as ThickeningAdvice | null;
}

/** Answers that are kept; more nobody comes back to. */
const MOST_KEPT = 12;

/**
 * What the advisor says, worked out beside the page; the same question is asked once, however often the page is drawn, and
 * one that is likely to come is asked ahead.
 */
function useAdvice(question: AdvisorQuestion | null, ahead: AdvisorQuestion | null): AdvisorAnswer["advice"] | null {
  const worker = useRef<Worker | null>(null);
  const asked = useRef<readonly string[]>([]);
  const [answers, setAnswers] = useState<ReadonlyMap<string, AdvisorAnswer["advice"]>>(new Map());
  useEffect(() => {
    const made = new Worker(new URL("../../../../workers/advisor.worker.ts", import.meta.url), { type: "module" });
    made.onmessage = ({ data }: MessageEvent<AdvisorAnswer>) => {
      const to = asked.current[data.id];
      if (to !== undefined) setAnswers((kept) => new Map([...kept, [to, data.advice] as const].slice(-MOST_KEPT)));
    };
    worker.current = made;
    return () => {
      asked.current = [];
      made.terminate();
    };
  }, []);
  const ask = (written: string): void => {
    const about = JSON.parse(written) as AdvisorQuestion | null;
    if (about === null || (asked.current.includes(written) && asked.current.length - asked.current.lastIndexOf(written) <= MOST_KEPT))
      return;
    asked.current = [...asked.current, written];
    const task: AdvisorTask = { id: asked.current.length - 1, question: about };
    worker.current?.postMessage(task);
  };
  const written = JSON.stringify(question);
  const writtenAhead = JSON.stringify(ahead);
  useEffect(() => ask(written), [written]);
  useEffect(() => ask(writtenAhead), [writtenAhead]);
  return question === null ? null : (answers.get(written) ?? null);
}
