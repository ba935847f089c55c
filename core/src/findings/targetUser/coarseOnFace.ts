import type { Rule } from "../finding.ts";
import { forFace } from "../forFace.ts";
import { idsOf, linesOf, type Content, slugsOf } from "../judged.ts";

/** Sharp grains from here on scratch the face, µm. */
const COARSE_MICROMETRE = 100;

/** COARSE_ON_FACE: sharp, coarse grains in a product for the face. Beads are round. */
export const coarseOnFace: Rule = {
  codes: ["COARSE_ON_FACE"],
  check(judged) {
    if (!forFace(judged)) return [];
    const coarse = linesOf(judged.contents.filter(isCoarse));
    if (coarse.length === 0) return [];
    return [
      {
        code: "COARSE_ON_FACE",
        severity: "fix",
        lines: idsOf(coarse),
        facts: { materials: slugsOf(coarse) },
      },
    ];
  },
  notJudged(judged) {
    if (!forFace(judged)) return [];
    const unknown = judged.contents.filter(({ material }) => material.role === "exfoliant" && material.dispersed === null);
    return unknown.length === 0 ? [] : [{ what: "COARSE_ON_FACE", lacks: "grain-size", lines: idsOf(linesOf(unknown)) }];
  },
};

function isCoarse({ material }: Content): boolean {
  if (material.role !== "exfoliant" || material.form === "granule") return false;
  return material.dispersed !== null && material.dispersed.medianDiameterMicrometre >= COARSE_MICROMETRE;
}
