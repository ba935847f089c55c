import { written, writtenShort } from "@tensidrum/core/quantities";
import classes from "./Beaker.module.css";
import { beakerGeometry, type BeakerPart } from "./geometry";

/** What is weighed into one beaker, drawn to share; the masses stand beside it, the lowest layer last. */
export function Beaker({ parts }: { readonly parts: readonly BeakerPart[] }) {
  const { width, height, capacityMl, glass, layers, marks } = beakerGeometry(parts);
  return (
    <figure className={classes.beaker}>
      <svg
        viewBox={`-2 0 ${width + 4} ${height + 2}`}
        width={width + 4}
        height={height + 2}
        role="img"
        aria-label={`A beaker of ${capacityMl} mL`}
      >
        {layers.map(({ name, y, height: high, tint }) => (
          <rect key={name} x={8} y={y} width={width - 8} height={high} fill={tint} />
        ))}
        {marks.map(({ y, ml }) => (
          <g key={ml} className={classes.mark}>
            <line x1={8} x2={20} y1={y} y2={y} />
            <text x={24} y={y + 4}>
              {writtenShort(ml, 0)}
            </text>
          </g>
        ))}
        <path d={glass} className={classes.glass} />
      </svg>
      <figcaption>
        {layers.toReversed().map(({ name, grams, tint }) => (
          <p key={name}>
            <output>{written(grams, 2)}</output> g {name}
            <span style={{ background: tint }} />
          </p>
        ))}
      </figcaption>
    </figure>
  );
}
