import type { Step } from "../step.ts";

/**
 * What is in the beaker of each step once the step is through, g, by step: its lines come in, beakers that join are
 * poured in and empty afterwards, and a part that is drawn leaves the rest where it was. Steps away from the beakers have
 * none.
 * @param gramsOf what a line weighs
 * @param drawnOf what a step that draws a part draws
 */
export function vesselContents(
  steps: readonly Step[],
  gramsOf: (line: string) => number,
  drawnOf: (step: Step) => number,
): ReadonlyMap<string, number> {
  const held = new Map<string, number>();
  const vesselOf = new Map(steps.map(({ id, vessel }) => [id, vessel]));
  const contents = new Map<string, number>();
  for (const step of steps) {
    const { id, vessel, lines, after } = step;
    if (vessel === null) continue;
    let total = lines.reduce((sum, line) => sum + gramsOf(line), held.get(vessel) ?? 0);
    for (const before of after) {
      const from = vesselOf.get(before) ?? null;
      if (from === null || from === vessel) continue;
      const there = held.get(from) ?? 0;
      const moved = step.takesSpoonful === true ? 0 : step.measures === "part" ? drawnOf(step) : there;
      total += moved;
      held.set(from, Math.max(0, there - moved));
    }
    held.set(vessel, total);
    contents.set(id, total);
  }
  return contents;
}
