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
  /** A name it has, as "mildest"; empty for none. */
  readonly name?: string;
}

/** A formula that is there already, beside the drops. */
export interface FrontierMark extends FrontierDrop {
  readonly label: string;
}

/** From the one drop to the other, both in. */
export interface DropSpan {
  readonly first: number;
  readonly last: number;
}

interface Ask {
  readonly drops: readonly FrontierDrop[];
  readonly marks: readonly FrontierMark[];
  /** What is better lies at the left; where more is better, the foot runs backwards. */
  readonly isMoreBetter: boolean;
  /** What of them fills the picture; null for all. */
  readonly span?: DropSpan | null;
}

/** Room left round the outermost, as a part of their distance. */
const MARGIN = 0.08;

function widened([low, high]: readonly [number, number]): [number, number] {
  const room = Math.max((high - low) * MARGIN, 0.02 * Math.max(1, Math.abs(high)));
  return [low - room, high + room];
}

const rounded = (value: number): number => Math.round(value * 10) / 10;

/**
 * Drops along the edge of what can be made; below the edge lies what no blend reaches. Narrowed to some of them, the picture is
 * filled by these, the others lie outside, and of the formulas that are there those are drawn that lie in it. Null without any drop.
 */
export function frontierGeometry({ drops, marks, isMoreBetter, span = null }: Ask) {
  const seen = span === null ? drops : drops.slice(span.first, span.last + 1);
  const all: readonly FrontierDrop[] = span === null ? [...drops, ...marks] : seen;
  if (seen.length === 0) return null;
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
  const isInside = (at: { readonly x: number; readonly y: number }): boolean =>
    at.x >= left && at.x <= width - right && at.y >= top && at.y <= height - bottom;
  const placed = drops.map((drop, at) => ({ ...place(drop), at, name: drop.name ?? "" })).filter(isInside);
  const there = marks.map((mark) => ({ ...place(mark), label: mark.label, r: MARK })).filter(isInside);
  const named = [
    ...there.map(({ label, ...at }) => ({ ...at, words: label })),
    ...placed.filter(({ name }) => name !== "").map(({ name, ...at }) => ({ ...at, words: name })),
  ];
  const labels = labelsOf(named, [...there, ...placed]);
  const edge = drops.map((drop): [number, number] => {
    const at = place(drop);
    return [at.x, at.y];
  });
  const [[firstX], [lastX, lastY]] = [edge[0]!, edge.at(-1)!];
  const shore: [number, number][] = [[firstX, Math.min(top, edge[0]![1])], ...edge, [Math.max(width - right, lastX), lastY]];
  return {
    /** Those that lie in the picture, each with its place among all. */
    drops: placed,
    marks: there,
    /** The names of marks and drops, each where it covers the least. */
    names: named.map(({ words }, at) => ({ words, ...labels[at]! })),
    edge: line().curve(curveStepAfter)(shore) ?? "",
    unreached:
      area<[number, number]>()
        .curve(curveStepAfter)
        .y0(height - bottom)
        .y1(([, at]) => at)([[Math.min(left, firstX), Math.min(top, edge[0]![1])], ...shore]) ?? "",
    alongTicks: x.ticks(6).map((value) => ({ value, at: rounded(x(value)) })),
    irritationTicks: y.ticks(5).map((value) => ({ value, at: rounded(y(value)) })),
  };
}

/** What a letter takes and how high a line of writing is, in units of the picture: as on a phone, where writing takes the most. */
const [LETTER, LINE] = [12, 24];
/** Half a mark, and from what is named to its name. */
const [MARK, GAP] = [6, 3];
/** From the foot of writing to its middle. */
const TO_MIDDLE = 4;

interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** What is to be named: where it is, and how far it reaches. */
interface Named {
  readonly words: string;
  readonly x: number;
  readonly y: number;
  readonly r: number;
}

interface Label {
  readonly x: number;
  /** The foot of the writing. */
  readonly y: number;
  /** Whether it begins or ends at `x`. */
  readonly anchor: "start" | "end";
}

function shared(a: Box, b: Box): number {
  const wide = Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x);
  const high = Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y);
  return wide > 0 && high > 0 ? wide * high : 0;
}

function written({ x, y, anchor }: Label, words: string): Box {
  const width = LETTER * words.length;
  return { x: anchor === "start" ? x : x - width, y: y - 0.8 * LINE, width, height: LINE };
}

/** Where a name may stand: beside, above and to the side, above, below; right before left. */
function placesFor({ x, y, r }: Named): readonly Label[] {
  const beside = r + GAP;
  const feet = [
    [beside, TO_MIDDLE],
    [beside, -r - GAP],
    [0, -r - GAP - TO_MIDDLE],
    [beside, r + 0.8 * LINE],
    [0, r + LINE],
  ] as const;
  const higher = [1, 2, 3].map((lines) => [0, -r - GAP - lines * LINE] as const);
  return [...feet, ...higher].flatMap(([off, foot]): readonly Label[] => [
    { x: x + off, y: y + foot, anchor: "start" },
    { x: x - off, y: y + foot, anchor: "end" },
  ]);
}

/** Units of area that are no difference. */
const NOTHING = 1;

/** Where each name stands: where it covers the least of what is drawn and of the names before it, and leaves the picture least. */
function labelsOf(
  named: readonly Named[],
  drawn: readonly { readonly x: number; readonly y: number; readonly r: number }[],
): readonly Label[] {
  const taken: Box[] = drawn.map(({ x, y, r }) => ({ x: x - r, y: y - r, width: 2 * r, height: 2 * r }));
  const { width: wide, height: high, left, bottom } = FRONTIER;
  const inside: Box = { x: left, y: 0, width: wide - left, height: high - bottom };
  return named.map((one) => {
    const places = placesFor(one).map((label) => {
      const box = written(label, one.words);
      const outside = box.width * box.height - shared(box, inside);
      return { label, box, cost: taken.reduce((sum, other) => sum + shared(box, other), 10 * outside) };
    });
    const { label, box } = places.reduce((best, place) => (place.cost < best.cost - NOTHING ? place : best));
    taken.push(box);
    return label;
  });
}

export type FrontierGeometry = NonNullable<ReturnType<typeof frontierGeometry>>;

/** The drop nearest to a place in the picture, by its place among all. */
export function nearestDrop({ drops }: FrontierGeometry, place: { readonly x: number; readonly y: number }): number {
  let [nearest, least] = [0, Infinity];
  for (const { x, y, at } of drops) {
    const distance = (x - place.x) ** 2 + (y - place.y) ** 2;
    if (distance < least) [nearest, least] = [at, distance];
  }
  return nearest;
}

/** The drops between two places along the foot; null where none lies there, or all of what is shown. */
export function brushedSpan({ drops }: FrontierGeometry, from: number, to: number): DropSpan | null {
  const [low, high] = [Math.min(from, to), Math.max(from, to)];
  const inside = drops.filter(({ x }) => x >= low && x <= high);
  const [first, last] = [inside[0], inside.at(-1)];
  if (first === undefined || last === undefined || inside.length === drops.length) return null;
  return { first: first.at, last: last.at };
}

/** A drawn band narrower than this is a press on one drop, in units of the picture. */
export const LEAST_BRUSH = 20;
