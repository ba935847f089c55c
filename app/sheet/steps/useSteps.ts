import { batchState, contentsOf, judgeProcess, linesOf, planBatch, processOf, suggestedSteps } from "@tensidrum/core/process";
import type { OwnProcess, ProcessChoices } from "@tensidrum/core/formula";
import { useCallback, useMemo, useState } from "react";
import { settle } from "./editSteps";
import type { OpenSteps } from "./steps.server";

/** The steps of a version as they are changed, judged at each change; every change can be taken back. */
export function useSteps(sheet: OpenSteps) {
  const library = useMemo(() => new Map(sheet.materials.map((material) => [material.slug, material])), [sheet.materials]);
  const suggestedFor = useCallback(
    (choices: ProcessChoices | undefined) =>
      suggestedSteps(choices === undefined ? sheet.formula : { ...sheet.formula, process: { steps: [], choices } }, library),
    [sheet.formula, library],
  );
  const plain = useMemo(() => processOf(suggestedFor(undefined)), [suggestedFor]);
  const begun = sheet.process ?? plain;
  const [history, setHistory] = useState<readonly OwnProcess[]>([begun]);
  const process = history.at(-1) ?? begun;
  const { choices } = process;
  const suggested = useMemo(() => suggestedFor(choices), [suggestedFor, choices]);
  const made = useMemo(() => {
    const plan = planBatch({ ...sheet.formula, process }, sheet.formula.batchGrams, library);
    const { lines } = linesOf(plan.formula, library);
    const vessels = suggested.vessels;
    const list = { steps: plan.steps, vessels };
    return { list, contents: contentsOf(plan, batchState(plan, [])), lines, findings: judgeProcess(list, suggested, { process, lines }) };
  }, [sheet.formula, process, library, suggested]);
  const change = (to: OwnProcess) => setHistory((before) => [...before, to]);
  return {
    ...made,
    /** The steps suggested anew with another choice. */
    choose: (changes: ProcessChoices) => {
      const next = { ...choices, ...changes };
      change(settle(process, next, processOf(suggestedFor(next)).steps));
    },
    suggested,
    process,
    /** The suggested steps, nothing changed and nothing settled. */
    plain,
    isSuggested: JSON.stringify(process) === JSON.stringify(plain),
    canUndo: history.length > 1,
    change,
    undo: () => setHistory((before) => (before.length > 1 ? before.slice(0, -1) : before)),
    library,
  };
}

export type StepsState = ReturnType<typeof useSteps>;
