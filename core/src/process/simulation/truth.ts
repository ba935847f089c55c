import dayjs from "dayjs";
import { chargeSign, equivalentsPerMole, millimolesIn } from "../../acidity/equivalents.ts";
import { sigmoid, waterAlkalinity } from "../../acidity/titration/alkalinity.ts";
import { assessSums } from "../../assessment/readings.ts";
import { viscosityAt } from "../../rheology/salt/saltCurve.ts";
import type { BatchPlan } from "../batch/batchPlan.ts";
import type { BatchEntry, DosedAgent } from "../batch/entries.ts";
import type { SimulatedBatch } from "./simulatedBatch.ts";

/** What is true of a batch after an entry. */
export interface Truth {
  readonly ph: number;
  /** Of a sample that is aside; null for none. */
  readonly samplePh: number | null;
  readonly pascalSeconds: number;
  /** Whole salt, hidden and added, % w/w. */
  readonly saltPercent: number;
  readonly leftGrams: number;
}

/** A dose is stirred in, and salt taken up, to all but a third after so long, s. */
const STIRRED_SECONDS = 35;
const TAKEN_UP_SECONDS = 140;
const BISECTIONS = 40;

interface Inside {
  /** Since the batch was first read or dosed, what other additions left of its sites, 0 to 1. */
  thinned: number;
  readonly doses: { agent: DosedAgent; mmolPerKg: number; at: number }[];
  readonly salts: { percent: number; at: number }[];
  hiddenSaltPercent: number;
  leftGrams: number;
  isScented: boolean;
  /** A part of it that was taken aside, with what became of it there. */
  aside: Inside | null;
}

/** Alkalinity the sites and the water hold at a pH, mmol/kg: Σ C ⁄ (1 + 10^(pK − pH)) + 1000 (10^(pH − 14) − 10^−pH). */
export function alkalinityAt({ sites }: Pick<SimulatedBatch, "sites">, ph: number): number {
  return sites.reduce((sum, { pKa, mmolPerKg }) => sum + mmolPerKg * sigmoid(ph - pKa), 0) + waterAlkalinity(ph);
}

/**
 * What is true of a hidden batch after each entry and now. Doses count per kilogram of what is left; samples take their
 * share; what else is weighed thins; a dose that went in just now is not stirred in yet, and salt not taken up.
 * @param now ISO; null for a batch that has come to rest
 */
export function truthAfter(hidden: SimulatedBatch, plan: BatchPlan, standing: readonly BatchEntry[], now: string | null): Truth {
  const inside = insideOf(plan, standing);
  const at = now === null ? Number.POSITIVE_INFINITY : dayjs(now).valueOf();
  const part = (since: number, seconds: number): number =>
    at === Number.POSITIVE_INFINITY ? 1 : 1 - Math.exp(-Math.max(0, at - since) / (seconds * 1000));
  const saltPercent = inside.hiddenSaltPercent + inside.salts.reduce((sum, one) => sum + one.percent * part(one.at, TAKEN_UP_SECONDS), 0);
  return {
    ph: phOf(hidden, inside, (since) => part(since, STIRRED_SECONDS)),
    samplePh: inside.aside === null ? null : phOf(hidden, inside.aside, (since) => part(since, STIRRED_SECONDS)),
    pascalSeconds: viscosityAt(hidden.saltCurve, saltPercent) * (inside.isScented ? hidden.afterScent : 1),
    saltPercent: inside.hiddenSaltPercent + inside.salts.reduce((sum, { percent }) => sum + percent, 0),
    leftGrams: inside.leftGrams,
  };
}

function insideOf(plan: BatchPlan, standing: readonly BatchEntry[]): Inside {
  const sums = assessSums(plan.formula, plan.materials);
  const tuned = new Set(plan.steps.flatMap(({ tunes, lines }) => (tunes === undefined ? [] : lines)));
  const scents = new Set(plan.formula.lines.flatMap((line) => (plan.materials.get(line.material)?.role === "fragrance" ? [line.id] : [])));
  const inside: Inside = {
    ...{ thinned: 1, doses: [], salts: [], leftGrams: 0, isScented: false, aside: null },
    hiddenSaltPercent: Math.max(0, sums.saltPercent - sums.addedSaltPercent),
  };
  let isTuned = false;
  // What the jars and the first reading tell is the wash as it was then, scent and all.
  let isThickening = false;
  for (const entry of standing) {
    const at = dayjs(entry.at).valueOf();
    if ((entry.kind === "weighed" && !tuned.has(entry.line)) || entry.kind === "thickened") {
      if (isTuned) thin(inside, entry.grams);
      inside.isScented ||= isThickening && scents.has(entry.line);
      inside.leftGrams += entry.grams;
    } else if (entry.kind === "dosed") {
      isTuned = true;
      dose(inside, entry, at);
    } else if (entry.kind === "salted") {
      isTuned = true;
      thin(inside, entry.grams);
      inside.leftGrams += entry.grams;
      inside.salts.push({ percent: (entry.grams * entry.salt.strengthPercent) / inside.leftGrams, at });
    } else if (entry.kind === "thickness-read") isThickening = true;
    else if (entry.kind === "ph-read") {
      isTuned = true;
      inside.leftGrams -= entry.sampleGrams;
    } else if (entry.kind === "sample-taken") {
      inside.leftGrams -= entry.grams;
      inside.aside = { ...inside, doses: inside.doses.map((one) => ({ ...one })), salts: [...inside.salts], leftGrams: entry.grams };
    } else if (inside.aside !== null) {
      if (entry.kind === "sample-dosed") dose(inside.aside, entry, at);
      else if (entry.kind === "sample-read") inside.aside.leftGrams -= entry.sampleGrams;
      else if (entry.kind === "sample-back") pourBack(inside, inside.aside, entry.grams);
      else if (entry.kind === "sample-lost") inside.aside = null;
    }
  }
  return inside;
}

function thin(inside: Inside, grams: number): void {
  const kept = inside.leftGrams / (inside.leftGrams + grams);
  inside.thinned *= kept;
  inside.hiddenSaltPercent *= kept;
  for (const one of inside.doses) one.mmolPerKg *= kept;
  for (const salt of inside.salts) salt.percent *= kept;
}

function dose(inside: Inside, { agent, grams }: { readonly agent: DosedAgent; readonly grams: number }, at: number): void {
  thin(inside, grams);
  inside.leftGrams += grams;
  inside.doses.push({ agent, mmolPerKg: millimolesIn(agent, grams) / (inside.leftGrams / 1000), at });
}

/** Both mix by their masses. */
function pourBack(inside: Inside, aside: Inside, grams: number): void {
  const own = inside.leftGrams / (inside.leftGrams + grams);
  inside.thinned = inside.thinned * own + aside.thinned * (1 - own);
  inside.hiddenSaltPercent = inside.hiddenSaltPercent * own + aside.hiddenSaltPercent * (1 - own);
  for (const one of inside.doses) one.mmolPerKg *= own;
  inside.doses.push(...aside.doses.map((one) => ({ ...one, mmolPerKg: one.mmolPerKg * (1 - own) })));
  for (const salt of inside.salts) salt.percent *= own;
  inside.salts.push(...aside.salts.map((salt) => ({ ...salt, percent: salt.percent * (1 - own) })));
  inside.leftGrams += grams;
  inside.aside = null;
}

/** Where the charges balance: what the sites hold now, less what was dosed, is what they held at the start. */
function phOf(hidden: SimulatedBatch, { thinned, doses }: Inside, stirred: (since: number) => number): number {
  const atStart = (alkalinityAt(hidden, hidden.startPh) - waterAlkalinity(hidden.startPh)) * thinned + waterAlkalinity(hidden.startPh);
  const imbalance = (ph: number): number => {
    const held = (alkalinityAt(hidden, ph) - waterAlkalinity(ph)) * thinned + waterAlkalinity(ph);
    const dosed = doses.reduce(
      (sum, { agent, mmolPerKg, at }) => sum + chargeSign(agent) * mmolPerKg * stirred(at) * equivalentsPerMole(agent, ph),
      0,
    );
    return held - dosed - atStart;
  };
  let [low, high] = [-1, 15];
  for (let k = 0; k < BISECTIONS; k += 1) {
    const middle = (low + high) / 2;
    if (imbalance(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
