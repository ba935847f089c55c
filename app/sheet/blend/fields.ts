import { irritationBands } from "@tensidrum/core/surfactants";
import type { TriangleField } from "../../pictures/Triangle/Triangle";
import type { TriangleAnswer } from "../../../workers/triangle.worker";

export type FieldName = "irritation" | "flash" | "stability";

export const fieldNames: readonly { readonly name: FieldName; readonly words: string }[] = [
  { name: "irritation", words: "irritation" },
  { name: "flash", words: "initial foam" },
  { name: "stability", words: "foam stability" },
];

const IRRITATION_LEVELS = [-Infinity, 30, 60, 90, 120, 160, 200, 320, Infinity];
/** The last band reaches beyond what the triangle is coloured for. */
const IRRITATION_WORDS = irritationBands.map(({ below, band }, at) => ({
  from: irritationBands[at - 1]?.below ?? -Infinity,
  to: at + 1 < irritationBands.length ? below : Infinity,
  words: band,
}));
const IRRITATION_EDGES = IRRITATION_WORDS.slice(1).map(({ from, words }, at) => ({
  level: from,
  words: `${from}: above it ${words}, below it ${IRRITATION_WORDS[at]?.words}`,
}));
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
      named: IRRITATION_EDGES,
      edgeWords: IRRITATION_WORDS,
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
