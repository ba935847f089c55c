import type { Titration, TitrationAdvice } from "@tensidrum/core/acidity";
import { useEffect, useRef, useState } from "react";
import type { AdvisorAnswer, AdvisorTask } from "../../../../workers/advisor.worker";

/** The next dose, worked out beside the page. Null before the first reading and while it is being worked out. */
export function useAdvice(titration: Titration | null, earlier: readonly Titration[]): TitrationAdvice | null {
  const worker = useRef<Worker | null>(null);
  const asked = useRef(0);
  const [answer, setAnswer] = useState<AdvisorAnswer | null>(null);
  useEffect(() => {
    const made = new Worker(new URL("../../../../workers/advisor.worker.ts", import.meta.url), { type: "module" });
    made.onmessage = ({ data }: MessageEvent<AdvisorAnswer>) => setAnswer(data);
    worker.current = made;
    return () => made.terminate();
  }, []);
  // The same readings are asked about once, however often the page is drawn.
  const question = JSON.stringify({ titration, earlier });
  useEffect(() => {
    const about = JSON.parse(question) as { readonly titration: Titration | null; readonly earlier: readonly Titration[] };
    if (about.titration === null) return;
    asked.current += 1;
    const task: AdvisorTask = { id: asked.current, titration: about.titration, earlier: about.earlier };
    worker.current?.postMessage(task);
  }, [question]);
  return titration !== null && answer?.id === asked.current ? answer.advice : null;
}
