import type { Charge, Span } from "@tensidrum/core/library";
import { written, writtenShort } from "@tensidrum/core/quantities";
import { useId } from "react";
import { ChargeHatches, hatchId } from "../Column/hatches";
import { neckGeometry } from "./geometry";

interface NeckProps {
  readonly actives: readonly { readonly charge: Charge; readonly percent: number }[];
  readonly window: Span;
}

/** Active matter of a formula at a glance; its numbers stand beside it. */
export function Neck({ actives, window }: NeckProps) {
  const prefix = useId().replaceAll(":", "");
  const { width, height, glass, bands, inside, bracket } = neckGeometry(actives, window);
  const total = actives.reduce((sum, band) => sum + band.percent, 0);
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`Neck: ${written(total, 2)} % active, window ${writtenShort(window.low, 2)} to ${writtenShort(window.high, 2)} %`}
    >
      <defs>
        <ChargeHatches prefix={prefix} />
      </defs>
      {bands.map((band) => (
        <rect
          key={band.charge}
          x={inside.left}
          width={inside.width}
          y={band.y}
          height={band.height}
          fill={`url(#${hatchId(prefix, band.charge)})`}
        />
      ))}
      <path d={glass} fill="none" stroke="var(--ink)" strokeWidth="1.3" strokeLinecap="round" />
      <path d={`M${bracket.x} ${bracket.top}h-5V${bracket.bottom}h5`} fill="none" stroke="var(--water)" strokeWidth="2" />
    </svg>
  );
}
