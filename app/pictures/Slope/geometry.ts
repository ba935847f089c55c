export const SLOPE = { width: 44, height: 18 } as const;

const [EDGE, HEAD] = [3, 4];
/** A change of this part of the value, or more, is as steep as it gets. */
const STEEPEST = 0.5;

export interface SlopeAsk {
  readonly before: number;
  readonly now: number;
}

/** The way from one value to the next: level where they are the same, the steeper the more of it changed. */
export function slopeGeometry({ before, now }: SlopeAsk) {
  const { width, height } = SLOPE;
  const most = Math.max(Math.abs(before), Math.abs(now));
  const part = most === 0 ? 0 : Math.max(-1, Math.min(1, (now - before) / most / STEEPEST));
  const rise = (part * (height - 2 * EDGE)) / 2;
  const [from, to] = [height / 2 + rise, height / 2 - rise];
  const end = width - EDGE;
  const angle = Math.atan2(to - from, end - EDGE);
  const tip = (turn: number): string => `${round(end - HEAD * Math.cos(angle + turn))},${round(to - HEAD * Math.sin(angle + turn))}`;
  return {
    line: `M${EDGE},${round(from)}L${end},${round(to)}`,
    head: `M${tip(0.5)}L${end},${round(to)}L${tip(-0.5)}`,
    isLevel: part === 0,
  };
}

function round(value: number): number {
  return Math.round(value * 10) / 10;
}
