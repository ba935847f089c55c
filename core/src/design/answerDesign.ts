import type { Formula } from "../formula/types.ts";
import { withOwnMaterials } from "../formula/resolveLines.ts";
import type { LinearSolver } from "../numerics/linearProgram.ts";
import type { MaterialsBySlug } from "../library/material.ts";
import { questionOf, type LeftOutReason, type OnShelf } from "./ask.ts";
import { mendsOf, searched } from "./mend.ts";
import { shownFrontier } from "./outcome.ts";
import { robustOf } from "./robust.ts";
import type { Counterweight, DesignWishes } from "./wishes.ts";

/** A question as it is written; what is left out is not wished. */
export interface WrittenQuestion {
  readonly formula: Formula;
  readonly against?: Counterweight;
  readonly wishes: Partial<DesignWishes> & Pick<DesignWishes, "activePercent">;
  readonly mustNot?: readonly string[];
  readonly coldOnly?: boolean;
  readonly onlyShelf?: boolean;
  /** Slug; its pH is shared in place of that of the preservatives on the sheet. */
  readonly preservative?: string | null;
  readonly shelf?: readonly {
    readonly material: string;
    readonly grams: number;
    /** Of the whole pack. */
    readonly price?: number | null;
    readonly packGrams?: number | null;
    readonly assayPercent?: number | null;
  }[];
  readonly mostBoxes?: number;
}

const USUAL_BOXES = 200_000;
const WORLDS = 100;
const SEED = 0.42;

const nothingWished: Omit<DesignWishes, "activePercent" | "against"> = {
  ...{ mostIrritation: null, leastFlash: null, leastStability: null, thickening: "any", mostCost: null, mostSaltPercent: null },
  mostAnionicPercent: 75,
  ...{ count: { low: 2, high: 4 }, mustHave: [] },
};

/**
 * The frontier of a question, and where nothing keeps every wish what would mend it. Numbers are unrounded but for the lines,
 * which are written to a hundredth of a percent as they would go on a sheet.
 * @throws Refusal where the sheet cannot be read or nothing on it makes up the rest.
 */
export function answerDesign(written: WrittenQuestion, library: MaterialsBySlug, solver: LinearSolver) {
  const { formula, against = "cost", shelf = [], mustNot = [], coldOnly = false, onlyShelf = false } = written;
  const { preservative = null, mostBoxes = USUAL_BOXES } = written;
  const wishes: DesignWishes = { ...nothingWished, ...written.wishes, against };
  const onShelf = new Map<string, OnShelf>(
    shelf.map(({ material, grams, price = null, packGrams = null, assayPercent = null }) => [
      material,
      { grams, assayPercent, price: price === null || packGrams === null ? null : price / packGrams },
    ]),
  );
  const all = withOwnMaterials(library, formula.materials ?? []);
  const question = questionOf({ formula, wishes, shelf: onShelf, onlyShelf, mustNot, coldOnly, preservative }, all);
  const state = searched(question, mostBoxes, solver);
  const shown = shownFrontier(state, against);
  const robust = shown === null ? [] : robustOf(shown.designs, against, WORLDS, SEED);
  const { sets, cuts, outdone, boxes, judged, isProved, isCutShort, gap } = state;
  return {
    isProved,
    isCutShort,
    gap: shown === null ? null : gap,
    candidates: question.candidates.map(({ slug }) => slug),
    leftOut: countsOf(question.leftOut.map(({ reason }) => reason)),
    unpriced: question.unpriced,
    choices: { all: sets + cuts.charge + cuts.ph, ...cuts, outdone },
    boxes,
    judged,
    frontier: (shown?.blends ?? []).map((blend, at) => ({ ...blend, stays: robust[at]!.stays, irritationRange: robust[at]!.irritation })),
    corners: shown?.corners ?? null,
    mends: shown === null ? mendsOf(question, solver) : [],
  };
}

function countsOf(reasons: readonly LeftOutReason[]): Readonly<Partial<Record<LeftOutReason, number>>> {
  const counts: Partial<Record<LeftOutReason, number>> = {};
  for (const reason of reasons) counts[reason] = (counts[reason] ?? 0) + 1;
  return counts;
}
