import { scaleLinear, scaleSqrt } from "d3-scale";
import { area, curveStepAfter, line } from "d3-shape";

export const FRONTIER = { width: 720, height: 420, left: 62, right: 24, top: 26, bottom: 52 } as const;

/** A blend as a drop: where it lies and how much it foams. */
export interface FrontierDrop {
  /** Cost, or how much it foams; along the foot. */
  readonly along: number;
  readonly irritation: number;
  /** 0 to 10; its size. */
  readonly foam: number;
}

/** A formula that is there already, beside the drops. */
export interface FrontierMark extends FrontierDrop {
  readonly label: string;
}

interface Ask {
  readonly drops: readonly FrontierDrop[];
  readonly marks: readonly FrontierMark[];
  /** What is better lies at the left; where more is better, the foot runs backwards. */
  readonly isMoreBetter: boolean;
}

/** Room left round the outermost, as a part of their distance. */
const MARGIN = 0.08;

function widened([low, high]: readonly [number, number]): [number, number] {
  const room = Math.max((high - low) * MARGIN, 0.02 * Math.max(1, Math.abs(high)));
  return [low - room, high + room];
}

const rounded = (value: number): number => Math.round(value * 10) / 10;

/** Drops along the edge of what can be made; below the edge lies what no blend reaches. Null without any. */
export function frontierGeometry({ drops, marks, isMoreBetter }: Ask) {
  const all = [...drops, ...marks];
  if (drops.length === 0) return null;
  const ends = (of: (drop: FrontierDrop) => number) => [Math.min(...all.map(of)), Math.max(...all.map(of))] as const;
  const { width, height, left, right, top, bottom } = FRONTIER;
  const domain = widened(ends(({ along }) => along));
  const x = scaleLinear(isMoreBetter ? domain.toReversed() : domain, [left, width - right]);
  const y = scaleLinear(widened(ends(({ irritation }) => irritation)), [height - bottom, top]);
  const size = scaleSqrt([0, 10], [2, 15]);
  const place = ({ along, irritation, foam }: FrontierDrop) => ({
    x: rounded(x(along)),
    y: rounded(y(irritation)),
    r: rounded(size(foam)),
  });
  const placed = drops.map(place);
  const edge: [number, number][] = placed.map((drop) => [drop.x, drop.y]);
  const [first, last] = [placed[0]!, placed.at(-1)!];
  const shore: [number, number][] = [[first.x, top], ...edge, [width - right, last.y]];
  return {
    drops: placed,
    marks: marks.map((mark) => ({ label: mark.label, ...place(mark) })),
    edge: line().curve(curveStepAfter)(shore) ?? "",
    unreached:
      area<[number, number]>()
        .curve(curveStepAfter)
        .y0(height - bottom)
        .y1(([, at]) => at)([[left, top], ...shore]) ?? "",
    alongTicks: x.ticks(6).map((value) => ({ value, at: rounded(x(value)) })),
    irritationTicks: y.ticks(5).map((value) => ({ value, at: rounded(y(value)) })),
  };
}

export type FrontierGeometry = NonNullable<ReturnType<typeof frontierGeometry>>;

/** The drop nearest to a place in the picture. */
export function nearestDrop({ drops }: FrontierGeometry, place: { readonly x: number; readonly y: number }): number {
  let nearest = 0;
  let least = Infinity;
  for (const [at, drop] of drops.entries()) {
    const distance = (drop.x - place.x) ** 2 + (drop.y - place.y) ** 2;
    if (distance < least) [nearest, least] = [at, distance];
  }
  return nearest;
}
