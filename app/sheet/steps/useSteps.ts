import { batchState, contentsOf, judgeProcess, linesOf, planBatch, processOf, suggestedSteps } from "@tensidrum/core/process";
import type { OwnProcess } from "@tensidrum/core/formula";
import { useMemo, useState } from "react";
import type { OpenSteps } from "./steps.server";

/** The steps of a version as they are changed, judged at each change; every change can be taken back. */
export function useSteps(sheet: OpenSteps) {
  const library = useMemo(() => new Map(sheet.materials.map((material) => [material.slug, material])), [sheet.materials]);
  const suggested = useMemo(() => suggestedSteps(sheet.formula, library), [sheet.formula, library]);
  const begun = useMemo(() => sheet.process ?? processOf(suggested), [sheet.process, suggested]);
  const [history, setHistory] = useState<readonly OwnProcess[]>([begun]);
  const process = history.at(-1) ?? begun;
  const made = useMemo(() => {
    const plan = planBatch({ ...sheet.formula, process }, sheet.formula.batchGrams, library);
    const { lines } = linesOf(sheet.formula, library);
    const vessels = suggested.vessels;
    const list = { steps: plan.steps, vessels };
    return { list, contents: contentsOf(plan, batchState(plan, [])), lines, findings: judgeProcess(list, suggested, { process, lines }) };
  }, [sheet.formula, process, library, suggested]);
  return {
    ...made,
    suggested,
    process,
    /** Nothing of the suggested steps was changed. */
    isSuggested: JSON.stringify(process) === JSON.stringify(processOf(suggested)),
    canUndo: history.length > 1,
    change: (to: OwnProcess) => setHistory((before) => [...before, to]),
    undo: () => setHistory((before) => (before.length > 1 ? before.slice(0, -1) : before)),
    library,
  };
}

export type StepsState = ReturnType<typeof useSteps>;
