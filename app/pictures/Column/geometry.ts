import type { Charge, Span } from "@tensidrum/core/library";
import type { LayerKind } from "@tensidrum/core/formula";

export interface ColumnData {
  /** Active matter by charge type, bottom of the neck first, % w/w. */
  readonly actives: readonly { readonly charge: Charge; readonly percent: number }[];
  /** What else the formula holds, bottom first, % w/w. */
  readonly layers: readonly { readonly kind: LayerKind; readonly percent: number }[];
  /** Usual active matter of the profile, % w/w. */
  readonly window: Span;
  /** Still open to 100, % w/w. */
  readonly openPercent: number;
}

export interface NeckBand {
  readonly charge: Charge;
  readonly percent: number;
  readonly y: number;
  readonly height: number;
  /** Middle of its label, pushed apart from its neighbours. */
  readonly labelY: number;
}

export interface BodyLayer {
  readonly kind: LayerKind | "open";
  readonly percent: number;
  readonly path: string;
  readonly top: number;
  readonly bottom: number;
  /** Where its label stands, pushed apart from its neighbours. */
  readonly labelY: number;
  /** Whether the label fits into the stratum itself. */
  readonly labelInside: boolean;
}

export interface ColumnGeometry {
  readonly width: number;
  readonly height: number;
  /** Middle of the bottle and its right wall, px. */
  readonly centre: number;
  readonly wall: number;
  readonly glass: string;
  readonly neck: {
    readonly left: number;
    readonly right: number;
    readonly top: number;
    readonly bottom: number;
    readonly maxPercent: number;
  };
  readonly bands: readonly NeckBand[];
  readonly meniscusY: number;
  readonly layers: readonly BodyLayer[];
  /** px² that stand for one percent of the batch, the same everywhere in the picture. */
  readonly areaPerPercent: number;
}

const CENTRE = 98;
const NECK_HALF = 27;
const BODY_HALF = 64;
const NECK_TOP = 34;
const NECK_BOTTOM = 242;
const RIM = 18;
const SHOULDER = 26;
const FOOT = 14;
const WHOLE_PERCENT = 100;
const WIDTH = 236;
const LABEL_GAP = 17;
const BAND_LABEL_GAP = 29;
const INSIDE_FROM = 26;
/** Points along the shoulder; enough that its area is right to a thousandth of a percent. */
const SHOULDER_POINTS = 32;

/** Neck ranges, % active matter. */
const NECK_RANGES = [20, 50, 100] as const;

/** The smallest neck range that holds the active matter and the window. */
export function neckRange(activePercent: number, window: Span): number {
  return NECK_RANGES.find((range) => activePercent <= range && window.high <= range) ?? 100;
}

/** Half the bottle's width at a height, px: neck, a smooth shoulder, body. */
function halfWidth(y: number): number {
  const t = Math.min(1, Math.max(0, (y - NECK_BOTTOM) / SHOULDER));
  return NECK_HALF + (BODY_HALF - NECK_HALF) * t * t * (3 - 2 * t);
}

/** Area of the shoulder from the neck down to y, px²; 2 ∫ halfWidth. */
function shoulderArea(y: number): number {
  const t = Math.min(1, Math.max(0, (y - NECK_BOTTOM) / SHOULDER));
  const swept = t ** 3 - t ** 4 / 2;
  return 2 * SHOULDER * (NECK_HALF * t + (BODY_HALF - NECK_HALF) * swept);
}

/** The height below which the body has the given area above it, px. */
function levelAt(area: number): number {
  const whole = shoulderArea(NECK_BOTTOM + SHOULDER);
  if (area >= whole) return NECK_BOTTOM + SHOULDER + (area - whole) / (2 * BODY_HALF);
  let low = NECK_BOTTOM;
  let high = NECK_BOTTOM + SHOULDER;
  for (let step = 0; step < 50; step += 1) {
    const middle = (low + high) / 2;
    if (shoulderArea(middle) < area) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

function at(x: number, y: number): string {
  return `${x.toFixed(2)} ${y.toFixed(2)}`;
}

/** Heights at which the outline between two levels is drawn. */
function outlineHeights(top: number, bottom: number): number[] {
  const heights = [top];
  for (let i = 0; i <= SHOULDER_POINTS; i += 1) {
    const y = NECK_BOTTOM + (SHOULDER * i) / SHOULDER_POINTS;
    if (y > top && y < bottom) heights.push(y);
  }
  heights.push(bottom);
  return heights;
}

function slicePath(top: number, bottom: number): string {
  const heights = outlineHeights(top, bottom);
  const right = heights.map((y) => at(CENTRE + halfWidth(y), y));
  const left = heights.toReversed().map((y) => at(CENTRE - halfWidth(y), y));
  return `M${right.join("L")}L${left.join("L")}Z`;
}

function glassPath(bottom: number): string {
  const heights = outlineHeights(NECK_BOTTOM, NECK_BOTTOM + SHOULDER);
  const left = heights.map((y) => at(CENTRE - halfWidth(y), y));
  const right = heights.toReversed().map((y) => at(CENTRE + halfWidth(y), y));
  const corner = 6;
  return (
    `M${at(CENTRE - NECK_HALF - 7, RIM)}Q${at(CENTRE - NECK_HALF, RIM)} ${at(CENTRE - NECK_HALF, RIM + 9)}` +
    `L${left.join("L")}L${at(CENTRE - BODY_HALF, bottom - corner)}Q${at(CENTRE - BODY_HALF, bottom)} ${at(CENTRE - BODY_HALF + corner, bottom)}` +
    `L${at(CENTRE + BODY_HALF - corner, bottom)}Q${at(CENTRE + BODY_HALF, bottom)} ${at(CENTRE + BODY_HALF, bottom - corner)}` +
    `L${right.join("L")}L${at(CENTRE + NECK_HALF, RIM + 9)}Q${at(CENTRE + NECK_HALF, RIM)} ${at(CENTRE + NECK_HALF + 7, RIM)}`
  );
}

/** A label of the neck has two lines; labels of the body begin below them, px. */
const BELOW_NECK_LABEL = 26;

/** Pushes ascending label heights apart, as little as needed, none above the highest place allowed. */
function spread(heights: readonly number[], gap: number, highest = -Infinity): number[] {
  const placed: number[] = [];
  for (const height of heights) placed.push(Math.max(height, highest, (placed.at(-1) ?? -Infinity) + gap));
  return placed;
}

/**
 * The measuring bottle. The neck reads active matter on a scale of its own width, so that its area per percent is
 * also that of the body: equal areas are equal percents everywhere.
 */
export function columnGeometry(data: ColumnData): ColumnGeometry {
  const active = data.actives.reduce((sum, band) => sum + band.percent, 0);
  const maxPercent = neckRange(active, data.window);
  const yOf = neckHeight(maxPercent);
  const areaPerPercent = (2 * NECK_HALF * (NECK_BOTTOM - NECK_TOP)) / maxPercent;

  let below = 0;
  const bands = data.actives
    .filter((band) => band.percent > 0)
    .map((band) => {
      const bottom = yOf(below);
      below += band.percent;
      const y = yOf(below);
      return { ...band, y, height: bottom - y };
    });
  const upwards = spread(
    bands.map((band) => -(band.y + band.height / 2)),
    BAND_LABEL_GAP,
  );

  const lowestOfNeck = upwards.length === 0 ? -Infinity : -Math.min(...upwards);
  const fromTheTop = [...(data.openPercent > 0 ? [{ kind: "open" as const, percent: data.openPercent }] : []), ...data.layers.toReversed()];
  let above = 0;
  const slices = fromTheTop.map(({ kind, percent }) => {
    const top = levelAt(above * areaPerPercent);
    above += percent;
    const bottom = levelAt(above * areaPerPercent);
    return { kind, percent, top, bottom, labelInside: bottom - top >= INSIDE_FROM };
  });
  const bottom = Math.max(levelAt(above * areaPerPercent), NECK_BOTTOM + SHOULDER + 2 * FOOT);
  const middles = slices.map((slice) => (slice.top + slice.bottom) / 2);
  const outside = spread(
    middles.filter((_, i) => !slices[i]?.labelInside),
    LABEL_GAP,
    lowestOfNeck + BELOW_NECK_LABEL,
  );
  const layers = slices.map((slice, i): BodyLayer => {
    const labelY = slice.labelInside ? (middles[i] ?? 0) : (outside.shift() ?? 0);
    return { ...slice, path: slicePath(slice.top, slice.bottom), labelY };
  });

  // As high as this neck ever needs: a picture that changed its height would lay out everything in it anew.
  const deepest = levelAt(WHOLE_PERCENT * areaPerPercent);
  const lowest = Math.max(bottom, deepest, ...layers.map((layer) => layer.labelY));
  return {
    width: WIDTH,
    height: Math.ceil(lowest + FOOT),
    centre: CENTRE,
    wall: CENTRE + BODY_HALF,
    glass: glassPath(bottom),
    neck: { left: CENTRE - NECK_HALF, right: CENTRE + NECK_HALF, top: NECK_TOP, bottom: NECK_BOTTOM, maxPercent },
    bands: bands.map((band, i) => ({ ...band, labelY: -(upwards[i] ?? 0) })),
    meniscusY: yOf(Math.min(below, maxPercent)),
    layers,
    areaPerPercent,
  };
}

/** Height in the neck of a percentage of active matter, px. */
function neckHeight(maxPercent: number): (percent: number) => number {
  return (percent) => NECK_BOTTOM - (percent * (NECK_BOTTOM - NECK_TOP)) / maxPercent;
}

export interface NeckScale {
  /** Left wall of the neck, px. */
  readonly left: number;
  readonly ticks: readonly { readonly percent: number; readonly y: number; readonly isMajor: boolean }[];
  readonly bracket: { readonly top: number; readonly bottom: number };
}

const TICKS = 20;
const TICKS_TO_A_NUMBER = 5;

/** The neck's scale, and the bracket of the profile's window on it. */
export function neckScale(maxPercent: number, window: Span): NeckScale {
  const yOf = neckHeight(maxPercent);
  const ticks = Array.from({ length: TICKS + 1 }, (_, i) => {
    const percent = (i * maxPercent) / TICKS;
    return { percent, y: yOf(percent), isMajor: i % TICKS_TO_A_NUMBER === 0 };
  });
  return { left: CENTRE - NECK_HALF, ticks, bracket: { top: yOf(window.high), bottom: yOf(window.low) } };
}
