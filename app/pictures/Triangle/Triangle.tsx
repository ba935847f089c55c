import { writtenShort } from "@tensidrum/core/quantities";
import { memo, type PointerEvent, type RefObject, useMemo } from "react";
import { ChargeSign } from "../../components/ChargeSign";
import {
  amphotericLine,
  bandsOf,
  edgeLabels,
  type EdgeWords,
  levelPath,
  OUTLINE,
  PICTURE,
  placeOf,
  sharesAt,
  type TriShares,
} from "./geometry";
import classes from "./Triangle.module.css";

/** The field of one estimate over the triangle. */
export interface TriangleField {
  readonly steps: number;
  readonly values: ArrayLike<number>;
  /** Edges of the tints, from light to dark; the ends are infinite. */
  readonly levels: readonly number[];
  /** Levels drawn as lines, with the words above each. */
  readonly named: readonly { readonly level: number; readonly words: string }[];
  /** Names of stretches of values, written along the left edge. */
  readonly edgeWords: readonly EdgeWords[];
}

export interface Ghost {
  readonly label: string;
  readonly shares: TriShares;
}

interface TriangleProps {
  readonly field: TriangleField | null;
  readonly now: TriShares;
  readonly was: TriShares;
  readonly ghosts: readonly Ghost[];
  readonly label: string;
  readonly svgRef: RefObject<SVGSVGElement | null>;
  readonly onMove: (shares: TriShares) => void;
  readonly onNudge: (change: Partial<TriShares>) => void;
}

const TINTS = 8;
const NUDGE = 1;
const FINE_NUDGE = 0.1;

/** The blend triangle: contours, ghosts of earlier versions, and a point to drag or to move by arrows. */
export function Triangle({ field, now, was, ghosts, label, svgRef, onMove, onNudge }: TriangleProps) {
  const at = placeOf(now);
  const from = placeOf(was);
  const drag = (event: PointerEvent<SVGSVGElement>) => {
    if (event.type === "pointerdown") event.currentTarget.setPointerCapture(event.pointerId);
    else if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const box = event.currentTarget.getBoundingClientRect();
    onMove(
      sharesAt({
        x: ((event.clientX - box.left) * PICTURE.width) / box.width,
        y: ((event.clientY - box.top) * PICTURE.height) / box.height,
      }),
    );
  };
  return (
    <svg
      ref={svgRef}
      className={classes.triangle}
      viewBox={`0 0 ${PICTURE.width} ${PICTURE.height.toFixed(0)}`}
      role="application"
      aria-roledescription="blend triangle"
      aria-label={label}
      data-autofocus
      tabIndex={0}
      onPointerDown={drag}
      onPointerMove={drag}
      onKeyDown={(event) => {
        const by = event.shiftKey ? FINE_NUDGE : NUDGE;
        const change = nudgeOf(event.key, by);
        if (change === null) return;
        event.preventDefault();
        onNudge(change);
      }}
    >
      <Field field={field} />
      <path className={classes.guide} d={amphotericLine(20)} />
      <path className={classes.guide} d={amphotericLine(50)} />
      <path className={classes.outline} d={OUTLINE} />
      <Corners />
      {ghosts.length > 1 && <path className={classes.trail} d={`M${ghosts.map(({ shares }) => pair(placeOf(shares))).join("L")}`} />}
      {ghosts.map((ghost) => {
        const place = placeOf(ghost.shares);
        return (
          <g key={ghost.label}>
            <circle className={classes.ghost} cx={place.x} cy={place.y} r={4.5} />
            <text className={classes.ghostName} x={place.x - 8} y={place.y - 8} textAnchor="end">
              {ghost.label}
            </text>
          </g>
        );
      })}
      <path className={classes.move} d={`M${pair(from)}L${pair(at)}`} />
      <circle className={classes.was} cx={from.x} cy={from.y} r={5.6} />
      <circle className={classes.ring} cx={at.x} cy={at.y} r={20} />
      <circle className={classes.now} cx={at.x} cy={at.y} r={7} />
    </svg>
  );
}

function pair({ x, y }: { readonly x: number; readonly y: number }): string {
  return `${x.toFixed(1)},${y.toFixed(1)}`;
}

function nudgeOf(key: string, by: number): Partial<TriShares> | null {
  if (key === "ArrowLeft") return { anionic: by, amphoteric: -by };
  if (key === "ArrowRight") return { anionic: -by, amphoteric: by };
  if (key === "ArrowUp") return { nonionic: by };
  if (key === "ArrowDown") return { nonionic: -by };
  return null;
}

const Field = memo(function Field({ field }: { readonly field: TriangleField | null }) {
  const drawn = useMemo(() => {
    if (field === null) return null;
    const { values, steps, levels, named, edgeWords } = field;
    return {
      bands: bandsOf(values, steps, levels),
      lines: named.map(({ level, words }) => ({ words, path: levelPath(values, steps, level) })),
      words: edgeLabels(values, steps, edgeWords),
    };
  }, [field]);
  if (drawn === null) return null;
  return (
    <>
      {drawn.bands.map((band, at) => (
        <path key={at} className={classes.band} style={{ fill: `var(--contour-${Math.min(TINTS, at + 1)})` }} d={band.path} />
      ))}
      {drawn.lines.map(({ words, path }) => (
        <path key={words} className={classes.level} d={path}>
          <title>{words}</title>
        </path>
      ))}
      {drawn.words.map(({ x, y, words }) => (
        <text key={words} className={classes.edgeWords} x={x} y={y} textAnchor="end">
          {words}
        </text>
      ))}
    </>
  );
});

const Corners = memo(function Corners() {
  const corners = [
    { charge: "anionic", place: placeOf({ anionic: 1, amphoteric: 0, nonionic: 0 }), dx: -16, dy: 16, anchor: "start", tx: -30 },
    { charge: "amphoteric", place: placeOf({ anionic: 0, amphoteric: 1, nonionic: 0 }), dx: 16, dy: 16, anchor: "end", tx: 30 },
    { charge: "nonionic", place: placeOf({ anionic: 0, amphoteric: 0, nonionic: 1 }), dx: 0, dy: -22, anchor: "start", tx: 18 },
  ] as const;
  return (
    <>
      {corners.map(({ charge, place, dx, dy, anchor, tx }) => (
        <g key={charge}>
          <ChargeSign charge={charge} cx={place.x + dx} cy={place.y + dy} radius={12} />
          <text className={classes.corner} x={place.x + tx} y={place.y + dy + (dy > 0 ? 30 : 5)} textAnchor={anchor}>
            all {charge}
          </text>
        </g>
      ))}
    </>
  );
});

/** "47.3 % anionic, 34.4 % amphoteric, 18.3 % nonionic". */
export function sharesText({ anionic, amphoteric, nonionic }: TriShares): string {
  const share = (value: number) => `${writtenShort(value, 1)} %`;
  return `${share(anionic)} anionic, ${share(amphoteric)} amphoteric, ${share(nonionic)} nonionic`;
}
