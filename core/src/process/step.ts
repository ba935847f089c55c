import type { StepCode } from "./wording/stepWords.ts";

/** Part of the work a step belongs to, in the order of the work. */
export const stages = ["prepare", "weigh", "combine", "heat", "cool", "part", "ph", "thickness", "rest", "finish"] as const;

export type Stage = (typeof stages)[number];

export const vesselNames = {
  main: "main beaker",
  slurry: "slurry beaker",
  surfactants: "surfactant beaker",
  scent: "scent beaker",
  fats: "fat beaker",
  oils: "oil beaker",
  bowl: "mixing bowl",
  cup: "small cup",
} as const;

/** Vessel of a step; named parts have one each, `part-1`, `part-2`. */
export type VesselId = keyof typeof vesselNames | `part-${number}`;

export interface Vessel {
  readonly id: VesselId;
  readonly name: string;
}

/** One thing to do at the bench. */
export interface Step {
  readonly id: string;
  readonly stage: Stage;
  /** Phase of its lines; null for steps that weigh nothing. */
  readonly phase: string | null;
  /** What kind of step it is, and what its words tell; batches of earlier builds hold the words alone. */
  readonly code?: StepCode;
  readonly facts?: object;
  readonly title: string;
  readonly do: string;
  readonly why: string;
  /** Ids of the lines weighed in here. */
  readonly lines: readonly string[];
  /** How long to wait after it: not less than this, and not longer than the other; 0 is no wait. */
  readonly waitMinutes: number;
  readonly waitUntilMinutes: number;
  /** Ids of the steps that must be done before. */
  readonly after: readonly string[];
  /** Where it happens; null away from the beakers. */
  readonly vessel: VesselId | null;
  readonly caution: string | null;
  /** How to see that it went well; null where there is nothing to see. */
  readonly check: string | null;
  /** What the maker does it with. */
  readonly tool?: string;
  /** What is put on the scale beside its lines: beaker, stirrer and content before or after heating, or a part of the base. */
  readonly measures?: "before-heating" | "after-heating" | "part";
  /** Where its temperature belongs, °C; an end that is left out is open. */
  readonly temperature?: { readonly low?: number; readonly high?: number };
  /** It takes a spoonful of the batch into a small cup, which comes back with it: the batch stays where it is. */
  readonly takesSpoonful?: true;
  /** During its wait it is stirred every so many minutes. */
  readonly stirEveryMinutes?: number;
  /** What is read in it without being adjusted. */
  readonly reads?: "ph";
  /** What is brought where it belongs by reading and dosing; its lines are dosed, not weighed in at once. */
  readonly tunes?: "ph" | "thickness" | "polymer";
}

export interface StepList {
  readonly steps: readonly Step[];
  readonly vessels: readonly Vessel[];
}
