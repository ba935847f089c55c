import type { Material } from "./material.ts";

/** Whether two materials say the same, in whatever order their facts stand. */
export function isSameMaterial(a: Material | undefined, b: Material | undefined): boolean {
  return a === b || (a !== undefined && b !== undefined && saysTheSame(a, b));
}

/** Whether two values say the same, in whatever order their keys stand. */
export function saysTheSame(a: unknown, b: unknown): boolean {
  return inOrder(a) === inOrder(b);
}

/** The value with all keys in one order. */
function inOrder(value: unknown): string {
  return JSON.stringify(value, (_, part: unknown) =>
    part === null || typeof part !== "object" || Array.isArray(part)
      ? part
      : Object.fromEntries(Object.entries(part).sort(([one], [other]) => (one < other ? -1 : 1))),
  );
}
