/** What is measured of a wash, and how far it may be off before one would notice. */
export const measuredKinds = [
  { kind: "ph", what: "pH", unit: "", decimals: 2, noticed: 0.2, isRelative: false },
  { kind: "pascalSeconds", what: "thickness", unit: "Pa·s", decimals: 2, noticed: 0.15, isRelative: true },
  { kind: "funnelSeconds", what: "thickness", unit: "s in the flow cup", decimals: 0, noticed: 0.15, isRelative: true },
  { kind: "foamAtOnceMm", what: "foam at once", unit: "mm", decimals: 0, noticed: 0.08, isRelative: true },
  { kind: "foamStaysPercent", what: "foam stays", unit: "% after 5 min", decimals: 0, noticed: 6, isRelative: false },
  { kind: "slip", what: "slip", unit: "of 5", decimals: 1, noticed: 0.5, isRelative: false },
  { kind: "rinse", what: "rinses off", unit: "of 5", decimals: 1, noticed: 0.5, isRelative: false },
  { kind: "afterFeel", what: "after-feel", unit: "of 5", decimals: 1, noticed: 0.5, isRelative: false },
  { kind: "scent", what: "scent", unit: "of 5", decimals: 1, noticed: 0.5, isRelative: false },
] as const;

export type MeasuredKind = (typeof measuredKinds)[number]["kind"];

/** What was measured of one wash; what nobody measured is left out. */
export type Measurements = Readonly<Partial<Record<MeasuredKind, number>>>;

/** How far a reading may lie from a wanted one before one would notice, in its unit. Rules of thumb of ours. */
export function noticedBeside(kind: MeasuredKind, wanted: number): number {
  const found = measuredKinds.find((one) => one.kind === kind);
  if (found === undefined) return 0;
  return found.isRelative ? found.noticed * Math.abs(wanted) : found.noticed;
}

/** A reading beside the wanted one. */
export interface Near {
  readonly kind: MeasuredKind;
  readonly value: number;
  readonly wanted: number;
  /** How far off in what one would notice: −1 to 1 is as good as the same. */
  readonly off: number;
  readonly isNear: boolean;
}

/**
 * How near a wash comes to another by what was measured of both. pH 5.5 beside 5.3 is just noticed: 1. 118 mm of foam may be 9.4
 * off.
 */
export function nearTo(measured: Measurements, wanted: Measurements): readonly Near[] {
  return measuredKinds.flatMap(({ kind }): readonly Near[] => {
    const [value, aim] = [measured[kind], wanted[kind]];
    if (value === undefined || aim === undefined) return [];
    const noticed = noticedBeside(kind, aim);
    const off = noticed === 0 ? (value === aim ? 0 : Math.sign(value - aim) * Infinity) : (value - aim) / noticed;
    return [{ kind, value, wanted: aim, off, isNear: Math.abs(off) <= 1 + 1e-9 }];
  });
}
