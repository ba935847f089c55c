import type { OwnProcess, OwnStep } from "@tensidrum/core/formula";

/** One step changed; the others stay. */
export function changeStep(process: OwnProcess, id: string, change: (step: OwnStep) => OwnStep): OwnProcess {
  return { steps: process.steps.map((step) => (step.id === id ? change(step) : step)) };
}

/** A step taken to where another stands. */
export function moveStep({ steps }: OwnProcess, id: string, overId: string): OwnProcess {
  const from = steps.findIndex((step) => step.id === id);
  const to = steps.findIndex((step) => step.id === overId);
  const step = steps[from];
  if (step === undefined || to < 0) return { steps };
  return { steps: steps.toSpliced(from, 1).toSpliced(to, 0, step) };
}

/** A step one place up or down; at the ends it stays. */
export function nudgeStep(process: OwnProcess, id: string, by: 1 | -1): OwnProcess {
  const at = process.steps.findIndex((step) => step.id === id);
  const over = process.steps[at + by];
  return over === undefined ? process : moveStep(process, id, over.id);
}

/** A new step behind another. */
export function addStep({ steps }: OwnProcess, behindId: string | null, step: OwnStep): OwnProcess {
  return { steps: steps.toSpliced(steps.findIndex(({ id }) => id === behindId) + 1, 0, step) };
}

/** A step that holds no line may go; one that does stays. */
export function deleteStep({ steps }: OwnProcess, id: string): OwnProcess {
  return { steps: steps.filter((step) => step.id !== id || step.lines.length > 0) };
}

/** The next step's lines and words come into this one. */
export function mergeWithNext({ steps }: OwnProcess, id: string, wordsOf: (step: OwnStep) => string): OwnProcess {
  const at = steps.findIndex((step) => step.id === id);
  const [step, next] = [steps[at], steps[at + 1]];
  if (step === undefined || next === undefined) return { steps };
  const merged: OwnStep = { ...step, lines: [...step.lines, ...next.lines], do: [wordsOf(step), wordsOf(next)].join(" ") };
  return { steps: steps.toSpliced(at, 2, merged) };
}

/** Some lines of a step into a step of their own behind it. */
export function splitStep({ steps }: OwnProcess, id: string, lines: readonly string[], newId: string): OwnProcess {
  const at = steps.findIndex((step) => step.id === id);
  const step = steps[at];
  const own = step?.lines.filter((line) => lines.includes(line)) ?? [];
  if (step === undefined || own.length === 0 || own.length === step.lines.length) return { steps };
  const { do: _do, ...rest } = step;
  const left: OwnStep = { ...rest, lines: step.lines.filter((line) => !own.includes(line)) };
  const vessel = step.vessel === undefined ? {} : { vessel: step.vessel };
  return { steps: steps.toSpliced(at, 1, left, { id: newId, title: "Then", lines: own, ...vessel }) };
}

/** A line into another step, and out of the one that held it. */
export function moveLine({ steps }: OwnProcess, line: string, toId: string): OwnProcess {
  return {
    steps: steps.map((step) => {
      const without = step.lines.filter((one) => one !== line);
      return step.id === toId
        ? { ...step, lines: [...without, line] }
        : without.length === step.lines.length
          ? step
          : { ...step, lines: without };
    }),
  };
}

/** Whether nothing of a suggested step was changed. */
export function isAsSuggested(step: OwnStep, suggested: { readonly lines: readonly string[] } | undefined): boolean {
  const { id: _id, lines, ...changes } = step;
  return (
    suggested !== undefined &&
    Object.keys(changes).length === 0 &&
    lines.length === suggested.lines.length &&
    lines.every((line) => suggested.lines.includes(line))
  );
}
