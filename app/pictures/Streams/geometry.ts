/** A step as the picture sees it. */
export interface StreamStep {
  readonly id: string;
  /** Null away from the beakers. */
  readonly vessel: string | null;
  /** What is in its beaker once it is through, g; null away from the beakers. */
  readonly content: number | null;
  readonly after: readonly string[];
}

export interface StreamVessel {
  readonly id: string;
  readonly name: string;
}

export const STREAMS = { width: 168, row: 34, widest: 42, floor: 5, pad: 26 } as const;

export interface Strand {
  readonly vessel: string;
  readonly name: string;
  /** Middle of the strand. */
  readonly x: number;
  /** Its outline, wider where something comes in; it ends in the one it joins. */
  readonly path: string;
  readonly top: number;
}

export interface StreamsDrawn {
  readonly height: number;
  readonly strands: readonly Strand[];
  /** Middle of each step's row. */
  readonly rows: ReadonlyMap<string, { readonly y: number; readonly x: number | null }>;
}

/**
 * Beakers as streams that run down the steps and merge: a strand begins at its beaker's first step, is as wide as what is
 * in it, with a floor so that a pinch is seen, and runs into the beaker whose step follows its last.
 */
export function streamsGeometry(steps: readonly StreamStep[], vessels: readonly StreamVessel[]): StreamsDrawn {
  const used = vessels.filter(({ id }) => steps.some(({ vessel }) => vessel === id));
  const gap = STREAMS.width / Math.max(1, used.length);
  const xOf = new Map(used.map(({ id }, at) => [id, gap * (at + 0.5)]));
  const rowOf = new Map(steps.map(({ id }, at) => [id, STREAMS.pad + at * STREAMS.row + STREAMS.row / 2]));
  const vesselOf = new Map(steps.map(({ id, vessel }) => [id, vessel]));
  const heaviest = Math.max(1, ...steps.map(({ content }) => content ?? 0));
  const widthOf = (grams: number): number => Math.max(STREAMS.floor, (STREAMS.widest * grams) / heaviest);
  const strands = used.map(({ id, name }): Strand => {
    const own = steps.filter(({ vessel }) => vessel === id);
    const x = xOf.get(id) ?? 0;
    const last = own.at(-1);
    const joined = steps.find(
      ({ vessel, after }) => vessel !== null && vessel !== id && after.some((step) => step === last?.id && vesselOf.get(step) === id),
    );
    const points = own.map((step) => ({ y: rowOf.get(step.id) ?? 0, half: widthOf(step.content ?? 0) / 2 }));
    return {
      vessel: id,
      name,
      x,
      top: points[0]?.y ?? 0,
      path: strandPath(x, points, joined === undefined ? null : { x: xOf.get(joined.vessel ?? "") ?? x, y: rowOf.get(joined.id) ?? 0 }),
    };
  });
  return {
    height: STREAMS.pad * 2 + steps.length * STREAMS.row,
    strands,
    rows: new Map(steps.map(({ id, vessel }) => [id, { y: rowOf.get(id) ?? 0, x: vessel === null ? null : (xOf.get(vessel) ?? null) }])),
  };
}

const ROOM = 11;

function strandPath(
  x: number,
  points: readonly { readonly y: number; readonly half: number }[],
  join: { readonly x: number; readonly y: number } | null,
): string {
  const [first] = points;
  const last = points.at(-1);
  if (first === undefined || last === undefined) return "";
  const n = (value: number): string => String(Math.round(value * 100) / 100);
  const left = [`M${n(x - first.half)} ${n(first.y - ROOM)}`, ...points.map(({ y, half }) => `L${n(x - half)} ${n(y)}`)];
  const right = points.toReversed().map(({ y, half }) => `L${n(x + half)} ${n(y)}`);
  const end =
    join === null
      ? [`L${n(x - last.half)} ${n(last.y + ROOM)}`, `L${n(x + last.half)} ${n(last.y + ROOM)}`]
      : [
          `C${n(x - last.half)} ${n(join.y)} ${n(x - last.half)} ${n(join.y)} ${n(join.x)} ${n(join.y - 2)}`,
          `L${n(join.x)} ${n(join.y + 2)}`,
          `C${n(x + last.half)} ${n(join.y)} ${n(x + last.half)} ${n(last.y + ROOM)} ${n(x + last.half)} ${n(last.y)}`,
        ];
  return [...left, ...end, ...right, `L${n(x + first.half)} ${n(first.y - ROOM)}`, "Z"].join(" ");
}
