import { written, writtenShort } from "@tensidrum/core/quantities";
import { useId, useRef } from "react";
import { PictureDownload } from "../../components/PictureDownload";
import { useFrame } from "../frame";
import { Axes } from "../Stair/Axes";
import stair from "../Stair/Stair.module.css";
import { DRIFT, driftGeometry, NARROW_DRIFT, type DriftAsk } from "./geometry";
import classes from "./Drift.module.css";

interface DriftProps extends DriftAsk {
  /** As "pH". */
  readonly what: string;
  readonly unit: string;
  readonly decimals: number;
}

/** A reading of each sample over the days, between the bounds it must not cross, and where one is going. */
export function Drift({ what, unit, decimals, ...ask }: DriftProps) {
  const frame = useFrame({ wide: DRIFT, narrow: NARROW_DRIFT });
  const { series, band, trend, range, xTicks, yTicks } = driftGeometry(ask, frame);
  const { width, height, left, right, top, bottom } = frame;
  const [hatch, clip] = [useId(), useId()];
  const say = (value: number): string => `${written(value, decimals)}${unit === "" ? "" : ` ${unit}`}`;
  const beyond = { x: left, width: width - left - right, fill: `url(#${hatch})` };
  const picture = useRef<SVGSVGElement>(null);
  return (
    <>
      <svg ref={picture} className={classes.drift} viewBox={`0 0 ${width} ${height}`} role="img" aria-label={told(what, say, ask)}>
        <defs>
          <pattern id={hatch} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line className={classes.hatch} x1="0" y1="0" x2="0" y2="7" />
          </pattern>
          <clipPath id={clip}>
            <rect x={left} y={top} width={width - left - right} height={height - top - bottom} />
          </clipPath>
        </defs>
        {band !== null && ask.band !== null && (
          <>
            <rect {...beyond} y={top} height={band.high - top} />
            <line className={classes.alarm} x1={left} x2={width - right} y1={band.high} y2={band.high} />
            <text className={classes.alarmName} x={left + 6} y={band.high - 5}>
              alarm over {say(ask.band.high)}
            </text>
          </>
        )}
        {band !== null && band.low !== null && (
          <>
            <rect {...beyond} y={band.low} height={height - bottom - band.low} />
            <line className={classes.alarm} x1={left} x2={width - right} y1={band.low} y2={band.low} />
            <text className={classes.alarmName} x={left + 6} y={band.low + 13}>
              alarm under {say(ask.band?.low ?? 0)}
            </text>
          </>
        )}
        <Axes frame={frame} xTicks={xTicks} yTicks={yTicks} name="days" />
        {range !== null && <path className={classes.range} d={range} clipPath={`url(#${clip})`} />}
        {trend !== null && <path className={classes.trend} d={trend} clipPath={`url(#${clip})`} />}
        {series.map(({ storage, path, mark, end }) => (
          <g key={storage} data-storage={storage} className={classes.sample}>
            <defs>
              <marker id={`${hatch}-${storage}`} markerUnits="userSpaceOnUse" overflow="visible">
                <path className={classes.mark} d={mark} />
              </marker>
            </defs>
            <path
              className={classes.line}
              d={path}
              markerStart={`url(#${hatch}-${storage})`}
              markerMid={`url(#${hatch}-${storage})`}
              markerEnd={`url(#${hatch}-${storage})`}
            />
            {end !== null && (
              <text className={stair.reading} x={end.x + 9} y={end.y + 4}>
                {written(end.value, decimals)} {storage}
              </text>
            )}
          </g>
        ))}
      </svg>
      <PictureDownload name={what.toLowerCase()} picture={picture} />
    </>
  );
}

function told(what: string, say: (value: number) => string, { series, band }: DriftAsk): string {
  const sentences = series.flatMap(({ storage, points }) => {
    const [first, last] = [points[0], points.at(-1)];
    if (first === undefined || last === undefined) return [];
    return [
      `${storage}: ${say(first.value)} on day ${writtenShort(first.day, 0)}, ${say(last.value)} on day ${writtenShort(last.day, 0)}.`,
    ];
  });
  const bounds = band === null ? "" : ` It must stay ${band.low === null ? "under" : `between ${say(band.low)} and`} ${say(band.high)}.`;
  return sentences.length === 0 ? `${what}: nothing read yet.` : `${what}, ${sentences.join(" ")}${bounds}`;
}
