import type { Cleanser } from "./cleansers.ts";
import { cleansersOf } from "./cleansers.ts";
import { foamOf, looseOilPercent, type Foam } from "./foam.ts";
import { irritationOf, zeinIndex, type Irritation } from "./irritation.ts";
import type { Lacking, MissingFact } from "../formula/lacking.ts";
import type { ResolvedSheet } from "../formula/types.ts";
import { blendInUse, micellesInUse, type MicellesInUse } from "./micelles/inUse.ts";

type LackingMildness = Lacking<"micelles" | "irritation" | "foam">;

/** What the blend of cleansers does to skin and in the hand. */
export interface Mildness {
  /** Null where they cannot be worked out. */
  readonly micelles: MicellesInUse | null;
  readonly irritation: Irritation | null;
  readonly foam: Foam | null;
  /** Emollients, scent and superfats that nothing carries, % w/w. */
  readonly looseOilPercent: number;
  readonly notJudged: readonly LackingMildness[];
}

/**
 * Mixed micelles, irritation and foam of a sheet in use.
 * @param activePercent Active matter of the sheet, % w/w.
 */
export function mildnessOf(sheet: ResolvedSheet, activePercent: number): Mildness {
  const cleansers = cleansersOf(sheet);
  const looseOil = looseOilPercent(sheet, activePercent);
  const solved = micellesInUse(cleansers);
  const micelles = solved.found ? solved.value : null;
  const zein = zeinIndex(cleansers);
  const hasAnionic = cleansers.some(({ charge }) => charge === "anionic");
  const irritation =
    zein === null || (hasAnionic && micelles === null) ? null : irritationOf(zein, micelles?.relief ?? null, activePercent);
  const foam = foamOf(cleansers, looseOil);
  const notJudged: LackingMildness[] = [];
  if (!solved.found)
    notJudged.push({ what: "micelles", lacks: lacksForMicelles(cleansers), lines: linesWithout(cleansers, "cmcMillimolar", "molarMass") });
  if (irritation === null) {
    const lacks = zein === null && cleansers.length > 0 ? "zein" : "micelles";
    notJudged.push({ what: "irritation", lacks: cleansers.length === 0 ? "surfactants" : lacks, lines: linesWithout(cleansers, "zein") });
  }
  if (foam === null) {
    const lacks = cleansers.length === 0 ? "surfactants" : "foam-figures";
    notJudged.push({ what: "foam", lacks, lines: linesWithout(cleansers, "foam") });
  }
  return { micelles, irritation, foam, looseOilPercent: looseOil, notJudged };
}

function lacksForMicelles(cleansers: readonly Cleanser[]): MissingFact {
  if (cleansers.length === 0) return "surfactants";
  return blendInUse(cleansers) === null ? "cmc" : "several-micelle-types";
}

function linesWithout(
  cleansers: readonly Cleanser[],
  ...facts: readonly ("cmcMillimolar" | "molarMass" | "zein" | "foam")[]
): readonly string[] {
  const silent = cleansers.filter((cleanser) => facts.some((fact) => cleanser[fact] === null));
  return [...new Set(silent.flatMap(({ lines }) => lines))];
}
