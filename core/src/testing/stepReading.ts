import { expect } from "vitest";
import type { Formula } from "../formula/types.ts";
import type { StepList, VesselId } from "../process/step.ts";
import { sheetOf } from "./exampleSheet.ts";

/** Phases as `letter: [°C, [material, percent or the rest]…]`; a line's id is its material. */
export type Written = Readonly<Record<string, readonly [number, ...(readonly [string, number | "q.s."])[]]>>;

/** A formula from its phases; a line's id is its material. */
export function formulaOf(profile: Formula["profile"], phases: Written, changes: Partial<Formula> = {}): Formula {
  return {
    ...sheetOf([]),
    profile,
    phases: Object.entries(phases).map(([id, [temperatureC]]) => ({ id, temperatureC })),
    lines: Object.entries(phases).flatMap(([phase, [, ...lines]]) =>
      lines.map(([material, percent]) => ({
        id: material,
        phase,
        material,
        ...(percent === "q.s." ? { qs: true as const } : { percent }),
      })),
    ),
    ...changes,
  };
}

/** A step list with what its tests ask of it, steps by their id or by a line they hold. */
export function reading({ steps, vessels }: StepList) {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const at = (name: string) => {
    const step = byId.get(name) ?? steps.find(({ lines }) => lines.includes(name));
    if (step === undefined) throw new Error(`No step ${name}; there are ${steps.map(({ id }) => id).join(", ")}`);
    return step;
  };
  /** Whether one step or line must be over before the other, by `after` alone. */
  const before = (first: string, second: string): boolean => {
    const wanted = at(first).id;
    const seen = new Set<string>();
    const reaches = (id: string): boolean => {
      if (id === wanted) return true;
      if (seen.has(id)) return false;
      seen.add(id);
      return byId.get(id)?.after.some(reaches) ?? false;
    };
    return at(first).id !== at(second).id && at(second).after.some(reaches);
  };
  const inOrder = (...names: readonly string[]): void => {
    for (let k = 1; k < names.length; k += 1) expect(before(names[k - 1]!, names[k]!), `${names[k - 1]} before ${names[k]}`).toBe(true);
  };
  const together = (...names: readonly string[]): void => {
    expect(new Set(names.map((name) => at(name).id)).size, `${names.join(", ")} in one step`).toBe(1);
  };
  const vesselOf = (name: string): VesselId | null => at(name).vessel;
  return { steps, vessels: vessels.map(({ id }) => id), at, before, inOrder, together, vesselOf, has: (id: string) => byId.has(id) };
}
