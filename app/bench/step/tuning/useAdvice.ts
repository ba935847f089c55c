import type { Titration, TitrationAdvice } from "@tensidrum/core/acidity";
import type { Thickening, ThickeningAdvice } from "@tensidrum/core/thickness";
import { useEffect, useRef, useState } from "react";
import type { AdvisorAnswer, AdvisorQuestion, AdvisorTask } from "../../../../workers/advisor.worker";

/** The next dose of acid or base. Null before the first reading and while it is being worked out. */
export function usePhAdvice(titration: Titration | null, earlier: readonly Titration[]): TitrationAdvice | null {
  return useAdvice(titration === null ? null : { on: "ph", titration, earlier }) as TitrationAdvice | null;
}

/** The next addition of salt. Null likewise. */
export function useThicknessAdvice(thickening: Thickening | null): ThickeningAdvice | null {
  return useAdvice(thickening === null ? null : { on: "thickness", thickening }) as ThickeningAdvice | null;
}

/** What the advisor says, worked out beside the page; the same question is asked once, however often the page is drawn. */
function useAdvice(question: AdvisorQuestion | null): AdvisorAnswer["advice"] | null {
  const worker = useRef<Worker | null>(null);
  const asked = useRef(0);
  const [answer, setAnswer] = useState<AdvisorAnswer | null>(null);
  useEffect(() => {
    const made = new Worker(new URL("../../../../workers/advisor.worker.ts", import.meta.url), { type: "module" });
    made.onmessage = ({ data }: MessageEvent<AdvisorAnswer>) => setAnswer(data);
    worker.current = made;
    return () => made.terminate();
  }, []);
  const written = JSON.stringify(question);
  useEffect(() => {
    const about = JSON.parse(written) as AdvisorQuestion | null;
    if (about === null) return;
    asked.current += 1;
    const task: AdvisorTask = { id: asked.current, question: about };
    worker.current?.postMessage(task);
  }, [written]);
  return question !== null && answer?.id === asked.current ? answer.advice : null;
}
