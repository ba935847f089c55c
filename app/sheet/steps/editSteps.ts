import type { LinePortion, OwnProcess, OwnStep, ProcessChoices } from "@tensidrum/core/formula";

/** One step changed; the others stay. */
export function changeStep(process: OwnProcess, id: string, change: (step: OwnStep) => OwnStep): OwnProcess {
  return { ...process, steps: process.steps.map((step) => (step.id === id ? change(step) : step)) };
}

/** A step taken to where another stands. */
export function moveStep(process: OwnProcess, id: string, overId: string): OwnProcess {
  const { steps } = process;
  const from = steps.findIndex((step) => step.id === id);
  const to = steps.findIndex((step) => step.id === overId);
  const step = steps[from];
  if (step === undefined || to < 0) return process;
  return { ...process, steps: steps.toSpliced(from, 1).toSpliced(to, 0, step) };
}

/** A step one place up or down; at the ends it stays. */
export function nudgeStep(process: OwnProcess, id: string, by: 1 | -1): OwnProcess {
  const at = process.steps.findIndex((step) => step.id === id);
  const over = process.steps[at + by];
  return over === undefined ? process : moveStep(process, id, over.id);
}

/** A new step behind another. */
export function addStep(process: OwnProcess, behindId: string | null, step: OwnStep): OwnProcess {
  const { steps } = process;
  return { ...process, steps: steps.toSpliced(steps.findIndex(({ id }) => id === behindId) + 1, 0, step) };
}

/** A step that holds no line may go; one that does stays. */
export function deleteStep(process: OwnProcess, id: string): OwnProcess {
  return { ...process, steps: process.steps.filter((step) => step.id !== id || step.lines.length > 0) };
}

/** The next step's lines and words come into this one. */
export function mergeWithNext(process: OwnProcess, id: string, wordsOf: (step: OwnStep) => string): OwnProcess {
  const { steps } = process;
  const at = steps.findIndex((step) => step.id === id);
  const [step, next] = [steps[at], steps[at + 1]];
  if (step === undefined || next === undefined) return process;
  const merged: OwnStep = { ...step, lines: [...step.lines, ...next.lines], do: [wordsOf(step), wordsOf(next)].join(" ") };
  return { ...process, steps: steps.toSpliced(at, 2, merged) };
}

/** Some lines of a step into a step of their own behind it. */
export function splitStep(process: OwnProcess, id: string, lines: readonly string[], newId: string): OwnProcess {
  const { steps } = process;
  const at = steps.findIndex((step) => step.id === id);
  const step = steps[at];
  const own = step?.lines.filter((line) => lines.includes(line)) ?? [];
  if (step === undefined || own.length === 0 || own.length === step.lines.length) return process;
  const { do: _do, ...rest } = step;
  const left: OwnStep = { ...rest, lines: step.lines.filter((line) => !own.includes(line)) };
  const vessel = step.vessel === undefined ? {} : { vessel: step.vessel };
  return { ...process, steps: steps.toSpliced(at, 1, left, { id: newId, title: "Then", lines: own, ...vessel }) };
}

/** A line into another step, and out of the one that held it. */
export function moveLine(process: OwnProcess, line: string, toId: string): OwnProcess {
  return {
    ...process,
    steps: process.steps.map((step) => {
      const without = step.lines.filter((one) => one !== line);
      return step.id === toId
        ? { ...step, lines: [...without, line] }
        : without.length === step.lines.length
          ? step
          : { ...step, lines: without };
    }),
  };
}

/** Half of a line as a part that goes in by itself; in the step of the line until it is moved. */
export function takePortion(process: OwnProcess, line: string): OwnProcess {
  const portions = process.portions ?? [];
  if (portions.some(({ of }) => of === line)) return process;
  const portion: LinePortion = { id: `${line}-part`, of: line, percentOfLine: 50 };
  return {
    ...process,
    portions: [...portions, portion],
    steps: process.steps.map((step) => (step.lines.includes(line) ? { ...step, lines: [...step.lines, portion.id] } : step)),
  };
}

/** How much of its line a part is; none and all of it make the line whole again. */
export function setPortion(process: OwnProcess, id: string, percentOfLine: number): OwnProcess {
  const portions = process.portions ?? [];
  if (percentOfLine > 0 && percentOfLine < 100) {
    return { ...process, portions: portions.map((portion) => (portion.id === id ? { ...portion, percentOfLine } : portion)) };
  }
  const { portions: _before, ...rest } = process;
  const left = portions.filter((portion) => portion.id !== id);
  return {
    ...rest,
    ...(left.length === 0 ? {} : { portions: left }),
    steps: process.steps.map((step) => ({ ...step, lines: step.lines.filter((line) => line !== id) })),
  };
}

/**
 * Another choice: the steps are suggested anew with it, what was said of a step that is still there stays, and steps of one's
 * own keep their place behind the step they followed. Lines go where they are suggested now.
 */
export function settle(process: OwnProcess, choices: ProcessChoices, suggested: readonly OwnStep[]): OwnProcess {
  const before = new Map(process.steps.map((step) => [step.id, step]));
  const steps = suggested.map(({ id, lines }): OwnStep => ({ ...before.get(id), id, lines }));
  process.steps.forEach(({ lines: _lines, ...step }, at) => {
    if (!step.id.startsWith(OWN_ID) || steps.some(({ id }) => id === step.id)) return;
    const behind = process.steps.slice(0, at).findLast(({ id }) => steps.some((one) => one.id === id));
    steps.splice(behind === undefined ? 0 : steps.findIndex(({ id }) => id === behind.id) + 1, 0, { ...step, lines: [] });
  });
  const { choices: _before, portions: _portions, ...rest } = process;
  const settled = Object.fromEntries(Object.entries(choices).filter(([, value]) => value !== undefined && value !== false));
  return { ...rest, ...(Object.keys(settled).length === 0 ? {} : { choices: settled }), steps };
}

/** How the ids of steps begin that the maker added. */
export const OWN_ID = "own-";

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
