import { mmOfPoints, type LabelDesign, type LaidBox } from "@tensidrum/core/packaging";
import { memo, useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { labelRules, onGrid } from "./geometry";
import classes from "./LabelSheet.module.css";

interface LabelSheetProps {
  readonly design: LabelDesign;
  readonly laid: readonly LaidBox[];
  readonly qr: readonly (readonly boolean[])[];
  readonly selected: string | null;
  readonly nameOf: (id: string) => string;
  readonly onSelect: (id: string) => void;
  /** How a box stands while the hand holds it. */
  readonly heldBox: (held: Moved) => LaidBox | undefined;
  /** A box was moved, or with `isSize` its lower right corner, mm: by a key, or when the hand lets go. */
  readonly onMove: (moved: Moved) => void;
}

/** By how much a box is moved, mm. */
export interface Moved {
  readonly id: string;
  readonly isSize: boolean;
  readonly x: number;
  readonly y: number;
}

const STEP_MM = 0.5;
const GRIP_MM = 2;

/** A label to scale with its fields, to be moved by hand or by the arrow keys; with Shift their size changes. */
export function LabelSheet({ design, laid, qr, selected, nameOf, onSelect, heldBox, onMove }: LabelSheetProps) {
  const { viewBox, across, down } = labelRules(design.widthMm, design.heightMm);
  const svg = useRef<SVGSVGElement>(null);
  const began = useRef({ x: 0, y: 0 });
  // Only what is held is drawn again while the hand moves.
  const [held, setHeld] = useState<Moved | null>(null);
  const mmAt = (event: PointerEvent): { readonly x: number; readonly y: number } => {
    const matrix = svg.current?.getScreenCTM();
    if (matrix == null) return { x: 0, y: 0 };
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return { x: onGrid(point.x), y: onGrid(point.y) };
  };
  const take = (event: PointerEvent<SVGElement>, id: string, isSize: boolean) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    began.current = mmAt(event);
    setHeld({ id, isSize, x: 0, y: 0 });
    onSelect(id);
  };
  const move = (event: PointerEvent) => {
    if (held === null) return;
    const at = mmAt(event);
    const [x, y] = [at.x - began.current.x, at.y - began.current.y];
    if (x !== held.x || y !== held.y) setHeld({ ...held, x, y });
  };
  const letGo = () => {
    if (held !== null && (held.x !== 0 || held.y !== 0)) onMove(held);
    setHeld(null);
  };
  const onKeyDown = (event: KeyboardEvent, id: string) => {
    const by = steps[event.key];
    if (by === undefined) return;
    event.preventDefault();
    onMove({ id, isSize: event.shiftKey, x: by.x * STEP_MM, y: by.y * STEP_MM });
  };
  const newest = useRef({ take, onKeyDown, onSelect });
  useEffect(() => {
    newest.current = { take, onKeyDown, onSelect };
  });
  // The same for the whole life of the label: a box that is not held need not be drawn again for it.
  const [acts] = useState<BoxActs>(() => ({
    take: (event, id, isSize) => newest.current.take(event, id, isSize),
    press: (event, id) => newest.current.onKeyDown(event, id),
    select: (id) => newest.current.onSelect(id),
  }));
  return (
    <svg
      ref={svg}
      viewBox={viewBox}
      className={classes.sheet}
      role="group"
      aria-label={`Label of ${design.widthMm} by ${design.heightMm} mm`}
      onPointerMove={move}
      onPointerUp={letGo}
      onPointerCancel={() => setHeld(null)}
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
      {laid.map((one) => {
        const { id } = one.box;
        const shown = held?.id === id ? (heldBox(held) ?? one) : one;
        return (
          <BoxOnLabel
            key={id}
            laid={shown}
            qr={one.box.field === "qr" ? qr : NO_QR}
            name={nameOf(id)}
            isSelected={id === selected}
            acts={acts}
          />
        );
      })}
    </svg>
  );
}

const NO_QR: LabelSheetProps["qr"] = [];

interface BoxActs {
  readonly take: (event: PointerEvent<SVGElement>, id: string, isSize: boolean) => void;
  readonly press: (event: KeyboardEvent, id: string) => void;
  readonly select: (id: string) => void;
}

interface BoxOnLabelProps {
  readonly laid: LaidBox;
  readonly qr: LabelSheetProps["qr"];
  readonly name: string;
  readonly isSelected: boolean;
  readonly acts: BoxActs;
}

/** One field with its lines as they print. */
const BoxOnLabel = memo(function BoxOnLabel({ laid: { box, lines, points, state }, qr, name, isSelected, acts }: BoxOnLabelProps) {
  return (
    <g>
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
        data-selected={isSelected || undefined}
        role="button"
        tabIndex={0}
        aria-pressed={isSelected}
        aria-label={`${name}, ${stateWords[state]}; at ${box.x} and ${box.y} mm, ${box.width} by ${box.height} mm`}
        onFocus={() => acts.select(box.id)}
        onPointerDown={(event) => acts.take(event, box.id, false)}
        onKeyDown={(event) => acts.press(event, box.id)}
      />
      {isSelected && (
        <rect
          x={box.x + box.width - GRIP_MM / 2}
          y={box.y + box.height - GRIP_MM / 2}
          width={GRIP_MM}
          height={GRIP_MM}
          className={classes.grip}
          aria-hidden="true"
          onPointerDown={(event) => acts.take(event, box.id, true)}
        />
      )}
    </g>
  );
});

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
