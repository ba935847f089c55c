import { levenbergMarquardt } from "ml-levenberg-marquardt";
import { solveLinear } from "../../numerics/solveLinear.ts";
import { studentT95 } from "../../numerics/studentT.ts";
import { log10Viscosity, type SaltCurve } from "./saltCurve.ts";

export interface SaltPoint {
  /** Whole salt, hidden and added, % w/w. */
  readonly saltPercent: number;
  /** In the maker's own unit. */
  readonly viscosity: number;
}

export interface SaltFit {
  readonly saltCurve: SaltCurve;
  /** Root mean square of the residuals of log₁₀ η, over all points. */
  readonly rmsLog10: number;
  /** 95 % for the peak, % salt; null where as many points as unknowns leave nothing to judge by. */
  readonly peakRange: { readonly low: number; readonly high: number } | null;
  /** 95 % for the thickness at a salt, null likewise. */
  band(saltPercent: number): { readonly low: number; readonly high: number } | null;
}

export type SaltFitting = { readonly found: true; readonly value: SaltFit } | { readonly found: false; readonly reason: string };

/** Fewer points do not tell four unknowns. */
export const FEWEST_POINTS = 5;
const UNKNOWNS = 4;

/**
 * Fits the salt curve through jars by Levenberg–Marquardt on log₁₀ η (Marquardt 1963), from the best of a grid of peaks and
 * widths for which baseline and height follow by straight least squares. Does not converge, and says so, when the points
 * are too few, do not bracket a peak, or no salt curve stands out.
 */
export function fitSaltCurve(points: readonly SaltPoint[]): SaltFitting {
  if (points.length < FEWEST_POINTS) return { found: false, reason: `fewer than ${FEWEST_POINTS} points` };
  const salts = points.map(({ saltPercent }) => saltPercent);
  const logs = points.map(({ viscosity }) => Math.log10(viscosity));
  const lowest = Math.min(...salts);
  const highest = Math.max(...salts);
  if (new Set(salts).size < UNKNOWNS) return { found: false, reason: "too few different salts" };
  const start = bestOfGrid(salts, logs, { lowest, highest });
  if (start === null) return { found: false, reason: "no peak in these points" };
  const span = highest - lowest;
  const { parameterValues } = levenbergMarquardt({ x: salts, y: logs }, (values) => (salt) => log10Viscosity(curveOf(values), salt), {
    initialValues: [start.peakSaltPercent, start.width, start.baseline, start.height],
    minValues: [lowest - span, span / 100, -20, 0],
    maxValues: [highest + span, 5 * span, 20, 20],
    damping: 1e-2,
    gradientDifference: 1e-6,
    centralDifference: true,
    maxIterations: 80,
    errorTolerance: 1e-16,
  });
  const saltCurve = curveOf(parameterValues);
  const residuals = salts.map((salt, k) => logs[k]! - log10Viscosity(saltCurve, salt));
  if (!hasSteadied(saltCurve, salts, residuals)) return { found: false, reason: "the fit does not settle" };
  const tallest = saltCurve.baseline + saltCurve.height - Math.max(...logs);
  if (saltCurve.height < LEAST_HEIGHT || tallest > MOST_ABOVE_POINTS) return { found: false, reason: "no peak in these points" };
  if (!(saltCurve.peakSaltPercent > lowest && saltCurve.peakSaltPercent < highest))
    return { found: false, reason: "the points do not bracket a peak" };
  return { found: true, value: judged(saltCurve, salts, residuals) };
}

/** A salt curve lower than this is the scatter of the jars, decades. */
const LEAST_HEIGHT = 0.05;
/** A peak so far above every jar, decades, is drawn out of nothing. */
const MOST_ABOVE_POINTS = 1;

function curveOf(values: readonly number[]): SaltCurve {
  return { peakSaltPercent: values[0]!, width: values[1]!, baseline: values[2]!, height: values[3]! };
}

const GRID_PEAKS = 24;
const GRID_WIDTHS = 12;

/** For a given peak and width the salt curve is a straight line in baseline and height. */
function bestOfGrid(
  salts: readonly number[],
  logs: readonly number[],
  { lowest, highest }: { lowest: number; highest: number },
): SaltCurve | null {
  const span = highest - lowest;
  let best: { saltCurve: SaltCurve; squares: number } | null = null;
  for (let p = 0; p <= GRID_PEAKS; p += 1) {
    for (let q = 0; q <= GRID_WIDTHS; q += 1) {
      const peakSaltPercent = lowest + (span * p) / GRID_PEAKS;
      const width = span * 0.05 * 20 ** (q / GRID_WIDTHS);
      const shape = salts.map((salt) => Math.exp(-((salt - peakSaltPercent) ** 2) / (2 * width * width)));
      const line = straightLine(shape, logs);
      if (line === null || line.slope <= 0) continue;
      const squares = shape.reduce((sum, x, k) => sum + (logs[k]! - line.start - line.slope * x) ** 2, 0);
      if (best === null || squares < best.squares) {
        best = { saltCurve: { peakSaltPercent, width, baseline: line.start, height: line.slope }, squares };
      }
    }
  }
  return best?.saltCurve ?? null;
}

function straightLine(xs: readonly number[], ys: readonly number[]): { readonly start: number; readonly slope: number } | null {
  const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
  const squares = xs.map((x) => x * x);
  const products = xs.map((x, k) => x * ys[k]!);
  const solved = solveLinear(
    [
      [xs.length, sum(xs)],
      [sum(xs), sum(squares)],
    ],
    [sum(ys), sum(products)],
  );
  return solved === null || !solved.every(Number.isFinite) ? null : { start: solved[0]!, slope: solved[1]! };
}

/** How log₁₀ η changes with peak, width, baseline and height. */
function gradient({ peakSaltPercent, width, height }: SaltCurve, salt: number): readonly number[] {
  const away = salt - peakSaltPercent;
  const shape = Math.exp(-(away * away) / (2 * width * width));
  return [(height * shape * away) / width ** 2, (height * shape * away * away) / width ** 3, 1, shape];
}

/** At a least-squares solution the residuals stand at right angles to every gradient. */
function hasSteadied(saltCurve: SaltCurve, salts: readonly number[], residuals: readonly number[]): boolean {
  const size = Math.hypot(...residuals);
  if (size < 1e-6) return true;
  const gradients = salts.map((salt) => gradient(saltCurve, salt));
  return [0, 1, 2, 3].every((k) => {
    const column = gradients.map((row) => row[k]!);
    const along = column.reduce((sum, value, i) => sum + value * residuals[i]!, 0);
    return Math.abs(along) <= RIGHT_ANGLE * size * Math.hypot(...column);
  });
}

const RIGHT_ANGLE = 1e-3;

function judged(saltCurve: SaltCurve, salts: readonly number[], residuals: readonly number[]): SaltFit {
  const sumOfSquares = residuals.reduce((sum, value) => sum + value * value, 0);
  const freedom = salts.length - UNKNOWNS;
  const covariance = freedom > 0 ? covarianceOf(saltCurve, salts, sumOfSquares / freedom) : null;
  const t = freedom > 0 ? studentT95(freedom) : 0;
  const spread = (row: readonly number[]): number | null => {
    if (covariance === null) return null;
    return (
      t *
      Math.sqrt(
        Math.max(
          0,
          row.reduce((sum, a, i) => sum + a * row.reduce((inner, b, j) => inner + covariance[i]![j]! * b, 0), 0),
        ),
      )
    );
  };
  const peakSpread = spread([1, 0, 0, 0]);
  const around = (value: number, by: number | null) => (by === null ? null : { low: value - by, high: value + by });
  return {
    saltCurve,
    rmsLog10: Math.sqrt(sumOfSquares / salts.length),
    peakRange: around(saltCurve.peakSaltPercent, peakSpread),
    band(salt) {
      const range = around(log10Viscosity(saltCurve, salt), spread(gradient(saltCurve, salt)));
      return range === null ? null : { low: 10 ** range.low, high: 10 ** range.high };
    },
  };
}

/** σ² (JᵀJ)⁻¹; null where the points do not tell the unknowns apart. */
function covarianceOf(saltCurve: SaltCurve, salts: readonly number[], variance: number): readonly (readonly number[])[] | null {
  const gradients = salts.map((salt) => gradient(saltCurve, salt));
  const normal = [0, 1, 2, 3].map((i) => [0, 1, 2, 3].map((j) => gradients.reduce((sum, row) => sum + row[i]! * row[j]!, 0)));
  const columns = [0, 1, 2, 3].map((k) =>
    solveLinear(
      normal,
      [0, 1, 2, 3].map((i) => (i === k ? variance : 0)),
    ),
  );
  return columns.every((column) => column !== null) ? columns : null;
}
