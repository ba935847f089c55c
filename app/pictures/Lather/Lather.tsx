import { writtenShort } from "@tensidrum/core/quantities";
import { useRef } from "react";
import { PictureDownload } from "../../components/PictureDownload";
import { LATHER, latherGeometry, type LatherHeights } from "./geometry";
import classes from "./Lather.module.css";

const WHEN = ["at once", "1 min", "5 min"] as const;

/** Foam in a cylinder at once, after a minute and after five. */
export function Lather(heights: LatherHeights) {
  const jars = latherGeometry(heights);
  const told = jars.map(({ foamMm }, at) => `${WHEN[at]} ${writtenShort(foamMm, 0)} mm`).join(", ");
  const picture = useRef<SVGSVGElement>(null);
  return (
    <>
      <svg
        ref={picture}
        className={classes.lather}
        viewBox={`0 0 ${LATHER.width} ${LATHER.height}`}
        role="img"
        aria-label={`Foam: ${told}.`}
      >
        {jars.map(({ x, width, top, foam, liquid, bottom, foamMm }, at) => (
          <g key={WHEN[at]}>
            <rect className={classes.foam} x={x} y={foam} width={width} height={liquid - foam} />
            <rect className={classes.liquid} x={x} y={liquid} width={width} height={bottom - liquid} />
            <path className={classes.glass} d={`M${x} ${top}V${bottom}H${x + width}V${top}`} />
            <text className={classes.height} x={x + width + 6} y={Math.min(bottom - 18, foam + 14)}>
              {writtenShort(foamMm, 0)}
            </text>
            <text className={classes.when} x={x + width + 6} y={bottom}>
              {WHEN[at]}
            </text>
          </g>
        ))}
      </svg>
      <PictureDownload name="lather" picture={picture} />
    </>
  );
}
