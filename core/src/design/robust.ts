import { quantileOfSorted } from "../numerics/quantiles.ts";
import { randomFrom } from "../numerics/random.ts";
import { judgeBlend } from "./judgeBlend.ts";
import { secondFigure, type Design } from "./search.ts";
import type { Candidate, Counterweight } from "./wishes.ts";

/** How far the cmc of a bottle can be off from the typical one: this factor up or down. Ours: homologues differ from batch to batch. */
const CMC_FACTOR = 1.5;
/** How far the figures of a foam can be off, of 10. Ours. */
const FOAM_OFF = 1;

/** In which part of the drawn worlds a blend stays, and what its irritation comes to in nine worlds of ten. */
export interface Robust {
  /** 0 to 1. */
  readonly stays: number;
  readonly irritation: { readonly low: number; readonly high: number };
}

/**
 * How sure each place on the frontier is. Each world draws, once for each material, its zein within its range, its cmc within a
 * factor of 1.5 and its foam within a point; every blend is judged anew, and stays where no other of them is better in both.
 * @param worlds How many are drawn.
 */
export function robustOf(designs: readonly Design[], against: Counterweight, worlds: number, seed: number): readonly Robust[] {
  const random = randomFrom(seed);
  const between = (low: number, high: number): number => low + (high - low) * random.uniform();
  const slugs = [...new Set(designs.flatMap(({ problem }) => problem.members.map(({ slug }) => slug)))].sort();
  const stays = designs.map(() => 0);
  const loads: number[][] = designs.map(() => []);
  for (let world = 0; world < worlds; world += 1) {
    const drawn = new Map(
      slugs.map((slug) => [slug, { zein: between(0, 1), cmc: CMC_FACTOR ** between(-1, 1), flash: between(-FOAM_OFF, FOAM_OFF) }]),
    );
    const judged = designs.map(({ problem, percents }) => {
      const members = problem.members.map((one): Candidate => {
        const { zein, cmc, flash } = drawn.get(one.slug)!;
        const at = one.zein.low + zein * (one.zein.high - one.zein.low);
        return {
          ...one,
          zein: { low: at, high: at },
          cmcMillimolar: one.cmcMillimolar * cmc,
          foam: { ...one.foam, flash: Math.max(0, one.foam.flash + flash) },
        };
      });
      const zein = members.map((one) => one.zein.low);
      return judgeBlend({ ...problem, members, zein }, percents);
    });
    for (const [at, own] of judged.entries()) {
      if (own === null) continue;
      loads[at]!.push(own.irritation);
      const second = (one: NonNullable<(typeof judged)[number]>): number => secondFigure(against, one);
      const isOutdone = judged.some(
        (other) => other !== null && other !== own && other.irritation < own.irritation && second(other) < second(own),
      );
      if (!isOutdone) stays[at]! += 1;
    }
  }
  return designs.map((_, at) => {
    const sorted = loads[at]!.sort((a, b) => a - b);
    return { stays: stays[at]! / worlds, irritation: { low: quantileOfSorted(sorted, 0.05), high: quantileOfSorted(sorted, 0.95) } };
  });
}
