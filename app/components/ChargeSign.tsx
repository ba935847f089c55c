import type { Charge } from "@tensidrum/core/library";

interface ChargeSignProps {
  readonly charge: Charge;
  readonly cx: number;
  readonly cy: number;
  readonly radius: number;
}

/** The sign of a charge type in its circle, for use inside a picture. The words stand beside it. */
export function ChargeSign({ charge, cx, cy, radius }: ChargeSignProps) {
  const r = radius * 0.5;
  const colour = `var(--${charge})`;
  return (
    <g fill="none" stroke={colour} strokeWidth={radius > 8 ? 1.6 : 1.4}>
      <circle cx={cx} cy={cy} r={radius} fill="var(--glaze)" />
      {charge === "anionic" && <path d={`M${cx - r} ${cy}h${2 * r}`} />}
      {charge === "cationic" && <path d={`M${cx - r} ${cy}h${2 * r}M${cx} ${cy - r}v${2 * r}`} />}
      {charge === "amphoteric" && (
        <path d={`M${cx - r} ${cy - r * 0.3}h${2 * r}M${cx} ${cy - r * 1.2}v${r * 1.8}M${cx - r} ${cy + r}h${2 * r}`} />
      )}
      {charge === "nonionic" && <ellipse cx={cx} cy={cy} rx={r * 0.6} ry={r * 0.9} />}
    </g>
  );
}

/** The same sign on its own, for a line of text; read out as the charge type's name where no word stands beside it. */
export function ChargeTag({ charge, name }: { readonly charge: Charge; readonly name?: string }) {
  return (
    <svg
      width="17"
      height="17"
      viewBox="0 0 17 17"
      role={name === undefined ? undefined : "img"}
      aria-label={name}
      aria-hidden={name === undefined || undefined}
    >
      <ChargeSign charge={charge} cx={8.5} cy={8.5} radius={7.2} />
    </svg>
  );
}
