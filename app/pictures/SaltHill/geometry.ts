export const SALT_HILL = { width: 560, height: 270, left: 48, right: 12, top: 14, bottom: 34 } as const;

export interface HillPoint {
  readonly saltPercent: number;
  readonly viscosity: number;
}

export interface SaltHillAsk {
  readonly readings: readonly HillPoint[];
  readonly target: number;
  /** After the advised addition; null for none. */
  readonly expected: (HillPoint & { readonly low: number; readonly high: number }) | null;
}

export interface SaltHillDrawn {
  readonly points: readonly { readonly x: number; readonly y: number; readonly viscosity: number }[];
  readonly path: string;
  readonly targetY: number;
  readonly expected: { readonly x: number; readonly y: number; readonly low: number; readonly high: number } | null;
  readonly xTicks: readonly { readonly value: number; readonly x: number }[];
  readonly yTicks: readonly { readonly value: number; readonly y: number }[];
}

const AROUND_PERCENT = 0.25;
const AROUND_DECADES = 0.25;

/** Thickness over whole salt, the thickness by decades. Everything that is told lies inside the picture. */
export function saltHillGeometry({ readings, target, expected }: SaltHillAsk): SaltHillDrawn {
  const salts = [...readings.map(({ saltPercent }) => saltPercent), ...(expected === null ? [] : [expected.saltPercent])];
  const [from, to] = [Math.min(...salts, 1) - AROUND_PERCENT, Math.max(...salts, 2) + AROUND_PERCENT];
  const thick = [...readings.map(({ viscosity }) => viscosity), target, ...(expected === null ? [] : [expected.low, expected.high])].filter(
    (one) => one > 0,
  );
  const [low, high] = [Math.log10(Math.min(...thick)) - AROUND_DECADES, Math.log10(Math.max(...thick)) + AROUND_DECADES];
  const inner = { width: SALT_HILL.width - SALT_HILL.left - SALT_HILL.right, height: SALT_HILL.height - SALT_HILL.top - SALT_HILL.bottom };
  const round = (value: number): number => Math.round(value * 10) / 10;
  const x = (salt: number): number => round(SALT_HILL.left + (inner.width * (salt - from)) / (to - from));
  const y = (viscosity: number): number =>
    round(SALT_HILL.top + (inner.height * (high - Math.min(high, Math.max(low, Math.log10(Math.max(1e-12, viscosity)))))) / (high - low));
  const points = readings.map((one) => ({ x: x(one.saltPercent), y: y(one.viscosity), viscosity: one.viscosity }));
  const decades = [1, 2, 5].flatMap((digit) => Array.from({ length: 12 }, (_, at) => Number((digit * 10 ** (at - 6)).toPrecision(3))));
  return {
    points,
    path: points.map((point, at) => (at === 0 ? `M${point.x} ${point.y}` : `H${point.x}V${point.y}`)).join(""),
    targetY: y(target),
    expected:
      expected === null ? null : { x: x(expected.saltPercent), y: y(expected.viscosity), low: y(expected.low), high: y(expected.high) },
    xTicks: Array.from({ length: Math.floor(to * 2) - Math.ceil(from * 2) + 1 }, (_, at) => (Math.ceil(from * 2) + at) / 2).map(
      (value) => ({ value, x: x(value) }),
    ),
    yTicks: decades.filter((value) => Math.log10(value) >= low && Math.log10(value) <= high).map((value) => ({ value, y: y(value) })),
  };
}
