/** Shares of three types, %, summing to 100. */
export interface TriShares {
  readonly anionic: number;
  readonly amphoteric: number;
  readonly nonionic: number;
}

export interface Point {
  readonly x: number;
  readonly y: number;
}

export const SIDE = 560;
const LEFT = 40;
const TOP = 44;
const HEIGHT = (SIDE * Math.sqrt(3)) / 2;
export const PICTURE = { width: SIDE + 2 * LEFT, height: HEIGHT + TOP + 58 } as const;

/** Anionic lies at the lower left, amphoteric at the lower right, nonionic at the top. */
export function placeOf({ anionic, amphoteric, nonionic }: TriShares): Point {
  const sum = anionic + amphoteric + nonionic;
  const right = amphoteric / sum;
  const up = nonionic / sum;
  return { x: LEFT + SIDE * (right + up / 2), y: TOP + HEIGHT * (1 - up) };
}

/** The shares at a place; outside the triangle those of its nearest edge or corner. */
export function sharesAt({ x, y }: Point): TriShares {
  const up = (TOP + HEIGHT - y) / HEIGHT;
  const right = (x - LEFT) / SIDE - up / 2;
  const raw = [1 - up - right, right, up].map((share) => Math.max(0, share));
  const sum = raw.reduce((total, share) => total + share, 0);
  const [anionic = 0, amphoteric = 0, nonionic = 0] = raw.map((share) => (100 * share) / sum);
  return { anionic, amphoteric, nonionic };
}

/** Points of a triangle of so many steps, in the order of the core: anionic outside, amphoteric inside. */
export function gridIndex(steps: number, anionic: number, amphoteric: number): number {
  return anionic * (steps + 1) - (anionic * (anionic - 1)) / 2 + amphoteric;
}

export interface Band {
  /** Path of the field between two levels. */
  readonly path: string;
  readonly from: number;
  readonly to: number;
}

interface Corner extends Point {
  readonly value: number;
}

/**
 * Fields between levels over the whole triangle, by straight lines inside each little triangle of the grid. Where a
 * point has no value nothing is drawn.
 */
export function bandsOf(values: ArrayLike<number>, steps: number, levels: readonly number[]): readonly Band[] {
  const paths = levels.slice(1).map(() => [] as string[]);
  for (const triangle of littleTriangles(values, steps)) {
    for (let band = 0; band < paths.length; band += 1) {
      const inside = clipped(clipped(triangle, levels[band]!, 1), levels[band + 1]!, -1);
      if (inside.length >= 3) paths[band]!.push(`M${inside.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join("L")}Z`);
    }
  }
  return paths.map((parts, band) => ({ path: parts.join(""), from: levels[band]!, to: levels[band + 1]! }));
}

/** The line along which the field has one value. */
export function levelPath(values: ArrayLike<number>, steps: number, level: number): string {
  const parts: string[] = [];
  for (const triangle of littleTriangles(values, steps)) {
    const ends = triangle.flatMap((from, at) => {
      const to = triangle[(at + 1) % triangle.length]!;
      return from.value < level === to.value < level ? [] : [between(from, to, level)];
    });
    const [a, b] = ends;
    if (a !== undefined && b !== undefined) parts.push(`M${a.x.toFixed(1)},${a.y.toFixed(1)}L${b.x.toFixed(1)},${b.y.toFixed(1)}`);
  }
  return parts.join("");
}

function* littleTriangles(values: ArrayLike<number>, steps: number): Generator<readonly Corner[]> {
  const corner = (anionic: number, amphoteric: number): Corner => {
    const place = placeOf({ anionic, amphoteric, nonionic: steps - anionic - amphoteric });
    return { ...place, value: values[gridIndex(steps, anionic, amphoteric)] ?? Number.NaN };
  };
  for (let anionic = 0; anionic < steps; anionic += 1) {
    for (let amphoteric = 0; amphoteric < steps - anionic; amphoteric += 1) {
      const first = [corner(anionic, amphoteric), corner(anionic + 1, amphoteric), corner(anionic, amphoteric + 1)];
      if (first.every(({ value }) => Number.isFinite(value))) yield first;
      if (anionic + amphoteric + 1 >= steps) continue;
      const second = [corner(anionic + 1, amphoteric), corner(anionic + 1, amphoteric + 1), corner(anionic, amphoteric + 1)];
      if (second.every(({ value }) => Number.isFinite(value))) yield second;
    }
  }
}

/** What of a polygon lies on one side of a level: above it for 1, below it for −1. */
function clipped(polygon: readonly Corner[], level: number, side: 1 | -1): readonly Corner[] {
  if (!Number.isFinite(level)) return polygon;
  const isIn = ({ value }: Corner): boolean => (value - level) * side >= 0;
  return polygon.flatMap((from, at) => {
    const to = polygon[(at + 1) % polygon.length]!;
    const kept = isIn(from) ? [from] : [];
    return isIn(from) === isIn(to) ? kept : [...kept, between(from, to, level)];
  });
}

function between(from: Corner, to: Corner, level: number): Corner {
  const part = (level - from.value) / (to.value - from.value);
  return { x: from.x + (to.x - from.x) * part, y: from.y + (to.y - from.y) * part, value: level };
}

/** A stretch of values that has a name. */
export interface EdgeWords {
  readonly from: number;
  readonly to: number;
  readonly words: string;
}

/** Shorter stretches of the edge have no room for words, px. */
const EDGE_ROOM = 22;

/**
 * Where the name of each stretch of values stands: beside the middle of what it covers of the left edge, the mixes of
 * anionic and nonionic. A stretch too short for words, or of no length, has none.
 */
export function edgeLabels(values: ArrayLike<number>, steps: number, named: readonly EdgeWords[]): readonly (Point & { words: string })[] {
  const edge = Array.from({ length: steps + 1 }, (_, anionic) => ({
    ...placeOf({ anionic, amphoteric: 0, nonionic: steps - anionic }),
    value: values[gridIndex(steps, anionic, 0)] ?? Number.NaN,
  }));
  return named.flatMap(({ from, to, words }) => {
    const inside = edge.filter(({ value }) => value >= from && value < to);
    const [first, last] = [inside[0], inside.at(-1)];
    if (first === undefined || last === undefined || Math.hypot(last.x - first.x, last.y - first.y) < EDGE_ROOM) return [];
    return [{ x: (first.x + last.x) / 2 - 12, y: (first.y + last.y) / 2 + 4, words }];
  });
}

/** Outline of the whole triangle. */
export const OUTLINE: string = (() => {
  const corners = [
    placeOf({ anionic: 1, amphoteric: 0, nonionic: 0 }),
    placeOf({ anionic: 0, amphoteric: 1, nonionic: 0 }),
    placeOf({ anionic: 0, amphoteric: 0, nonionic: 1 }),
  ];
  return `M${corners.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`).join("L")}Z`;
})();

/** A dotted line of constant share of amphoterics. */
export function amphotericLine(percent: number): string {
  const from = placeOf({ anionic: 100 - percent, amphoteric: percent, nonionic: 0 });
  const to = placeOf({ anionic: 0, amphoteric: percent, nonionic: 100 - percent });
  return `M${from.x.toFixed(1)},${from.y.toFixed(1)}L${to.x.toFixed(1)},${to.y.toFixed(1)}`;
}
