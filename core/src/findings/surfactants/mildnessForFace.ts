import type { Rule } from "../finding.ts";
import { forFace } from "../forFace.ts";
import { activeLines } from "./oneSurfactant.ts";

/** Irritation load from which a product for the face is no longer mild. */
const LEAST_LOAD = 120;

/** MILDNESS_FOR_FACE: a product for the face whose irritation load is 120 or more. */
export const mildnessForFace: Rule = {
  codes: ["MILDNESS_FOR_FACE"],
  check(judged) {
    const { irritation, activeMatter, profile } = judged;
    if (!forFace(judged) || irritation === null || irritation.load < LEAST_LOAD) return [];
    const factor = Math.floor((LEAST_LOAD / irritation.load) * 100 - 1e-9) / 100;
    const reaches = activeMatter.percent * factor >= profile.activePercent.low;
    return [
      {
        code: "MILDNESS_FOR_FACE",
        severity: "fix",
        lines: activeLines(judged),
        facts: { load: irritation.load, band: irritation.band, mostLoad: LEAST_LOAD, factor: reaches ? factor : null },
      },
    ];
  },
  notJudged(judged) {
    if (!forFace(judged) || judged.irritation !== null || judged.activeMatter.percent === 0) return [];
    return [{ what: "MILDNESS_FOR_FACE", lacks: "irritation", lines: activeLines(judged) }];
  },
};
