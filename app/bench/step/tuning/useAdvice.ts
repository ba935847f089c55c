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
  const asked = useRef({ id: 0, written: "" });
  const [answer, setAnswer] = useState<{ readonly to: string; readonly advice: AdvisorAnswer["advice"] } | null>(null);
  useEffect(() => {
    const made = new Worker(new URL("../../../../workers/advisor.worker.ts", import.meta.url), { type: "module" });
    made.onmessage = ({ data }: MessageEvent<AdvisorAnswer>) => {
      if (data.id === asked.current.id) setAnswer({ to: asked.current.written, advice: data.advice });
    };
    worker.current = made;
    return () => made.terminate();
  }, []);
  const written = JSON.stringify(question);
  useEffect(() => {
    const about = JSON.parse(written) as AdvisorQuestion | null;
    if (about === null) return;
    asked.current = { id: asked.current.id + 1, written };
    const task: AdvisorTask = { id: asked.current.id, question: about };
    worker.current?.postMessage(task);
  }, [written]);
  // An answer to what was asked before a new reading is no advice any more.
  return question !== null && answer?.to === written ? answer.advice : null;
}
