import type { MaterialPart } from "../../library/material.ts";
import type { BufferReading } from "../../acidity/calibration.ts";
import type { ThicknessWord } from "../../rheology/viscosity/words.ts";
import type { FillCheck, FillDensity, PlannedContainer } from "./fillPlan.ts";
import type { ThicknessGauge } from "../../rheology/salt/plausibleCurves.ts";

/** How a weight, a pH or a flow time came into the record when nobody typed it. */
export const readOffs = ["scale", "simulated scale", "meter", "simulated meter", "cup", "simulated cup"] as const;

export type ReadOff = (typeof readOffs)[number];

/** How a pH is read: on 2 g in 18 g of water, in the wash itself, or by a strip. */
export const phWays = ["dilution", "neat", "strip"] as const;

export type PhWay = (typeof phWays)[number];

/** A solution as it was dosed: whose line it is, null for one that is not in the formula, and what it is made of. */
export interface DosedAgent {
  readonly name: string;
  readonly line: string | null;
  readonly kind: "acid" | "base";
  readonly molarMass: number;
  readonly pKas: readonly number[];
  readonly strengthPercent: number;
  /** What it is made of, where it is no line; of a line the formula says it. */
  readonly parts?: readonly MaterialPart[];
  /** The lot on the shelf it was taken from. */
  readonly lot?: DosedLot;
}

export interface DosedLot {
  readonly id: string;
  readonly code: string;
}

export const thicknessUnits = ["Pa·s", "s"] as const;

export type ThicknessUnit = (typeof thicknessUnits)[number];

/** Salt or brine as it was added: whose line it is, null for one that is not in the formula, and how much of it is salt. */
export interface DosedSalt {
  readonly name: string;
  readonly line: string | null;
  readonly strengthPercent: number;
}

/** How clear a wash looks. */
export const clarityLooks = ["clear", "slightly hazy", "hazy", "opaque"] as const;

export type ClarityLook = (typeof clarityLooks)[number];

/** Words for how it looks and feels, to tap. */
export const looksWords = [
  "smooth",
  "lumpy",
  "grainy",
  "stringy",
  "frothy",
  "pearly",
  "separated",
  "slippery",
  "sticky",
  "drying",
] as const;

export type LooksWord = (typeof looksWords)[number];

/** What can be entered while a batch is made. An entry is never changed; one made by mistake is taken back by another. */
export type BatchEntry = EntryHead &
  (
    | { readonly kind: "tared"; readonly vessel: string; readonly grams: number }
    | { readonly kind: "weighed"; readonly step: string; readonly line: string; readonly grams: number; readonly readOff?: ReadOff }
    /** What a step measures beside its lines: a beaker before or after heating, or what a part was drawn as. */
    | { readonly kind: "measured"; readonly step: string; readonly grams: number; readonly readOff?: ReadOff }
    /** Water put back after heating. */
    | { readonly kind: "topped-up"; readonly step: string; readonly grams: number; readonly readOff?: ReadOff }
    /** Containers of one kind that were filled. */
    | { readonly kind: "filled"; readonly step: string; readonly count: number; readonly container: string }
    /** Into what a batch is to be filled; a later plan takes the place of an earlier one. */
    | { readonly kind: "fill-planned"; readonly filling: readonly PlannedContainer[]; readonly density: FillDensity }
    /** What was seen to before filling. */
    | { readonly kind: "fill-checked"; readonly check: FillCheck }
    /** One container was filled and tried before all are: by the row of the plan. */
    | { readonly kind: "container-tried"; readonly row: string; readonly works: boolean; readonly text: string }
    /** One container with its net mass. */
    | {
        readonly kind: "container-filled";
        readonly row: string;
        readonly number: number;
        readonly grams: number;
        readonly readOff?: ReadOff;
      }
    /** What went neither into a container nor stayed in the beaker. */
    | { readonly kind: "fill-lost"; readonly grams: number; readonly text: string }
    /** A meter in two buffers. */
    | { readonly kind: "calibrated"; readonly buffers: readonly [BufferReading, BufferReading]; readonly readOff?: ReadOff }
    | {
        readonly kind: "ph-read";
        readonly step: string;
        readonly ph: number;
        readonly way: PhWay;
        /** What the reading took out of the batch. */
        readonly sampleGrams: number;
        /** Of the sample. */
        readonly temperatureC?: number;
        readonly readOff?: ReadOff;
      }
    /** Where the maker wants the pH, instead of where the formula has it. */
    | { readonly kind: "ph-target"; readonly step: string; readonly low: number; readonly high: number }
    | { readonly kind: "temperature-read"; readonly step: string; readonly temperatureC: number; readonly readOff?: ReadOff }
    /** How it looks and feels: at a moment, or before and after something that may thin or cloud it went in. */
    | {
        readonly kind: "looked";
        readonly step: string | null;
        readonly when: "now" | "before" | "after";
        /** How thick, as a word; empty where nobody said. */
        readonly thickness: ThicknessWord | "";
        readonly clarity: ClarityLook | "";
        readonly words: readonly LooksWord[];
        readonly text: string;
      }
    | { readonly kind: "dosed"; readonly step: string; readonly agent: DosedAgent; readonly grams: number; readonly readOff?: ReadOff }
    /** A part of the batch is taken aside, read and dosed by itself, and poured back, or not. */
    | { readonly kind: "sample-taken" | "sample-back"; readonly step: string; readonly grams: number; readonly readOff?: ReadOff }
    | {
        readonly kind: "sample-read";
        readonly step: string;
        readonly ph: number;
        readonly way: PhWay;
        readonly sampleGrams: number;
        readonly temperatureC?: number;
        readonly readOff?: ReadOff;
      }
    | {
        readonly kind: "sample-dosed";
        readonly step: string;
        readonly agent: DosedAgent;
        readonly grams: number;
        readonly readOff?: ReadOff;
      }
    | { readonly kind: "sample-lost"; readonly step: string; readonly reason: string }
    /** How thick the wash is: in Pa·s, or in the seconds of the maker's own funnel. */
    | {
        readonly kind: "thickness-read";
        readonly step: string;
        readonly viscosity: number;
        readonly unit: ThicknessUnit;
        readonly said: string;
        /** How it was measured; where it is not told, a number. */
        readonly gauge?: ThicknessGauge;
        readonly readOff?: ReadOff;
      }
    /** Drops of a solution weighed together, so that one of them is known. */
    | { readonly kind: "drops-weighed"; readonly agent: string; readonly drops: number; readonly grams: number; readonly readOff?: ReadOff }
    /** A late thickener folded in, by small steps. */
    | { readonly kind: "thickened"; readonly step: string; readonly line: string; readonly grams: number; readonly readOff?: ReadOff }
    | { readonly kind: "salted"; readonly step: string; readonly salt: DosedSalt; readonly grams: number; readonly readOff?: ReadOff }
    /** How a weight that was off is answered: it stands, or the lines still to come follow it. */
    | { readonly kind: "accepted" | "corrected"; readonly line: string }
    | { readonly kind: "done"; readonly step: string }
    | { readonly kind: "skipped"; readonly step: string; readonly reason: string }
    | { readonly kind: "noted"; readonly step: string | null; readonly text: string }
    | { readonly kind: "photographed"; readonly step: string | null; readonly photo: string }
    /** A clock of the maker's own, beside those the steps start. */
    | { readonly kind: "timer"; readonly text: string; readonly minutes: number }
    /** A wait that was ended before its time; it is named by the entry that began it. */
    | { readonly kind: "wait-ended"; readonly wait: string }
    | { readonly kind: "paused" | "resumed" }
    | { readonly kind: "taken-back"; readonly entry: string }
    | { readonly kind: "finished"; readonly yieldGrams: number }
    /** Ended before anything was weighed: nothing was made, and what was reserved is free again. */
    | { readonly kind: "discarded" }
  );

/** Every kind there is, for those who must list them. */
export const entryKinds = [
  "tared",
  "weighed",
  "measured",
  "topped-up",
  "filled",
  "fill-planned",
  "fill-checked",
  "container-tried",
  "container-filled",
  "fill-lost",
  "calibrated",
  "ph-read",
  "ph-target",
  "temperature-read",
  "looked",
  "dosed",
  "sample-taken",
  "sample-read",
  "sample-dosed",
  "sample-back",
  "sample-lost",
  "thickness-read",
  "salted",
  "drops-weighed",
  "thickened",
  "accepted",
  "corrected",
  "done",
  "skipped",
  "noted",
  "photographed",
  "timer",
  "wait-ended",
  "paused",
  "resumed",
  "taken-back",
  "finished",
  "discarded",
] as const satisfies readonly BatchEntry["kind"][];

interface EntryHead {
  /** Made where it was entered, so that one sent twice counts once. */
  readonly id: string;
  /** When, ISO. */
  readonly at: string;
  /** Why it stands although it was asked about: against the advice, out of the order, or unlikely. */
  readonly because?: string;
}
