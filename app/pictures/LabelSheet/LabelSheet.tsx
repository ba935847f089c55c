import { mmOfPoints, type LabelDesign, type LaidBox } from "@tensidrum/core/packaging";
import { useRef, type KeyboardEvent, type PointerEvent } from "react";
import { labelRules, onGrid } from "./geometry";
import classes from "./LabelSheet.module.css";

interface LabelSheetProps {
  readonly design: LabelDesign;
  readonly laid: readonly LaidBox[];
  readonly qr: readonly (readonly boolean[])[];
  readonly selected: string | null;
  readonly nameOf: (id: string) => string;
  readonly onSelect: (id: string) => void;
  /** Moves a box, or with `isSize` its lower right corner, mm; what one hold of the hand moves has one `hold`. */
  readonly onMove: (
    id: string,
    by: { readonly x: number; readonly y: number },
    how: { readonly isSize: boolean; readonly hold: string | null },
  ) => void;
}

const STEP_MM = 0.5;
const GRIP_MM = 2;

/** A label to scale with its fields, to be moved by hand or by the arrow keys; with Shift their size changes. */
export function LabelSheet({ design, laid, qr, selected, nameOf, onSelect, onMove }: LabelSheetProps) {
  const { viewBox, across, down } = labelRules(design.widthMm, design.heightMm);
  const svg = useRef<SVGSVGElement>(null);
  const held = useRef<{ readonly id: string; readonly isSize: boolean; readonly hold: string; x: number; y: number } | null>(null);
  const mmAt = (event: PointerEvent): { readonly x: number; readonly y: number } => {
    const matrix = svg.current?.getScreenCTM();
    if (matrix == null) return { x: 0, y: 0 };
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return { x: onGrid(point.x), y: onGrid(point.y) };
  };
  const take = (event: PointerEvent<SVGElement>, id: string, isSize: boolean) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    held.current = { id, isSize, hold: `${id} ${event.timeStamp}`, ...mmAt(event) };
    onSelect(id);
  };
  const move = (event: PointerEvent) => {
    const hand = held.current;
    if (hand === null) return;
    const { x, y } = mmAt(event);
    if (x === hand.x && y === hand.y) return;
    onMove(hand.id, { x: x - hand.x, y: y - hand.y }, { isSize: hand.isSize, hold: hand.hold });
    held.current = { ...hand, x, y };
  };
  const letGo = () => {
    held.current = null;
  };
  const onKeyDown = (event: KeyboardEvent, id: string) => {
    const by = steps[event.key];
    if (by === undefined) return;
    event.preventDefault();
    onMove(id, { x: by.x * STEP_MM, y: by.y * STEP_MM }, { isSize: event.shiftKey, hold: null });
  };
  return (
    <svg
      ref={svg}
      viewBox={viewBox}
      className={classes.sheet}
      role="group"
      aria-label={`Label of ${design.widthMm} by ${design.heightMm} mm`}
      onPointerMove={move}
      onPointerUp={letGo}
      onPointerCancel={letGo}
    >
      <rect width={design.widthMm} height={design.heightMm} className={classes.paper} />
      <g className={classes.rule} aria-hidden="true">
        {across.map(({ at, length, word }) => (
          <g key={at}>
            <line x1={at} x2={at} y1={-1} y2={-1 - length} />
            {word !== null && (
              <text x={at + 0.3} y={-2.4}>
                {word}
              </text>
            )}
          </g>
        ))}
        {down.map(({ at, length, word }) => (
          <g key={at}>
            <line y1={at} y2={at} x1={-1} x2={-1 - length} />
            {word !== null && at > 0 && (
              <text x={-3.8} y={at - 0.4}>
                {word}
              </text>
            )}
          </g>
        ))}
      </g>
      {laid.map(({ box, lines, points, state }) => (
        <g key={box.id}>
          {box.field === "qr" && <Squares qr={qr} x={box.x} y={box.y} size={Math.min(box.width, box.height)} />}
          {lines.map((line, at) => (
            <text
              key={at}
              x={line.x}
              y={line.y}
              fontSize={mmOfPoints(points)}
              fontWeight={box.isBold ? 700 : 400}
              textLength={line.width > 0 ? line.width : undefined}
              lengthAdjust="spacingAndGlyphs"
              aria-hidden="true"
            >
              {line.text}
            </text>
          ))}
          <rect
            x={box.x}
            y={box.y}
            width={box.width}
            height={box.height}
            className={classes.box}
            data-state={state}
            data-selected={box.id === selected || undefined}
            role="button"
            tabIndex={0}
            aria-pressed={box.id === selected}
            aria-label={`${nameOf(box.id)}, ${stateWords[state]}; at ${box.x} and ${box.y} mm, ${box.width} by ${box.height} mm`}
            onFocus={() => onSelect(box.id)}
            onPointerDown={(event) => take(event, box.id, false)}
            onKeyDown={(event) => onKeyDown(event, box.id)}
          />
          {box.id === selected && (
            <rect
              x={box.x + box.width - GRIP_MM / 2}
              y={box.y + box.height - GRIP_MM / 2}
              width={GRIP_MM}
              height={GRIP_MM}
              className={classes.grip}
              aria-hidden="true"
              onPointerDown={(event) => take(event, box.id, true)}
            />
          )}
        </g>
      ))}
    </svg>
  );
}

const steps: Readonly<Record<string, { readonly x: number; readonly y: number }>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

const stateWords: Readonly<Record<LaidBox["state"], string>> = {
  fits: "fits",
  shrunk: "printed smaller",
  "does-not-fit": "does not fit",
  empty: "empty",
  outside: "beyond the label",
};

interface SquaresProps {
  readonly qr: LabelSheetProps["qr"];
  readonly x: number;
  readonly y: number;
  readonly size: number;
}

function Squares({ qr, x, y, size }: SquaresProps) {
  const square = size / Math.max(1, qr.length);
  const path = qr
    .flatMap((cells, row) =>
      cells.flatMap((isDark, column) => (isDark ? [`M${x + column * square} ${y + row * square}h${square}v${square}h${-square}z`] : [])),
    )
    .join("");
  return <path d={path} fill="#111" aria-hidden="true" />;
}
