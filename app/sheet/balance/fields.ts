import type { TriangleField } from "../../pictures/Triangle/Triangle";
import type { TriangleAnswer } from "../../../workers/triangle.worker";

export type FieldName = "irritation" | "flash" | "staying";

export const fieldNames: readonly { readonly name: FieldName; readonly words: string }[] = [
  { name: "irritation", words: "irritation" },
  { name: "flash", words: "flash of foam" },
  { name: "staying", words: "staying of foam" },
];

const IRRITATION_LEVELS = [-Infinity, 30, 60, 90, 120, 160, 200, 320, Infinity];
const FOAM_LEVELS = [-Infinity, 3, 4, 5, 6, 7, 8, 9, Infinity];

/** What the triangle is coloured by. */
export function fieldOf(answer: TriangleAnswer, name: FieldName): TriangleField {
  if (name === "irritation") {
    return {
      steps: answer.steps,
      values: answer.irritationLoad,
      levels: IRRITATION_LEVELS,
      named: [
        { level: 60, words: "60: above it mild, below it very mild" },
        { level: 120, words: "120: above it moderate" },
        { level: 200, words: "200: above it strong" },
      ],
    };
  }
  return { steps: answer.steps, values: name === "flash" ? answer.foamFlash : answer.foamStability, levels: FOAM_LEVELS, named: [] };
}
