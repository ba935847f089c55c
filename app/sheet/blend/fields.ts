import type { TriangleField } from "../../pictures/Triangle/Triangle";
import type { TriangleAnswer } from "../../../workers/triangle.worker";

export type FieldName = "irritation" | "flash" | "stability";

export const fieldNames: readonly { readonly name: FieldName; readonly words: string }[] = [
  { name: "irritation", words: "irritation" },
  { name: "flash", words: "initial foam" },
  { name: "stability", words: "foam stability" },
];

const IRRITATION_LEVELS = [-Infinity, 30, 60, 90, 120, 160, 200, 320, Infinity];
const FOAM_LEVELS = [-Infinity, 3, 4, 5, 6, 7, 8, 9, Infinity];

const FOAM_WORDS = FOAM_LEVELS.slice(1, -1).map((level, at) => ({
  from: level,
  to: FOAM_LEVELS[at + 2] ?? Infinity,
  words: at + 2 === FOAM_LEVELS.length - 1 ? `${level} and more` : `${level} to ${FOAM_LEVELS[at + 2]}`,
}));

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
      edgeWords: [
        { from: -Infinity, to: 60, words: "very mild" },
        { from: 60, to: 120, words: "mild" },
        { from: 120, to: 200, words: "moderate" },
        { from: 200, to: Infinity, words: "strong" },
      ],
    };
  }
  return {
    steps: answer.steps,
    values: name === "flash" ? answer.foamFlash : answer.foamStability,
    levels: FOAM_LEVELS,
    named: [],
    edgeWords: FOAM_WORDS,
  };
}
