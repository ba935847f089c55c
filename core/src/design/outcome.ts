import { PAIR_SHARE, SULFATE_SHARE } from "../rheology/routes.ts";
import type { FrontierPoint } from "./frontier.ts";
import { secondFigure, type Design, type SearchState } from "./search.ts";
import { looseOil } from "./judgeBlend.ts";
import type { Problem } from "./problem.ts";
import type { BlendClarity, Counterweight } from "./wishes.ts";

/** One surfactant of a blend that was found. */
export interface DesignedLine {
  /** Slug. */
  readonly material: string;
  /** As supplied, % w/w of the product; to a hundredth, as it goes on the sheet. */
  readonly percent: number;
  /** Active matter it brings, % w/w. */
  readonly activePercent: number;
}

/** A blend of the frontier. */
export interface DesignedBlend {
  readonly lines: readonly DesignedLine[];
  readonly activePercent: number;
  readonly irritation: number;
  readonly flash: number;
  readonly density: number;
  readonly stability: number;
  /** Of 100 g of the product; null where the price of one of them is not known. */
  readonly cost: number | null;
  /** Salts the surfactants bring, % w/w. */
  readonly saltPercent: number;
  /** Active matter that comes in or goes beside the sheet as it is, % w/w. */
  readonly changePercent: number;
  /** Whether the blend answers to salt. */
  readonly answersToSalt: boolean;
  /** An estimate, by the rule of the sheet. */
  readonly clarity: BlendClarity;
}

/** Blends worth a name, as places in the frontier. */
export interface Corners {
  readonly mildest: number;
  readonly cheapest: number;
  readonly mostFoam: number;
  /** Where a little more of the one costs much of the other, on both sides. */
  readonly knee: number;
}

/** So many are shown: more lie closer together than a hand can point at. */
const MOST_SHOWN = 48;

/** The frontier as it is shown, by cost or foam, and its corners; null where nothing keeps every wish. */
export function shownFrontier({ frontier }: Pick<SearchState, "frontier">, against: Counterweight) {
  const points = thinned(frontier.points);
  if (points.length === 0) return null;
  const blends = points.map(({ blend }) => blendOf(blend));
  return { blends, designs: points.map(({ blend }) => blend), corners: cornersOf(blends, against) };
}

export type ShownFrontier = NonNullable<ReturnType<typeof shownFrontier>>;

/** Evenly along the curve, both ends kept. */
function thinned<Blend>(points: readonly FrontierPoint<Blend>[]): readonly FrontierPoint<Blend>[] {
  if (points.length <= MOST_SHOWN) return points;
  return Array.from({ length: MOST_SHOWN }, (_, k) => points[Math.round((k * (points.length - 1)) / (MOST_SHOWN - 1))]!);
}

export function blendOf(design: Design): DesignedBlend {
  const { problem, percents, activePercent, irritation, flash, density, stability, cost, saltPercent, changePercent } = design;
  const share = (group: string): number =>
    (100 * problem.members.reduce((sum, one, i) => (one.group === group ? sum + percents[i]! : sum), 0)) / activePercent;
  return {
    lines: problem.members
      .map(({ slug, activePercent: strength }, i) => ({
        ...{ material: slug, activePercent: percents[i]! },
        percent: Math.round((10_000 * percents[i]!) / strength) / 100,
      }))
      .sort((a, b) => b.activePercent - a.activePercent),
    ...{ activePercent, irritation, flash, density, stability, saltPercent, changePercent },
    cost: problem.members.some(({ price }) => price === null) ? null : cost,
    answersToSalt:
      share("sulfate") >= SULFATE_SHARE || (Math.max(share("sulfonate"), share("taurate")) >= PAIR_SHARE && share("betaine") >= PAIR_SHARE),
    clarity: clarityOf(problem, activePercent),
  };
}

/** How clear a blend is by the next day: opacifiers cloud it, and oil that its active matter does not carry. */
function clarityOf(problem: Problem, activePercent: number): BlendClarity {
  if (problem.restClarity === "cloudy" || problem.members.some(({ opacifies }) => opacifies)) return "cloudy";
  return problem.restClarity === "hazy" || looseOil(problem, activePercent) > 0 ? "hazy" : "clear";
}

/** The knee is the blend farthest from the straight line between the two ends, both axes brought to the same length. */
function cornersOf(blends: readonly DesignedBlend[], against: Counterweight): Corners {
  const best = (of: (blend: DesignedBlend) => number): number =>
    blends.reduce((found, blend, at) => (of(blend) < of(blends[found]!) ? at : found), 0);
  const costOf = ({ cost }: DesignedBlend): number => cost ?? Infinity;
  const second = (blend: DesignedBlend): number => secondFigure(against, { ...blend, cost: costOf(blend) });
  const [first, last] = [blends[0]!, blends.at(-1)!];
  const across = second(last) - second(first);
  const down = first.irritation - last.irritation;
  const depth = (blend: DesignedBlend): number =>
    across <= 0 || down <= 0 ? 0 : 1 - (second(blend) - second(first)) / across - (blend.irritation - last.irritation) / down;
  return {
    mildest: best(({ irritation }) => irritation),
    cheapest: best(costOf),
    mostFoam: best(({ flash }) => -flash),
    knee: best((blend) => -depth(blend)),
  };
}
