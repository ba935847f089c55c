import { writtenShort } from "@tensidrum/core/quantities";
import { memo, useMemo, useRef } from "react";
import { Fold } from "../../components/Fold";
import { PictureDownload } from "../../components/PictureDownload";
import classes from "./Corridor.module.css";
import { corridorGeometry, tellingLanes, type CorridorData } from "./geometry";

/** Who wants which pH, the opening that suits everyone, and the measured pH as a plumb line. */
export const Corridor = memo(function Corridor(data: CorridorData) {
  const shown = useMemo(() => tellingLanes(data.lanes), [data.lanes]);
  const svg = useRef<SVGSVGElement>(null);
  const picture = useMemo(() => corridorGeometry({ ...data, lanes: shown }), [data, shown]);
  const hidden = data.lanes.length - shown.length;
  const { opening, plumb, bottom, laneHeight, left, right } = picture;
  const ph = (value: number) => writtenShort(value, 2);
  return (
    <figure className={classes.figure}>
      <svg
        ref={svg}
        viewBox={`0 0 ${picture.width} ${picture.height}`}
        role="img"
        aria-label={
          data.isEmpty
            ? "pH corridor: no pH suits all lines."
            : `pH corridor: open from ${ph(data.low)} to ${ph(data.high)}${data.measured === null ? "" : `; measured ${ph(data.measured)}`}.`
        }
      >
        {picture.lanes.map((lane) => (
          <g key={lane.name}>
            <text className={classes.name} x={0} y={lane.y + 13}>
              {lane.name.length > 24 ? `${lane.name.slice(0, 23)}…` : lane.name}
              <title>{lane.name}</title>
            </text>
            <rect className={classes.ground} x={left} y={lane.y} width={right - left} height={laneHeight} />
            <rect
              className={lane.path === null ? classes.lane : classes.faint}
              x={lane.x}
              y={lane.y}
              width={lane.width}
              height={laneHeight}
            />
            {lane.path !== null && <path className={classes.strength} d={lane.path} clipPath="none" />}
          </g>
        ))}
        {opening !== null && (
          <>
            <rect className={classes.opening} x={opening.x} y={20} width={opening.width} height={bottom - 18} />
            <text className={classes.open} x={opening.x + opening.width / 2} y={13} textAnchor={opening.x > 480 ? "end" : "middle"}>
              open {ph(data.low)} to {ph(data.high)}
            </text>
          </>
        )}
        {plumb !== null && (
          <>
            <path className={classes.plumb} d={plumb.path} />
            <path className={classes.bob} d={`M${plumb.x - 5},${bottom + 6}h10l-5,9z`} />
          </>
        )}
        <line className={classes.axis} x1={left} x2={right} y1={bottom + 2} y2={bottom + 2} />
        {picture.ticks.map((tick) => (
          <g key={tick.ph}>
            <line className={classes.axis} x1={tick.x} x2={tick.x} y1={bottom + 2} y2={bottom + 7} />
            <text className={classes.tick} x={tick.x} y={bottom + 22} textAnchor="middle">
              {tick.ph}
            </text>
          </g>
        ))}
        <text className={classes.tick} x={0} y={bottom + 22}>
          pH, 10 % dilution
        </text>
      </svg>
      <Fold className={classes.numbers} summary={hidden > 0 ? `as numbers, with ${hidden} more that leave more room` : "as numbers"}>
        <table>
          <thead>
            <tr>
              <th scope="col">range</th>
              <th scope="col">from pH</th>
              <th scope="col">to pH</th>
            </tr>
          </thead>
          <tbody>
            {data.lanes.map((lane) => (
              <tr key={lane.name}>
                <th scope="row">{lane.name}</th>
                <td>{ph(lane.low)}</td>
                <td>{ph(lane.high)}</td>
              </tr>
            ))}
            <tr>
              <th scope="row">all of them</th>
              <td>{data.isEmpty ? "none" : ph(data.low)}</td>
              <td>{data.isEmpty ? "none" : ph(data.high)}</td>
            </tr>
          </tbody>
        </table>
      </Fold>
      <PictureDownload name="ph-corridor" picture={svg} />
    </figure>
  );
});
