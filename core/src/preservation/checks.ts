import type { ResolvedSheet } from "../formula/types.ts";
import { leavesOf } from "../formula/leaves.ts";
import { written } from "../quantities/written.ts";
import { isChelator } from "./classes.ts";
import type { JudgedPh } from "./judgedPh.ts";
import { microbeNutrients } from "./microbeNutrients.ts";
import type { PreservativeReading } from "./preservatives.ts";

export type PreservationCheckName = "ph" | "water-activity" | "preservative" | "chelator" | "microbe-food" | "clean-process" | "pack";

/** "yours": nothing in the formula decides it. */
export type PreservationCheckState = "holds" | "weak" | "open" | "unknown" | "yours";

/** One of the things that keep germs down. Several weak ones together can do what none does alone (Leistner 2000). */
export interface PreservationCheck {
  readonly hurdle: PreservationCheckName;
  readonly state: PreservationCheckState;
  /** The number it is judged by; null where there is none. */
  readonly value: number | null;
  readonly says: string;
}

export interface CheckReadings {
  readonly ph: JudgedPh;
  /** 0 to 1; null without water. */
  readonly waterActivity: number | null;
  readonly preservatives: readonly PreservativeReading[];
}

/** Everything that keeps the finished product, each with its own state. An aid to thought; only a microbiology test decides. */
export function preservationChecks(sheet: ResolvedSheet, readings: CheckReadings): readonly PreservationCheck[] {
  return [
    phCheck(readings.ph),
    waterCheck(readings.waterActivity),
    preservativeCheck(readings.preservatives),
    chelatorCheck(sheet),
    nutrientCheck(sheet),
    {
      hurdle: "clean-process",
      state: "yours",
      value: null,
      says: "Clean, disinfected tools and containers, and hot water phases kept covered, decide how many germs begin.",
    },
    { hurdle: "pack", state: "yours", value: null, says: "A pump keeps fingers and shower water out; a jar lets both in." },
  ];
}

const ACID_HOLDS_BELOW = 5;
const ALKALINE_HOLDS_FROM = 9.5;

function phCheck({ ph, from }: JudgedPh): PreservationCheck {
  if (ph === null) return { hurdle: "ph", state: "unknown", value: null, says: "Nobody says which pH it will have." };
  const source = from === "measured" ? "measured" : from === "corridor" ? "high end of the corridor" : "high end of the profile";
  const at = `pH ${written(ph, 1)} (${source})`;
  if (ph <= ACID_HOLDS_BELOW) return { hurdle: "ph", state: "holds", value: ph, says: `${at}: acid enough to slow most bacteria.` };
  if (ph >= ALKALINE_HOLDS_FROM) return { hurdle: "ph", state: "holds", value: ph, says: `${at}: too alkaline for most germs.` };
  return { hurdle: "ph", state: "weak", value: ph, says: `${at}: comfortable for many germs.` };
}

function waterCheck(activity: number | null): PreservationCheck {
  const hurdle = "water-activity";
  if (activity === null) return { hurdle, state: "holds", value: null, says: "No water, no growth, as long as no wet finger gets in." };
  const value = activity;
  const at = `Water activity ${written(activity, 3)} (estimate)`;
  if (activity < 0.6) return { hurdle, state: "holds", value, says: `${at}: nothing grows.` };
  if (activity < 0.7) return { hurdle, state: "holds", value, says: `${at}: rare moulds only; one wet finger undoes it.` };
  if (activity < 0.85) return { hurdle, state: "weak", value, says: `${at}: mainly moulds, yeasts and salt-loving bacteria.` };
  return { hurdle, state: "open", value, says: `${at}: everything can grow; a full preservative is needed.` };
}

function preservativeCheck(preservatives: readonly PreservativeReading[]): PreservationCheck {
  const hurdle = "preservative";
  if (preservatives.length === 0) return { hurdle, state: "open", value: null, says: "There is no preservative in it." };
  const working = preservatives.reduce((sum, { workingPercent }) => sum + (workingPercent ?? 0), 0);
  const value = preservatives.some(({ workingPercent }) => workingPercent !== null) ? working : null;
  const low = preservatives.filter(({ percent, low: least }) => least !== null && percent < least);
  const words = value === null ? "" : ` ${written(value, 3)} % of acid preservative is at work at this pH.`;
  if (low.length > 0) {
    return { hurdle, state: "weak", value, says: `${low.map(({ material }) => material).join(" and ")} below the usual dose.${words}` };
  }
  if (preservatives.some(({ low: least }) => least === null)) {
    return { hurdle, state: "unknown", value, says: `The usual dose of one of them is unknown.${words}` };
  }
  return { hurdle, state: "holds", value, says: `Within the usual dose.${words}` };
}

function chelatorCheck({ lines, materials }: ResolvedSheet): PreservationCheck {
  let percent = 0;
  for (const line of lines) {
    for (const leaf of leavesOf(line.material, materials)) {
      if (isChelator(leaf.material)) percent += line.percent * leaf.fraction;
    }
  }
  const hurdle = "chelator";
  if (percent > 0)
    return { hurdle, state: "holds", value: percent, says: `${written(percent, 2)} % chelator holds the metals germs need.` };
  return { hurdle, state: "open", value: 0, says: "No chelator: metals from water and plants feed germs and dull the preservative." };
}

function nutrientCheck(sheet: ResolvedSheet): PreservationCheck {
  const food = microbeNutrients(sheet);
  const hurdle = "microbe-food";
  if (!food.counts) return { hurdle, state: "holds", value: food.percent, says: "Little in it that germs like to eat." };
  return {
    hurdle,
    state: "weak",
    value: food.percent,
    says: `${written(food.percent, 1)} % of it is food for germs: the preservative has more to do.`,
  };
}
