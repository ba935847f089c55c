import { saysTheSame } from "./isSameMaterial.ts";
import type { Material } from "./material.ts";

/** A fact two materials tell differently. */
export interface FactDifference {
  /** Key of the fact, as "saltPercent". */
  readonly fact: string;
  readonly before: unknown;
  readonly after: unknown;
}

/**
 * The facts in which two materials differ, slug and the list of estimates left out. A fact one of them does not carry
 * counts as unknown, null; null and an empty list are the same to say nothing.
 */
export function factDifferences(before: Material, after: Material): readonly FactDifference[] {
  const facts = new Set([...Object.keys(before), ...Object.keys(after)]);
  facts.delete("slug");
  facts.delete("uncertain");
  const told = (material: Material, fact: string): unknown => {
    const value: unknown = material[fact as keyof Material] ?? null;
    return (Array.isArray(value) && value.length === 0) || value === "" ? null : value;
  };
  return [...facts]
    .map((fact) => ({ fact, before: told(before, fact), after: told(after, fact) }))
    .filter((difference) => !saysTheSame(difference.before, difference.after));
}
