import type { Charge } from "@tensidrum/core/library";

/** Hatch of a charge type: its own sign, repeated. The ids are told apart by `prefix`. */
export function ChargeHatches({ prefix }: { readonly prefix: string }) {
  return (
    <>
      <pattern id={hatchId(prefix, "anionic")} width="12" height="9" patternUnits="userSpaceOnUse">
        <rect width="12" height="9" fill="var(--anionic-tint)" />
        <path d="M1.5 2.2h5M7.5 6.700h5M-4.500 6.700h5" stroke="var(--anionic)" strokeWidth="1.3" />
      </pattern>
      <pattern id={hatchId(prefix, "amphoteric")} width="14" height="12" patternUnits="userSpaceOnUse">
        <rect width="14" height="12" fill="var(--amphoteric-tint)" />
        <path d="M2 4h5M4.500 1.500v5M2 8h5M9 9.500h5M11.500 7v5M9 2h5" stroke="var(--amphoteric)" strokeWidth="1.05" />
      </pattern>
      <pattern id={hatchId(prefix, "nonionic")} width="11" height="10" patternUnits="userSpaceOnUse">
        <rect width="11" height="10" fill="var(--nonionic-tint)" />
        <circle cx="3" cy="3" r="1.7" fill="none" stroke="var(--nonionic)" />
        <circle cx="8.500" cy="8" r="1.7" fill="none" stroke="var(--nonionic)" />
      </pattern>
      <pattern id={hatchId(prefix, "cationic")} width="9" height="9" patternUnits="userSpaceOnUse">
        <rect width="9" height="9" fill="var(--cationic-tint)" />
        <path d="M2.500 4.500h4M4.500 2.500v4" stroke="var(--cationic)" strokeWidth="1.1" />
      </pattern>
      <pattern id={`${prefix}-open`} width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
        <rect width="5" height="5" fill="var(--glaze)" />
        <path d="M0 2.500h5" stroke="var(--ink-2)" strokeWidth="0.8" />
      </pattern>
      <pattern id={`${prefix}-brought`} width="7" height="7" patternUnits="userSpaceOnUse">
        <rect width="7" height="7" fill="var(--stratum-water)" />
        <circle cx="1.600" cy="1.600" r="0.8" fill="var(--stream)" />
        <circle cx="5.100" cy="5.100" r="0.8" fill="var(--stream)" />
      </pattern>
    </>
  );
}

export function hatchId(prefix: string, charge: Charge): string {
  return `${prefix}-${charge}`;
}
