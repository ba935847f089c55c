import type { DrawnHill } from "@tensidrum/core/thickness";

export const SALT_HILL = { width: 560, height: 290, left: 48, right: 12, top: 14, bottom: 34 } as const;

export interface HillPoint {
  readonly saltPercent: number;
  readonly viscosity: number;
}

export interface SaltHillAsk {
  readonly readings: readonly HillPoint[];
  /** Trials of the same base. */
  readonly jars?: readonly HillPoint[];
  /** Fitted or known; null where neither. */
  readonly hill?: DrawnHill | null;
  readonly target: number;
  /** After the advised addition; null for none. */
  readonly expected: (HillPoint & { readonly low: number; readonly high: number }) | null;
}

export interface SaltHillDrawn {
  readonly points: readonly { readonly x: number; readonly y: number; readonly viscosity: number }[];
  readonly jars: readonly { readonly x: number; readonly y: number }[];
  readonly path: string;
  readonly targetY: number;
  readonly expected: { readonly x: number; readonly y: number; readonly low: number; readonly high: number } | null;
  readonly hill: {
    readonly curve: string;
    /** 95 %; empty where it is not known. */
    readonly band: string;
    /** Under the curve up to the most salt to go to, and from there on. */
    readonly safe: string;
    readonly beyond: string;
    readonly cliffX: number;
    readonly peak: { readonly x: number; readonly y: number };
  } | null;
  readonly xTicks: readonly { readonly value: number; readonly x: number }[];
  readonly yTicks: readonly { readonly value: number; readonly y: number }[];
}

const AROUND_PERCENT = 0.25;
const AROUND_DECADES = 0.25;
/** The picture does not follow a band further than this from what was read, decades. */
const MOST_BAND_DECADES = 0.5;

/** Thickness over whole salt, the thickness by decades. Everything that is told lies inside the picture. */
export function saltHillGeometry({ readings, jars = [], hill = null, target, expected }: SaltHillAsk): SaltHillDrawn {
  const all = [...readings, ...jars, ...(expected === null ? [] : [expected]), ...(hill?.points ?? [])];
  const salts = all.map(({ saltPercent }) => saltPercent);
  const [from, to] = [Math.max(0, Math.min(...salts, 1) - AROUND_PERCENT), Math.max(...salts, 2) + AROUND_PERCENT];
  const thick = [...all.map(({ viscosity }) => viscosity), target, ...(expected === null ? [] : [expected.low, expected.high])].filter(
    (one) => one > 0,
  );
  const [low, high] = [Math.log10(Math.min(...thick)) - AROUND_DECADES, Math.log10(Math.max(...thick)) + AROUND_DECADES];
  const inner = { width: SALT_HILL.width - SALT_HILL.left - SALT_HILL.right, height: SALT_HILL.height - SALT_HILL.top - SALT_HILL.bottom };
  const x = (salt: number): number => round(SALT_HILL.left + (inner.width * (Math.min(to, Math.max(from, salt)) - from)) / (to - from));
  const y = (viscosity: number): number =>
    round(SALT_HILL.top + (inner.height * (high - Math.min(high, Math.max(low, Math.log10(Math.max(1e-12, viscosity)))))) / (high - low));
  const points = readings.map((one) => ({ x: x(one.saltPercent), y: y(one.viscosity), viscosity: one.viscosity }));
  const decades = [1, 2, 5].flatMap((digit) => Array.from({ length: 12 }, (_, at) => Number((digit * 10 ** (at - 6)).toPrecision(3))));
  return {
    points,
    jars: jars.map((one) => ({ x: x(one.saltPercent), y: y(one.viscosity) })),
    path: points.map((point, at) => (at === 0 ? `M${point.x} ${point.y}` : `H${point.x}V${point.y}`)).join(""),
    targetY: y(target),
    expected:
      expected === null ? null : { x: x(expected.saltPercent), y: y(expected.viscosity), low: y(expected.low), high: y(expected.high) },
    hill: hill === null ? null : hillPaths(hill, { x, y }),
    xTicks: Array.from({ length: Math.floor(to * 2) - Math.ceil(from * 2) + 1 }, (_, at) => (Math.ceil(from * 2) + at) / 2).map(
      (value) => ({ value, x: x(value) }),
    ),
    yTicks: decades.filter((value) => Math.log10(value) >= low && Math.log10(value) <= high).map((value) => ({ value, y: y(value) })),
  };
}

interface Axis {
  readonly x: (saltPercent: number) => number;
  readonly y: (viscosity: number) => number;
}

function hillPaths({ points, peakSaltPercent, peakViscosity, safeMaxPercent }: DrawnHill, { x, y }: Axis): SaltHillDrawn["hill"] {
  const line = (along: readonly HillPoint[]): string =>
    along.map((one, at) => `${at === 0 ? "M" : "L"}${x(one.saltPercent)} ${y(one.viscosity)}`).join("");
  const floor = SALT_HILL.height - SALT_HILL.bottom;
  const under = (along: readonly HillPoint[]): string => {
    const [first, last] = [along[0], along.at(-1)];
    return first === undefined || last === undefined
      ? ""
      : `${line(along)}L${x(last.saltPercent)} ${floor}L${x(first.saltPercent)} ${floor}Z`;
  };
  const edge = edgeOf(points, safeMaxPercent);
  const near = (viscosity: number, bound: number): number =>
    10 **
    Math.min(
      Math.log10(viscosity) + MOST_BAND_DECADES,
      Math.max(Math.log10(viscosity) - MOST_BAND_DECADES, Math.log10(Math.max(1e-12, bound))),
    );
  const banded = points.flatMap(({ saltPercent, viscosity, low, high }) =>
    low === null || high === null ? [] : [{ saltPercent, low: near(viscosity, low), high: near(viscosity, high) }],
  );
  const band =
    banded.length === 0
      ? ""
      : `${line(banded.map(({ saltPercent, high }) => ({ saltPercent, viscosity: high })))}${line(
          banded.toReversed().map(({ saltPercent, low }) => ({ saltPercent, viscosity: low })),
        ).replace("M", "L")}Z`;
  return {
    curve: line(points),
    band,
    safe: under([...points.filter(({ saltPercent }) => saltPercent < safeMaxPercent), ...edge]),
    beyond: under([...edge, ...points.filter(({ saltPercent }) => saltPercent > safeMaxPercent)]),
    cliffX: x(safeMaxPercent),
    peak: { x: x(peakSaltPercent), y: y(peakViscosity) },
  };
}

/** Where the safe part ends on the curve; nothing when that lies outside of what is drawn. */
function edgeOf(points: readonly HillPoint[], saltPercent: number): readonly HillPoint[] {
  const after = points.findIndex((one) => one.saltPercent >= saltPercent);
  const [a, b] = [points[after - 1], points[after]];
  if (a === undefined || b === undefined) return [];
  const part = (saltPercent - a.saltPercent) / (b.saltPercent - a.saltPercent);
  return [{ saltPercent, viscosity: a.viscosity * (b.viscosity / a.viscosity) ** part }];
}

function round(value: number): number {
  return Math.round(value * 10) / 10;
}
