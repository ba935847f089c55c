export const FILL_BAR = { width: 776, height: 50, pad: 1 } as const;

/** Where a weight stands between empty and too much. */
export interface FillBarDrawn {
  /** Right end of what is in, and whether it runs over the bar. */
  readonly filled: number;
  readonly isOver: boolean;
  readonly window: { readonly from: number; readonly to: number };
  readonly target: number;
  readonly ticks: readonly { readonly grams: number; readonly x: number }[];
}

/** The bar shows a seventh more than the target, so that too much is seen coming. */
const HEADROOM = 8 / 7;
const MOST_TICKS = 5;

/** Lengths of the bar for a weight, its target and the window it may end in, g. A weight below 0 fills nothing. */
export function fillBarGeometry(
  grams: number,
  { target, low, high }: { readonly target: number; readonly low: number; readonly high: number },
): FillBarDrawn {
  const most = Math.max(target, high) * HEADROOM;
  const x = (value: number): number => (most <= 0 ? 0 : Math.min(1, Math.max(0, value / most)) * FILL_BAR.width);
  return {
    filled: x(grams),
    isOver: grams > most,
    window: { from: x(low), to: x(high) },
    target: x(target),
    ticks: ticksBelow(target).map((tick) => ({ grams: tick, x: x(tick) })),
  };
}

/** Round numbers up to four fifths of the target, at most five: 0, 20, 40, 60 for 84. */
function ticksBelow(target: number): readonly number[] {
  if (!(target > 0)) return [0];
  const rough = target / MOST_TICKS;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = ([1, 2, 5, 10].find((times) => times * power >= rough) ?? 10) * power;
  const ticks: number[] = [];
  for (let count = 0; count * step <= target * 0.85; count += 1) ticks.push(Number((count * step).toPrecision(6)));
  return ticks;
}
