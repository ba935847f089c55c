import { written, writtenShort } from "@tensidrum/core/quantities";
import { beakerGeometry, type BeakerPart } from "./geometry";

/** What is weighed into one beaker, drawn to share; the masses stand beside their layers. */
export function Beaker({ parts }: { readonly parts: readonly BeakerPart[] }) {
  const { width, height, capacityMl, glass, layers, marks } = beakerGeometry(parts);
  const words = parts.map(({ name, grams }) => `${written(grams, 2)} g ${name}`).join(", ");
  return (
    <svg
      viewBox={`-2 0 ${width + 190} ${height + 2}`}
      width={width + 190}
      height={height + 2}
      role="img"
      aria-label={`A beaker of ${capacityMl} mL: ${words}.`}
      style={{ maxWidth: "100%" }}
    >
      {layers.map(({ name, y, height: high, tint }) => (
        <rect key={name} x={8} y={y} width={width - 8} height={high} fill={tint} />
      ))}
      {marks.map(({ y, ml }) => (
        <g key={ml}>
          <line x1={8} x2={20} y1={y} y2={y} stroke="var(--ink-3)" strokeWidth={0.8} />
          <text x={24} y={y + 4} fontSize={11.5} fill="var(--ink-3)">
            {writtenShort(ml, 0)}
          </text>
        </g>
      ))}
      <path d={glass} fill="none" stroke="var(--ink)" strokeWidth={1.5} strokeLinecap="round" />
      {layers.map(({ name, grams, y, height: high }) => (
        <text key={name} x={width + 10} y={Math.min(height - 4, y + high / 2 + 5)} fontSize={15} fill="var(--ink)">
          {written(grams, 2)} g {name}
        </text>
      ))}
    </svg>
  );
}
