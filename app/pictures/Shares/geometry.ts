/** One bar: what it is called, and its parts from left to right. */
export interface SharesRow {
  readonly name: string;
  readonly parts: readonly { readonly key: string; readonly percent: number }[];
}

export interface SharesPart {
  readonly key: string;
  readonly x: number;
  readonly width: number;
  /** Wide enough to carry its sign. */
  readonly isNamed: boolean;
}

export const SHARES = { width: 520, bar: 26, gap: 14, left: 74 } as const;

/** A sign of one letter needs this much room. */
const ROOM_FOR_SIGN = 16;

/** Bars of equal length, each cut into its parts in one order of keys, so that a part can be followed from bar to bar. */
export function sharesGeometry(rows: readonly SharesRow[], keys: readonly string[]) {
  return {
    height: rows.length * (SHARES.bar + SHARES.gap) - (rows.length > 0 ? SHARES.gap : 0),
    bars: rows.map(({ name, parts }, at) => {
      let x = 0;
      const drawn = keys.flatMap((key): SharesPart[] => {
        const percent = parts.find((part) => part.key === key)?.percent ?? 0;
        if (percent <= 0) return [];
        const part = { key, x, width: (SHARES.width * percent) / 100, isNamed: (SHARES.width * percent) / 100 >= ROOM_FOR_SIGN };
        x += part.width;
        return [part];
      });
      return { name, y: at * (SHARES.bar + SHARES.gap), parts: drawn };
    }),
  };
}

/** The sign of the nth part: a, b, c … */
export function shareSign(at: number): string {
  return String.fromCharCode(97 + (at % 26));
}
