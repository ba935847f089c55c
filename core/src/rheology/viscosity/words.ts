export type ThicknessWord = "water" | "syrup" | "pump gel" | "thick gel" | "spoon-standing";

/** Upper ends, Pa s at slow stirring; rough, for a first aim. */
const ENDS: readonly (readonly [number, ThicknessWord])[] = [
  [0.1, "water"],
  [1, "syrup"],
  [6, "pump gel"],
  [25, "thick gel"],
];

/** What a thickness looks like. */
export function thicknessWord(pascalSeconds: number): ThicknessWord {
  return ENDS.find(([below]) => pascalSeconds < below)?.[1] ?? "spoon-standing";
}
