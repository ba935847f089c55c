import { assessSums } from "../../assessment/readings.ts";
import { saltOf } from "../../formula/sums/hiddenSalt.ts";
import { shownMaterial } from "../../library/shownMaterial.ts";
import { ON_TARGET, type ThicknessGauge, type Thickening } from "../../rheology/salt/plausibleCurves.ts";
import type { ThicknessWish } from "../../formula/thicknessWish.ts";
import { middleOf, thicknessWord, type ThicknessWord } from "../../rheology/viscosity/words.ts";
import { gramsToSalt } from "../../rheology/salt/saltCurve.ts";
import type { SaltPoint } from "../../rheology/salt/fitSaltCurve.ts";
import type { BatchState } from "../batch/batchState.ts";
import type { BatchPlan } from "../batch/batchPlan.ts";
import { changeInBeaker } from "./leftInBeaker.ts";
import type { BatchEntry, DosedSalt, ThicknessUnit } from "../batch/entries.ts";

/** A reading with the salt that went in before it. */
export interface ThicknessRow {
  readonly id: string;
  readonly at: string;
  readonly viscosity: number;
  readonly said: string;
  readonly gauge: ThicknessGauge;
  /** Since the reading before, g. */
  readonly addedGrams: number;
  /** All of the chosen salt or brine so far, g. */
  readonly totalGrams: number;
  /** Whole salt in the batch, hidden and added, % w/w. */
  readonly saltPercent: number;
}

/** A batch on its way to its thickness. */
export interface ThicknessTuning {
  readonly rows: readonly ThicknessRow[];
  /** Jars of the same base in the unit the batch is read in. */
  readonly saltSamples: readonly SaltPoint[];
  /** For the advisor; null before the first reading. */
  readonly thickening: Thickening | null;
  /** In which unit the batch is read; null before the first reading. */
  readonly unit: ThicknessUnit | null;
  readonly hiddenSaltPercent: number;
  /** Whole salt in the batch now, what was added since the last reading with it, % w/w. */
  readonly saltPercentNow: number;
  /** All of the chosen salt or brine so far, g. */
  readonly addedGrams: number;
  /** Batch with all that was added, g. */
  readonly massGrams: number;
  /** Added since the last reading: it rests, then it is read. */
  readonly isAddedSince: boolean;
  /** What is wanted, in the unit the batch is read in; by words where its seconds say nothing of Pa·s. */
  readonly target: number;
  /** Read in seconds of a funnel that was never run with known liquids, and nobody said how many are wanted: its words decide. */
  readonly isByWord: boolean;
  /** The last reading is as near as it is called on target. */
  readonly isOnTarget: boolean;
  /** Scent or a late thickener went in between two readings: they do not stand on one salt curve. */
  readonly cameBetween: "scent" | "thickener" | null;
}

/** A trial of the same base with more or less salt, measured in one of the units. */
export interface SaltSample extends SaltPoint {
  readonly unit: ThicknessUnit;
}

/** Salts a batch can be thickened with: those of its formula that are added by reading, then a brine and dry salt. */
export function saltsOf({ formula, materials, steps }: BatchPlan): readonly DosedSalt[] {
  const tuned = new Set(steps.flatMap(({ tunes, lines }) => (tunes === "thickness" ? lines : [])));
  const own = formula.lines.flatMap(({ id, material }): readonly DosedSalt[] => {
    const known = tuned.has(id) ? materials.get(material) : undefined;
    if (known === undefined || saltOf(known) <= 0) return [];
    return [{ name: shownMaterial(known).name.toLowerCase(), line: id, strengthPercent: saltOf(known) }];
  });
  return [
    ...own,
    { name: "brine 20 %", line: own[0]?.line ?? null, strengthPercent: 20 },
    { name: "dry salt", line: own[0]?.line ?? null, strengthPercent: 100 },
  ];
}

/** What a formula is wished to be like; where nothing is wished, a pump gel. */
const WISHED: Readonly<Record<ThicknessWish, ThicknessWord>> = {
  any: "pump gel",
  "water-thin": "water",
  syrup: "syrup",
  "pump-gel": "pump gel",
  "thick-gel": "thick gel",
  "spoon-standing": "spoon-standing",
};

/** The thickness the formula is aimed at, Pa·s. */
export function aimedThickness({ formula }: Pick<BatchPlan, "formula">): number {
  return middleOf(WISHED[formula.aim?.thickness ?? "any"])!;
}

/**
 * The readings and additions of a batch as the advisor wants them. Additions of another strength count as the salt they
 * bring; readings and samples in another unit than the first reading are not on its curve and are left out. Seconds of an
 * uncalibrated funnel are judged by the word told with them, unless seconds are wanted.
 * @param wanted in the unit the batch is read in; null for what the formula is aimed at
 */
export function thicknessTuning(
  plan: BatchPlan,
  { standing }: Pick<BatchState, "standing">,
  {
    salt,
    wanted,
    saltSamples = [],
  }: { readonly salt: DosedSalt; readonly wanted: number | null; readonly saltSamples?: readonly SaltSample[] },
): ThicknessTuning {
  const sums = assessSums(plan.formula, plan.materials);
  const hiddenSaltPercent = Math.max(0, sums.saltPercent - sums.addedSaltPercent);
  const tuned = new Set(plan.steps.flatMap(({ tunes, lines }) => (tunes === undefined ? [] : lines)));
  const scents = new Set(
    plan.formula.lines.flatMap(({ id, material }) => (plan.materials.get(material)?.role === "fragrance" ? [id] : [])),
  );
  const rows: ThicknessRow[] = [];
  const saltPercentWith = (totalGrams: number): number =>
    (hiddenSaltPercent * batchGrams + totalGrams * salt.strengthPercent) / (batchGrams + totalGrams);
  let unit: ThicknessUnit | null = null;
  let inBeaker = 0;
  let batchGrams = 0;
  let saltGrams = 0;
  let readAt = 0;
  let cameBetween: ThicknessTuning["cameBetween"] = null;
  for (const entry of standing) {
    if (entry.kind === "weighed" && !tuned.has(entry.line)) {
      inBeaker += entry.grams;
      if (rows.length > 0 && scents.has(entry.line)) cameBetween = "scent";
    } else if (entry.kind === "thickened") {
      inBeaker += entry.grams;
      if (rows.length > 0) cameBetween = "thickener";
    } else if (entry.kind === "dosed" || entry.kind === "ph-read" || entry.kind === "sample-taken" || entry.kind === "sample-back") {
      inBeaker += changeInBeaker(entry);
    } else if (entry.kind === "salted") {
      saltGrams += (entry.grams * entry.salt.strengthPercent) / 100;
    } else if (entry.kind === "thickness-read") {
      unit ??= entry.unit;
      if (entry.unit !== unit) continue;
      if (rows.length === 0) batchGrams = Math.max(1e-6, inBeaker);
      const totalGrams = (100 * saltGrams) / salt.strengthPercent;
      const saltPercent = saltPercentWith(totalGrams);
      rows.push({
        id: entry.id,
        at: entry.at,
        viscosity: entry.viscosity,
        said: entry.said,
        gauge: gaugeOf(entry),
        addedGrams: totalGrams - readAt,
        totalGrams,
        saltPercent,
      });
      readAt = totalGrams;
    }
  }
  const isByWord = unit === "s" && wanted === null;
  const target = wanted ?? aimedThickness(plan);
  const judged = isByWord ? rows.flatMap(asWord) : rows;
  const last = judged.at(-1);
  const sameUnit = saltSamples.filter((sample) => sample.unit === (isByWord ? "Pa·s" : (unit ?? "Pa·s")));
  const additions = judged.map(({ totalGrams, viscosity, gauge }) => ({ gramsTotal: totalGrams, viscosity, gauge }));
  const addedGrams = (100 * saltGrams) / salt.strengthPercent;
  return {
    rows,
    saltSamples: sameUnit,
    thickening:
      last === undefined
        ? null
        : { batchGrams, hiddenSaltPercent, strengthPercent: salt.strengthPercent, target, jars: sameUnit, additions },
    unit,
    hiddenSaltPercent,
    saltPercentNow: batchGrams > 0 ? saltPercentWith(addedGrams) : hiddenSaltPercent,
    addedGrams,
    massGrams: batchGrams + (rows.at(-1)?.totalGrams ?? 0),
    isAddedSince: rows.length > 0 && addedGrams - readAt > 1e-9,
    target,
    isByWord,
    isOnTarget: last !== undefined && isOnTarget(last, target),
    cameBetween,
  };
}

/** A reading in seconds as the word told with it; none where none was told. */
function asWord(row: ThicknessRow): readonly ThicknessRow[] {
  const viscosity = middleOf(row.said);
  return viscosity === null ? [] : [{ ...row, viscosity, gauge: "word" }];
}

/** How a thickness was measured: as told, else by what the entry shows of it. */
function gaugeOf({ gauge, unit, said }: BatchEntry & { readonly kind: "thickness-read" }): ThicknessGauge {
  return gauge ?? (middleOf(said) !== null ? "word" : unit === "s" ? "funnel" : "number");
}

/** A word is the wanted one, a number lies within 15 % of what is wanted. */
function isOnTarget({ viscosity, gauge }: ThicknessRow, target: number): boolean {
  return gauge === "word" ? thicknessWord(viscosity) === thicknessWord(target) : Math.abs(viscosity / target - 1) <= ON_TARGET;
}

/** Less is no addition, % of the batch. */
const LEAST_PERCENT = 0.005;

/**
 * An addition that ends where the safe part of a drawn salt curve does: that one has the last word, whatever the advisor holds
 * possible. 0 where the batch stands there already; what stays below is left as it is.
 */
export function upToPeakGrams(
  grams: number,
  { massGrams, saltPercent }: { readonly massGrams: number; readonly saltPercent: number },
  { safeMaxPercent, strengthPercent }: { readonly safeMaxPercent: number; readonly strengthPercent: number },
): number {
  const most = gramsToSalt(massGrams, { from: saltPercent, to: safeMaxPercent, strengthPercent });
  if (grams <= most) return grams;
  return most < (massGrams * LEAST_PERCENT) / 100 ? 0 : most;
}
