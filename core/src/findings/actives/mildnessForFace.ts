import { writtenShort } from "../../quantities/written.ts";
import { offering, scaledLines } from "../changes.ts";
import type { Rule } from "../finding.ts";
import { forFace } from "../forFace.ts";
import { activeLines } from "./oneSurfactant.ts";

/** Irritation load from which a product for the face is no longer mild. */
const LEAST_LOAD = 120;

/** MILDNESS_FOR_FACE: a product for the face whose irritation load is 120 or more. */
export const mildnessForFace: Rule = {
  codes: ["MILDNESS_FOR_FACE"],
  check(judged) {
    const { irritation, activeMatter, profile, lines } = judged;
    if (!forFace(judged) || irritation === null || irritation.load < LEAST_LOAD) return [];
    const active = new Set(activeLines(judged));
    const cleansers = lines.filter(({ line }) => active.has(line.id));
    const factor = Math.floor((LEAST_LOAD / irritation.load) * 100 - 1e-9) / 100;
    const reaches = activeMatter.percent * factor >= profile.activePercent.low;
    return [
      {
        code: "MILDNESS_FOR_FACE",
        severity: "fix",
        lines: [...active],
        what: `Irritation load is ${writtenShort(irritation.load, 0)} (estimate), ${irritation.band}; for the face it should stay below ${LEAST_LOAD}.`,
        why: "Facial skin is thin and is washed every day: what the body takes makes it tight.",
        cure: reaches
          ? `Lower the cleansers to ${writtenShort(factor * 100, 0)} %, or raise the share of amphoterics.`
          : "Raise the share of amphoterics, or take milder anionics.",
        ...offering(reaches && factor < 1 ? scaledLines(judged, cleansers, factor) : undefined),
      },
    ];
  },
  notJudged(judged) {
    if (!forFace(judged) || judged.irritation !== null || judged.activeMatter.percent === 0) return [];
    return [{ what: "MILDNESS_FOR_FACE", missing: "an irritation estimate of the blend", lines: activeLines(judged) }];
  },
};
