import { questionOf, search, type DesignAsk, type OnShelf } from "@tensidrum/core/design";
import { loadLinearSolver } from "@tensidrum/core/numerics";
import { referenceLibrary } from "@tensidrum/core/reference";
import type { Measured } from "./measure";

const library = new Map(referenceLibrary.map((material) => [material.slug, material]));

/** Twelve surfactants of a well-kept shelf. */
const SHELF = [
  ...["sles-2eo-28", "aos-40", "smct-liquid", "sodium-cocoyl-glutamate", "sodium-lauroyl-sarcosinate", "slsa-powder"],
  ...["cocamidopropyl-betaine", "coco-betaine", "sodium-cocoamphoacetate", "decyl-glucoside", "coco-glucoside", "lauryl-glucoside"],
];
const MOST_BOXES = 3_000_000;

/** Prices that go up and down from one to the next, so that no kind is the cheap one. */
const shelfOf = (slugs: readonly string[]): ReadonlyMap<string, OnShelf> =>
  new Map(slugs.map((slug, at) => [slug, { grams: 5_000, price: 0.004 + 0.003 * ((at * 7) % 5), assayPercent: null }]));

function askOf(slugs: readonly string[], most: number): DesignAsk {
  return {
    formula: {
      ...{
        format: "tensidrum-formula/1",
        name: "Green Room body wash",
        profile: "body-wash",
        batchGrams: 1000,
        scales: [],
        phases: [{ id: "A" }],
      },
      lines: [
        { id: "w", phase: "A", material: "water-distilled", qs: true },
        { id: "g", phase: "A", material: "glycerin", percent: 3 },
      ],
    },
    wishes: {
      ...{ against: "cost", activePercent: { low: 9, high: 15 }, mostIrritation: null, leastFlash: 5, leastStability: 5 },
      ...{ thickening: "any", mostCost: null, mostSaltPercent: null, mostAnionicPercent: 75, count: { low: 2, high: most }, mustHave: [] },
    },
    ...{ shelf: shelfOf(slugs), onlyShelf: true, mustNot: [], preservative: null, coldOnly: false },
  };
}

/** Time until a first frontier is there, and until it is proved. */
export async function benchDesign(): Promise<Measured[]> {
  const solver = await loadLinearSolver();
  const all = [...library.values()]
    .filter(({ countsAsActive, parts }) => countsAsActive === true && parts === undefined)
    .map(({ slug }) => slug);
  const run = (slugs: readonly string[], most: number) => {
    const began = performance.now();
    const { candidates, wishes, rest } = questionOf(askOf(slugs, most), library);
    const steps = search(candidates, wishes, rest, { mostBoxes: MOST_BOXES, perReport: 100_000_000 }, solver);
    const first = steps.next();
    const firstSeconds = (performance.now() - began) / 1000;
    let last = first;
    while (last.done !== true) last = steps.next();
    if (!last.value.isProved) throw new Error(`The search over ${candidates.length} surfactants came to no end`);
    return { firstSeconds, provedSeconds: (performance.now() - began) / 1000, candidates: candidates.length };
  };
  const shelf = run(SHELF, 4);
  const whole = run(all, 3);
  return [
    { what: `design: first frontier of ${shelf.candidates}, up to 4`, value: shelf.firstSeconds, unit: "s", limit: 1 },
    { what: `design: ${shelf.candidates} surfactants, up to 4, proved`, value: shelf.provedSeconds, unit: "s", limit: 10 },
    { what: `design: ${whole.candidates} of the library, up to 3, proved`, value: whole.provedSeconds, unit: "s", limit: 60 },
  ];
}
