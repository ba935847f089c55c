import "@mantine/core/styles/Slider.layer.css";
import { Button, RangeSlider } from "@mantine/core";
import { type KeyboardEvent, type PointerEvent, useId, useMemo, useRef, useState } from "react";
import { PictureDownload } from "../../components/PictureDownload";
import { Drop } from "./Drop";
import { brushedSpan, FRONTIER, frontierGeometry, LEAST_BRUSH, nearestDrop, type DropSpan, type FrontierMark } from "./geometry";
import { legendWords, type FrontierBlend } from "./legendWords";
import classes from "./Frontier.module.css";

interface FrontierProps {
  readonly blends: readonly FrontierBlend[];
  readonly marks: readonly FrontierMark[];
  readonly alongWords: string;
  readonly isMoreBetter: boolean;
  readonly chosen: number;
  /** The one it is compared with; null for none. */
  readonly held: number | null;
  readonly onChoose: (at: number) => void;
}

/**
 * The blends no other is better than, as drops along an edge. Arrow keys walk it, a finger takes the nearest; a band drawn across it,
 * or the two ends below it, narrow the picture to a part.
 */
export function Frontier({ blends, marks, alongWords, isMoreBetter, chosen, held, onChoose }: FrontierProps) {
  const [narrowed, setNarrowed] = useState<(DropSpan & { readonly of: number }) | null>(null);
  // Another frontier is shown whole.
  const span = narrowed?.of === blends.length ? narrowed : null;
  const geometry = useMemo(() => frontierGeometry({ drops: blends, marks, isMoreBetter, span }), [blends, marks, isMoreBetter, span]);
  const picture = useRef<SVGSVGElement>(null);
  const id = useId();
  const [under, setUnder] = useState<number | null>(null);
  const [band, setBand] = useState<{ readonly from: number; readonly to: number } | null>(null);
  if (geometry === null) return null;
  const { width, height, left, right, top, bottom } = FRONTIER;
  const [first, last] = [span?.first ?? 0, span?.last ?? blends.length - 1];
  const narrow = (to: DropSpan | null): void => {
    setNarrowed(to === null ? null : { ...to, of: blends.length });
    if (to !== null && (chosen < to.first || chosen > to.last)) onChoose(chosen < to.first ? to.first : to.last);
  };
  const walk = (event: KeyboardEvent): void => {
    if (event.key === "Escape" && span !== null) return narrow(null);
    const step = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1, Home: -blends.length, End: blends.length }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    onChoose(Math.min(last, Math.max(first, chosen + step)));
  };
  const placeOf = (event: PointerEvent): { readonly x: number; readonly y: number } | null => {
    const matrix = picture.current?.getScreenCTM();
    return matrix == null ? null : new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
  };
  const press = (event: PointerEvent): void => {
    const place = placeOf(event);
    if (place === null) return;
    picture.current?.setPointerCapture(event.pointerId);
    setBand({ from: place.x, to: place.x });
  };
  const move = (event: PointerEvent): void => {
    const place = placeOf(event);
    if (place === null) return;
    setUnder(nearestDrop(geometry, place));
    if (band !== null) setBand({ from: band.from, to: place.x });
  };
  const lift = (event: PointerEvent): void => {
    const place = placeOf(event);
    if (place === null || band === null) return;
    setBand(null);
    if (Math.abs(place.x - band.from) < LEAST_BRUSH) return onChoose(nearestDrop(geometry, place));
    const brushed = brushedSpan(geometry, band.from, place.x);
    if (brushed !== null) narrow(brushed);
  };
  const isDrawn = band !== null && Math.abs(band.to - band.from) >= LEAST_BRUSH;
  return (
    <figure className={classes.figure}>
      <svg
        ref={picture}
        className={classes.frontier}
        viewBox={`0 0 ${width} ${height}`}
        role="slider"
        tabIndex={0}
        aria-label="Blends that no other is better than. Arrow keys walk along them."
        aria-valuemin={first + 1}
        aria-valuemax={last + 1}
        aria-valuenow={chosen + 1}
        aria-valuetext={blends[chosen]?.words}
        onKeyDown={walk}
        onPointerDown={press}
        onPointerMove={move}
        onPointerUp={lift}
        onPointerCancel={() => setBand(null)}
        onPointerLeave={() => setUnder(null)}
      >
        <defs>
          <pattern id={`${id}hatch`} width={8} height={8} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line className={classes.hatch} x1={0} x2={0} y1={0} y2={8} />
          </pattern>
          <clipPath id={`${id}plot`}>
            <rect x={left} y={top} width={width - left - right} height={height - top - bottom} />
          </clipPath>
        </defs>
        <g clipPath={`url(#${id}plot)`}>
          <path d={geometry.unreached} fill={`url(#${id}hatch)`} />
        </g>
        <text className={classes.unreached} x={left + 10} y={height - bottom - 12}>
          no blend lies here
        </text>
        {geometry.irritationTicks.map(({ value, at }) => (
          <g key={value}>
            <line className={classes.grid} x1={left} x2={width - right} y1={at} y2={at} />
            <text className={classes.tick} x={left - 8} y={at + 4} textAnchor="end">
              {value}
            </text>
          </g>
        ))}
        {geometry.alongTicks.map(({ value, at }) => (
          <text key={value} className={classes.tick} x={at} y={height - bottom + 20} textAnchor="middle">
            {value}
          </text>
        ))}
        <text className={classes.axis} x={width - right} y={height - 8} textAnchor="end">
          {alongWords}
        </text>
        <text className={classes.axis} x={left} y={top - 10}>
          irritation, an estimate
        </text>
        <g clipPath={`url(#${id}plot)`}>
          <path className={classes.edge} d={geometry.edge} />
        </g>
        {geometry.drops.map((drop) => (
          <Drop key={drop.at} {...drop} blend={blends[drop.at]!} isChosen={drop.at === chosen} isHeld={drop.at === held} />
        ))}
        {geometry.marks.map(({ label, x, y }) => (
          <path key={label} className={classes.mark} d={`M${x - 6} ${y}L${x} ${y - 6}L${x + 6} ${y}L${x} ${y + 6}Z`} />
        ))}
        {geometry.names.map(({ words, x, y, anchor }) => (
          <text key={words} className={classes.name} x={x} y={y} textAnchor={anchor}>
            {words}
          </text>
        ))}
        {isDrawn && (
          <rect
            className={classes.band}
            x={Math.min(band.from, band.to)}
            y={top}
            width={Math.abs(band.to - band.from)}
            height={height - top - bottom}
          />
        )}
      </svg>
      {blends.length > 2 && (
        <div className={classes.ends}>
          <RangeSlider
            size="sm"
            label={null}
            min={1}
            max={blends.length}
            minRange={1}
            thumbFromLabel="Show from this blend on"
            thumbToLabel="Show up to this blend"
            value={[first + 1, last + 1]}
            onChange={([from, to]) => narrow(from === 1 && to === blends.length ? null : { first: from - 1, last: to - 1 })}
          />
        </div>
      )}
      <figcaption className={classes.caption}>
        {span !== null && (
          <Button variant="default" h={36} mr="sm" onClick={() => narrow(null)}>
            Show all
          </Button>
        )}
        {(under === null ? undefined : blends[under]?.words) ?? legendWords(blends)} <PictureDownload name="blends" picture={picture} />
      </figcaption>
    </figure>
  );
}
