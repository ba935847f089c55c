import { area, line } from "d3-shape";

/** One claimant of a pH. */
export interface CorridorLane {
  readonly name: string;
  readonly low: number;
  readonly high: number;
  /** Drawn whatever the others are: the aim and the preservatives. */
  readonly isMain?: boolean;
  /** Working dose against pH, for an acid preservative; its lane is as high as it is strong. */
  readonly strength?: readonly { readonly ph: number; readonly workingPercent: number }[];
}

export interface CorridorData {
  readonly lanes: readonly CorridorLane[];
  readonly low: number;
  readonly high: number;
  readonly isEmpty: boolean;
  /** Last measured pH; null before anything is measured. */
  readonly measured: number | null;
}

export interface CorridorPicture {
  readonly width: number;
  readonly height: number;
  readonly lanes: readonly {
    readonly name: string;
    readonly y: number;
    readonly x: number;
    readonly width: number;
    /** Outline of a strength that falls with pH; null for a plain lane. */
    readonly path: string | null;
  }[];
  /** The opening that suits everyone; null when there is none. */
  readonly opening: { readonly x: number; readonly width: number } | null;
  readonly ticks: readonly { readonly x: number; readonly ph: number }[];
  readonly plumb: { readonly x: number; readonly path: string } | null;
  readonly laneHeight: number;
  readonly bottom: number;
  readonly left: number;
  readonly right: number;
}

const WIDTH = 628;
const LEFT = 150;
const RIGHT = 612;
const TOP = 26;
const LANE = 18;
const GAP = 5;
/** Claims wider than this say nothing a skin could feel, pH. */
const LEAST = 3;
const MOST = 10;

/** Lanes drawn beside the main ones. */
const MOST_OTHERS = 3;

/** The lanes a picture shows: the main ones, and of the others those that leave the least room. */
export function tellingLanes(lanes: readonly CorridorLane[]): readonly CorridorLane[] {
  const tightest = lanes
    .filter(({ isMain }) => isMain !== true)
    .sort((a, b) => a.high - a.low - (b.high - b.low))
    .slice(0, MOST_OTHERS);
  return lanes.filter((lane) => lane.isMain === true || tightest.includes(lane));
}

/** Lanes, opening and plumb line of a pH corridor, in a box 628 wide. */
export function corridorGeometry({ lanes, low, high, isEmpty, measured }: CorridorData): CorridorPicture {
  const ends = [...lanes.flatMap((lane) => [lane.low, lane.high]), ...(measured === null ? [] : [measured])];
  const from = Math.max(0, Math.min(LEAST, Math.floor(Math.min(...ends.filter((end) => end > 1), LEAST))));
  const to = Math.min(14, Math.max(8, Math.ceil(Math.min(MOST, Math.max(...ends, 8))), measured === null ? 0 : Math.ceil(measured)));
  const x = (ph: number) => LEFT + ((Math.min(to, Math.max(from, ph)) - from) / (to - from)) * (RIGHT - LEFT);
  const bottom = TOP + lanes.length * (LANE + GAP);
  return {
    width: WIDTH,
    height: bottom + 34,
    laneHeight: LANE,
    bottom,
    left: LEFT,
    right: RIGHT,
    lanes: lanes.map((lane, at) => {
      const y = TOP + at * (LANE + GAP);
      return { name: lane.name, y, x: x(lane.low), width: Math.max(0, x(lane.high) - x(lane.low)), path: strengthPath(lane, x, y) };
    }),
    opening: isEmpty ? null : { x: x(low), width: Math.max(1, x(high) - x(low)) },
    ticks: Array.from({ length: to - from + 1 }, (_, at) => from + at).map((ph) => ({ x: x(ph), ph })),
    plumb:
      measured === null
        ? null
        : {
            x: x(measured),
            path: line()([
              [x(measured), 8],
              [x(measured), bottom + 6],
            ])!,
          },
  };
}

function strengthPath({ strength }: CorridorLane, x: (ph: number) => number, y: number): string | null {
  if (strength === undefined || strength.length === 0) return null;
  const strongest = Math.max(...strength.map(({ workingPercent }) => workingPercent));
  if (!(strongest > 0)) return null;
  return area<{ readonly ph: number; readonly workingPercent: number }>()
    .x(({ ph }) => x(ph))
    .y0(y + LANE)
    .y1(({ workingPercent }) => y + LANE - (LANE * workingPercent) / strongest)([...strength]);
}
