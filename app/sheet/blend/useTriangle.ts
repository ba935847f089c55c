import { cleansersOf } from "@tensidrum/core/surfactants";
import { resolveLines, type Formula } from "@tensidrum/core/formula";
import type { MaterialsBySlug } from "@tensidrum/core/library";
import { useEffect, useState } from "react";
import type { TriangleAnswer, TriangleTask } from "../../../workers/triangle.worker";

/** From coarse to fine, so that the field is there at once and then grows smooth. */
const STEPS = [14, 70];

/** The estimates over the whole triangle, worked out beside the page. Null until the first are there. */
export function useTriangle(formula: Formula, materials: MaterialsBySlug, looseOilPercent: number): TriangleAnswer | null {
  const [answer, setAnswer] = useState<TriangleAnswer | null>(null);
  useEffect(() => {
    const worker = new Worker(new URL("../../../workers/triangle.worker.ts", import.meta.url), { type: "module" });
    worker.onmessage = ({ data }: MessageEvent<TriangleAnswer>) => setAnswer(data);
    const task: TriangleTask = { cleansers: cleansersOf(resolveLines(formula, materials).sheet), looseOilPercent, steps: STEPS };
    worker.postMessage(task);
    return () => worker.terminate();
  }, [formula, materials, looseOilPercent]);
  return answer;
}
