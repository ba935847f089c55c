/** Steps of the tolerable negative error: up to so many g, as grams or as a part of the nominal content. */
const STEPS: readonly { readonly upTo: number; readonly grams?: number; readonly percent?: number }[] = [
  { upTo: 50, percent: 9 },
  { upTo: 100, grams: 4.5 },
  { upTo: 200, percent: 4.5 },
  { upTo: 300, grams: 9 },
  { upTo: 500, percent: 3 },
  { upTo: 1_000, grams: 15 },
  { upTo: 10_000, percent: 1.5 },
];

/**
 * How much one container may lack of its nominal content, g: the tolerable negative error of prepackages (Council Directive
 * 76/211/EEC, Annex I, 2.4), which begins at 5 g and goes to 10 kg; below 5 g and above 10 kg the next step is taken. It is
 * guidance: the mean of a filling must not lack anything. 100 g may lack 4.5 g, 250 g 9 g.
 */
export function tolerableLackGrams(nominalGrams: number): number {
  const step = STEPS.find(({ upTo }) => nominalGrams <= upTo) ?? STEPS.at(-1)!;
  return step.grams ?? (nominalGrams * (step.percent ?? 0)) / 100;
}

/** How a net mass stands to what was planned. */
export type NetVerdict = "lacks" | "within" | "even" | "over";

/** So close counts as what was planned, as a part of it. */
const EVEN = 0.002;

/** 103.1 g for 103.0 g are even, 99 g within what one may lack, 95 g lack too much. */
export function netVerdict(grams: number, nominalGrams: number): NetVerdict {
  const off = grams - nominalGrams;
  if (Math.abs(off) <= EVEN * nominalGrams + 1e-9) return "even";
  if (off > 0) return "over";
  return -off <= tolerableLackGrams(nominalGrams) + 1e-9 ? "within" : "lacks";
}
