/** Room for the rules above and beside the label, mm. */
const RULE_MM = 4;

export interface LabelRules {
  readonly viewBox: string;
  /** Ticks of the rule above, and of the one beside: where, how long, and what stands at them. */
  readonly across: readonly Tick[];
  readonly down: readonly Tick[];
}

export interface Tick {
  readonly at: number;
  readonly length: number;
  readonly word: string | null;
}

/** The label with a millimetre rule on two sides: a long tick and a number each 10 mm. */
export function labelRules(widthMm: number, heightMm: number): LabelRules {
  const ticks = (most: number): readonly Tick[] =>
    Array.from({ length: Math.floor(most / 2) + 1 }, (_, step) => {
      const at = 2 * step;
      return { at, length: at % 10 === 0 ? 2.4 : 1.2, word: at % 10 === 0 ? String(at) : null };
    });
  return {
    viewBox: `${-RULE_MM} ${-RULE_MM} ${widthMm + RULE_MM + 3} ${heightMm + RULE_MM + 1}`,
    across: ticks(widthMm),
    down: ticks(heightMm),
  };
}

/** To the grid of half a millimetre. */
export function onGrid(mm: number): number {
  return Math.round(mm * 2) / 2;
}
