import { randomFrom } from "../../numerics/random.ts";
import type { Charge } from "../../library/material.ts";
import type { Candidate, DesignWishes, RestOfSheet } from "../wishes.ts";

/** A surfactant that no library has. */
export function madeUp(slug: string, charge: Charge, facts: Partial<Candidate> = {}): Candidate {
  return {
    ...{ slug, name: slug, charge, activePercent: 30, molarMass: 350, cmcMillimolar: 1, saltPercent: 0, phStable: null },
    ...{
      zein: { low: 100, high: 140 },
      foam: { flash: 7, density: 7, stability: 7 },
      mostPercent: 60,
      grams: null,
      price: 0.01,
      opacifies: false,
      group: null,
    },
    ...facts,
  };
}

export const openWishes: DesignWishes = {
  ...{ against: "cost", activePercent: { low: 8, high: 14 }, mostIrritation: null, leastFlash: null, leastStability: null },
  ...{ thickening: "any", mostCost: null, mostSaltPercent: null, mostAnionicPercent: null, count: { low: 2, high: 3 }, mustHave: [] },
};

export const plainRest: RestOfSheet = {
  ...{
    isWatery: true,
    roomPercent: 90,
    saltPercent: 0,
    cost: 0.1,
    waterPrice: 0.0005,
    oilPercent: 0,
    clarity: "clear",
    mayCloud: true,
    ph: null,
    batchGrams: 500,
    present: new Map(),
  },
};

/** A small problem: a few surfactants of any kind and wishes that some of their blends keep. */
export function drawnProblem(
  seed: number,
  count = 3,
): {
  readonly candidates: readonly Candidate[];
  readonly wishes: DesignWishes;
  readonly rest: RestOfSheet;
} {
  const random = randomFrom(seed / 1000);
  const between = (low: number, high: number): number => low + (high - low) * random.uniform();
  const charges = (["anionic", "amphoteric", "nonionic"] as const).map((charge) => charge);
  const candidates = Array.from({ length: count }, (_, at) => {
    const charge = random.uniform() < 0.6 ? charges[at % 3]! : charges[Math.floor(between(0, 3))]!;
    const low = charge === "anionic" ? between(40, 420) : between(10, 160);
    return madeUp(`made-up-${at}`, charge, {
      activePercent: between(25, 95),
      molarMass: between(230, 600),
      cmcMillimolar: Math.exp(between(Math.log(0.1), Math.log(12))),
      zein: { low, high: low + between(0, 60) },
      foam: { flash: between(2, 10), density: between(2, 10), stability: between(2, 10) },
      saltPercent: between(0, 7),
      price: between(0.002, 0.05),
      group:
        charge === "anionic"
          ? (["sulfate", "sulfonate", "taurate", null] as const)[Math.floor(between(0, 4))]!
          : charge === "amphoteric"
            ? "betaine"
            : null,
    });
  });
  const maybe = (value: number): number | null => (random.uniform() < 0.4 ? value : null);
  return {
    candidates,
    wishes: {
      ...openWishes,
      against: random.uniform() < 0.7 ? "cost" : "foam",
      leastFlash: maybe(between(3, 6)),
      leastStability: maybe(between(3, 6)),
      mostIrritation: maybe(between(60, 160)),
      mostSaltPercent: maybe(between(1, 3)),
      thickening: random.uniform() < 0.2 ? "salt" : "any",
      count: { low: 2, high: random.uniform() < 0.3 ? 3 : 2 },
    },
    rest: { ...plainRest, oilPercent: random.uniform() < 0.3 ? between(0, 3) : 0 },
  };
}
