import type { SettledSheet } from "../formula/types.ts";
import { forEachSource } from "../formula/leaves.ts";
import { activeMatterOfLine } from "./activeMatter.ts";

/**
 * Zein number of the cleansers as they stand, mg N ⁄ 100 mL: Σ share × the middle of each one's range (Götte 1964).
 * What mixing them in one micelle saves is not in it yet. Null without actives, or when one of them has no zein number.
 */
export function zeinIndex({ lines, materials }: SettledSheet): number | null {
  let weighted = 0;
  let total = 0;
  for (const settled of lines) {
    const active = activeMatterOfLine(settled, materials).percent;
    if (active === 0) continue;
    let unknown = false;
    let middle = 0;
    let shares = 0;
    forEachSource(settled.material, "zein", materials, (source, fraction) => {
      if (source.countsAsActive !== true || source.active === null) return;
      const share = fraction * source.active.typical;
      if (source.zein === null) unknown = true;
      else middle += (share * (source.zein.low + source.zein.high)) / 2;
      shares += share;
    });
    if (unknown || shares === 0) return null;
    weighted += (active * middle) / shares;
    total += active;
  }
  return total > 0 ? weighted / total : null;
}
