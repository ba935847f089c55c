/** How an instrument comes to rest. */
export interface Pace {
  /** After so long a third of a change is still missing (1/e), ms. */
  readonly followsMilliseconds: number;
  /** After so long it stands, ms. */
  readonly steadiesMilliseconds: number;
}

/** What shows of a change: to + (from − to) e^(−t ⁄ τ), and all of it once it has settled. */
export function followed(
  { followsMilliseconds, steadiesMilliseconds }: Pace,
  { from, to, sinceMilliseconds }: { readonly from: number; readonly to: number; readonly sinceMilliseconds: number },
): number {
  if (sinceMilliseconds >= steadiesMilliseconds) return to;
  return to + (from - to) * Math.exp(-Math.max(0, sinceMilliseconds) / followsMilliseconds);
}

export function hasSteadied({ steadiesMilliseconds }: Pace, sinceMilliseconds: number): boolean {
  return sinceMilliseconds >= steadiesMilliseconds;
}
