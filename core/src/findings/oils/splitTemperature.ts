import type { Rule } from "../finding.ts";

/** From here on a phase is a hot one, °C: below it is warmed or cooled down. */
const HOT_C = 50;
const MOST_APART_C = 5;

/** SPLIT_TEMPERATURE: hot phases more than 5 °C apart when they join. */
export const splitTemperature: Rule = {
  codes: ["SPLIT_TEMPERATURE"],
  check({ lines, temperatures }) {
    const used = new Set(lines.map(({ line }) => line.phase));
    const hot = [...temperatures].filter(([phase, celsius]) => used.has(phase) && celsius >= HOT_C).sort(([, a], [, b]) => a - b);
    const coolest = hot[0];
    const hottest = hot.at(-1);
    if (coolest === undefined || hottest === undefined) return [];
    const tooCool = hot.filter(([, celsius]) => hottest[1] - celsius > MOST_APART_C).map(([phase]) => phase);
    if (tooCool.length === 0) return [];
    return [
      {
        code: "SPLIT_TEMPERATURE",
        severity: "fix",
        lines: lines.filter(({ line }) => tooCool.includes(line.phase) || line.phase === hottest[0]).map(({ line }) => line.id),
        facts: { coolPhase: coolest[0], coolC: coolest[1], hotPhase: hottest[0], hotC: hottest[1] },
        change: { kind: "temperature", phases: tooCool, temperatureC: hottest[1] },
      },
    ];
  },
};
