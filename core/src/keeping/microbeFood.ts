import { forEachSource } from "../formula/leaves.ts";
import type { SettledSheet } from "../formula/types.ts";

/** Gums below this, alone, do not count as food, % w/w. */
const LITTLE_GUM_PERCENT = 1;

export interface MicrobeFood {
  /** Gums and everything else germs eat, % w/w. */
  readonly percent: number;
  /** Whether the preservative has more to do for it. */
  readonly counts: boolean;
  /** Ids of the lines that bring it. */
  readonly lines: readonly string[];
}

/** What germs like to eat: honey, juices, infusions, clay, milk; gums from 1 % on. */
export function microbeFood({ lines, materials }: SettledSheet): MicrobeFood {
  let gums = 0;
  let food = 0;
  const bring = new Set<string>();
  for (const { line, material, percent } of lines) {
    if (percent === 0) continue;
    forEachSource(material, "flags", materials, (source, fraction) => {
      if (!source.flags.includes("microbe-food")) return;
      bring.add(line.id);
      if (source.role === "thickener" || source.role === "suspender") gums += percent * fraction;
      else food += percent * fraction;
    });
  }
  return { percent: gums + food, counts: food > 0 || gums >= LITTLE_GUM_PERCENT, lines: [...bring] };
}
