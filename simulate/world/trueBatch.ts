import type { Draws } from "./draws";
import { activityLoss, amine, amphoteric, balancePh, protolytes, weakCharge, type Dissolved, type Protolyte } from "./solution";

/** How well the maker's list of buffers tells what is in the batch. */
export const listKinds = ["right", "wrong", "missing", "none"] as const;
export type ListKind = (typeof listKinds)[number];

export const instrumentKinds = ["meter", "strip"] as const;
export type InstrumentKind = (typeof instrumentKinds)[number];

/** What a label says of a bottle, and what is in it. */
export interface Bottle {
  readonly kind: "acid" | "base";
  readonly molarMass: number;
  /** As a table gives them. */
  readonly pKas: readonly number[];
  readonly strengthPercent: number;
  readonly content: Protolyte | null;
  /** Strong ions that come with a mole. */
  readonly strongCharge: number;
}

interface Stock extends Omit<Bottle, "strengthPercent"> {
  readonly strengths: readonly number[];
}

const ACIDS: readonly Stock[] = [
  { kind: "acid", molarMass: 192.12, pKas: [3.13, 4.76, 6.4], content: protolytes.citrate, strongCharge: 0, strengths: [10, 20, 50] },
  { kind: "acid", molarMass: 90.08, pKas: [3.86], content: protolytes.lactate, strongCharge: 0, strengths: [10, 30, 50] },
  { kind: "acid", molarMass: 76.05, pKas: [3.83], content: protolytes.glycolate, strongCharge: 0, strengths: [10, 35] },
];
const BASES: readonly Stock[] = [
  { kind: "base", molarMass: 40, pKas: [], content: null, strongCharge: 1, strengths: [2, 10] },
  { kind: "base", molarMass: 84.01, pKas: [6.35], content: protolytes.carbonate, strongCharge: 1, strengths: [5, 8] },
  { kind: "base", molarMass: 149.19, pKas: [7.76], content: protolytes.triethanolamine, strongCharge: 0, strengths: [10, 50] },
];

/** A site a data sheet tells of, mmol/kg of the product. */
export interface ListedSite {
  readonly pKa: number;
  readonly low: number;
  readonly high: number;
}

/** A liquid nobody has seen into. It answers what an instrument would show. */
export interface TrueBeaker {
  dose(bottle: Bottle, grams: number, isCounted: boolean): void;
  /** Two minutes later; the sample leaves. */
  read(sampleGrams: number): number;
  truePh(): number;
  grams(): number;
}

export interface TrueBatch extends TrueBeaker {
  readonly batchGrams: number;
  readonly list: readonly ListedSite[];
  readonly agent: Bottle;
  readonly counterAgent: Bottle | null;
  readonly target: { readonly low: number; readonly high: number };
  readonly dropGrams: number | null;
  /** What it was drawn as, for the tables. */
  readonly classes: { readonly list: ListKind; readonly instrument: InstrumentKind; readonly bufferAtTarget: number };
  /** What the maker thinks the instrument is good for, pH. */
  readonly statedSigma: number;
  /** Takes so much aside, g. */
  takeAside(grams: number): TrueBeaker;
  /** Pours it back; a tenth of a gram stays on the glass. */
  pourBack(aside: TrueBeaker): void;
}

/** What a beaker holds, mmol/kg. */
interface Held {
  readonly dissolved: Dissolved[];
  strongIons: number;
  kilograms: number;
  /** pH before the last dose, and whether it has been read since. */
  before: number;
  isFresh: boolean;
}

const pick = (draws: Draws, stocks: readonly Stock[]): Bottle => {
  const { strengths, ...stock } = draws.pick(stocks);
  return { ...stock, strengthPercent: draws.pick(strengths) };
};

/** One to three buffers; one batch in twelve has almost none. */
function drawBuffers(draws: Draws): Dissolved[] {
  const kinds: (() => Protolyte)[] = [
    () => protolytes.citrate,
    () => protolytes.lactate,
    () => amphoteric(draws.uniform(3, 4.5)),
    () => protolytes.carbonate,
    () => protolytes.phosphate,
    () => amine(draws.uniform(9, 10)),
    () => protolytes.benzoate,
  ];
  if (draws.uniform(0, 1) < 1 / 12) return [{ protolyte: draws.pick(kinds)(), amount: draws.logUniform(0.02, 0.5) }];
  return Array.from({ length: draws.integer(1, 3) }, () => ({ protolyte: draws.pick(kinds)(), amount: draws.logUniform(0.5, 250) }));
}

const sitesOf = ({ protolyte, amount }: Dissolved, factor: number): readonly ListedSite[] =>
  protolyte.pKas.map((pKa) => ({ pKa: Math.round(pKa * 20) / 20, low: amount * factor * 0.9, high: amount * factor * 1.1 }));

/** What the maker's materials say of those buffers. */
function listOf(buffers: readonly Dissolved[], kind: ListKind, draws: Draws): readonly ListedSite[] {
  switch (kind) {
    case "none":
      return [];
    case "right":
      return buffers.flatMap((buffer) => sitesOf(buffer, draws.uniform(0.87, 1.13)));
    case "wrong":
      return buffers.flatMap((buffer) => sitesOf(buffer, draws.logUniform(0.3, 3)));
    case "missing": {
      const unseen = draws.integer(0, buffers.length - 1);
      return buffers.filter((_, k) => k !== unseen).flatMap((buffer) => sitesOf(buffer, draws.uniform(0.87, 1.13)));
    }
  }
}

/** Draws a batch by its number. */
export function trueBatch(draws: Draws): TrueBatch {
  const buffers = drawBuffers(draws);
  const list = draws.pick(listKinds);
  const instrument: InstrumentKind = draws.uniform(0, 1) < 0.8 ? "meter" : "strip";
  const batchGrams = draws.logUniform(200, 3000);
  const isAcid = draws.uniform(0, 1) < 0.7;
  const agent = pick(draws, isAcid ? ACIDS : BASES);
  const counterAgent = draws.uniform(0, 1) < 0.5 ? pick(draws, isAcid ? BASES.slice(0, 1) : ACIDS) : null;
  const width = draws.uniform(0.3, 0.8);
  const middle = draws.uniform(4.2, isAcid ? 6.6 : 7);
  const target = { low: middle - width / 2, high: middle + width / 2 };
  const startPh = isAcid ? draws.uniform(target.high + 0.3, 11) : draws.uniform(3.5, target.low - 0.3);
  const dropGrams = draws.uniform(0, 1) < 0.4 ? draws.uniform(0.03, 0.06) : null;
  const loss = activityLoss(draws.logUniform(0.02, 0.5));
  const doseError = dropGrams === null ? 0.03 : 0.06;
  const meter = { offset: draws.uniform(-0.1, 0.1), sigma: draws.uniform(0.03, 0.05) };
  const strip = { offset: draws.uniform(-0.2, 0.2), step: 0.5 };
  const lag = draws.uniform(0, 1) < 0.5 ? draws.uniform(0.1, 0.2) : 0;
  const gasLoss = draws.uniform(0.05, 0.3);

  // No wash is pure: traces of fatty acids, amines and carbonate are in every one, and in no list.
  const traces = Array.from({ length: 4 }, () => ({ protolyte: amphoteric(draws.uniform(3, 10)), amount: draws.logUniform(0.02, 0.4) }));
  const dissolved = [...buffers, ...traces].map((buffer) => ({ ...buffer }));
  const whole: Held = {
    dissolved,
    strongIons: -weakCharge(dissolved, startPh, loss),
    kilograms: batchGrams / 1000,
    before: startPh,
    isFresh: false,
  };
  const heldBy = new Map<TrueBeaker, Held>();

  const bufferAtTarget = bufferNear(dissolved, middle, loss);

  return {
    batchGrams,
    list: listOf(buffers, list, draws),
    ...{ agent, counterAgent, target, dropGrams },
    classes: { list, instrument, bufferAtTarget },
    statedSigma: instrument === "meter" ? 0.03 : 0.25,
    ...beakerOf(whole),
    takeAside(grams) {
      whole.kilograms -= grams / 1000;
      const aside: Held = { ...whole, dissolved: whole.dissolved.map((one) => ({ ...one })), kilograms: grams / 1000 };
      const beaker = beakerOf(aside);
      heldBy.set(beaker, aside);
      return beaker;
    },
    pourBack(beaker) {
      const aside = heldBy.get(beaker)!;
      const back = Math.max(0, aside.kilograms - 0.0001);
      const all = whole.kilograms + back;
      for (const one of whole.dissolved) one.amount *= whole.kilograms / all;
      for (const { protolyte, amount } of aside.dissolved) whole.dissolved.push({ protolyte, amount: (amount * back) / all });
      whole.strongIons = (whole.strongIons * whole.kilograms + aside.strongIons * back) / all;
      whole.kilograms = all;
    },
  };

  function beakerOf(held: Held): TrueBeaker {
    const now = (): number => balancePh(held.dissolved, held.strongIons, loss);
    return {
      truePh: now,
      grams: () => 1000 * held.kilograms,
      dose(bottle, grams, isCounted) {
        held.before = now();
        const meant = ((grams * bottle.strengthPercent) / 100 / bottle.molarMass) * 1000;
        const millimoles = Math.max(0, meant * (1 + draws.normal(isCounted ? doseError : 0.03))) / held.kilograms;
        if (bottle.content !== null) held.dissolved.push({ protolyte: bottle.content, amount: millimoles });
        held.strongIons += bottle.strongCharge * millimoles;
        const thinned = held.kilograms / (held.kilograms + grams / 1000);
        for (const one of held.dissolved) one.amount *= thinned;
        held.strongIons *= thinned;
        held.kilograms /= thinned;
        loseGas(held);
        held.isFresh = true;
      },
      read(sampleGrams) {
        held.kilograms -= sampleGrams / 1000;
        const moved = now() - held.before;
        const behind = held.isFresh ? Math.sign(moved) * Math.min(lag, Math.abs(moved)) : 0;
        held.isFresh = false;
        const shown = now() - behind;
        if (instrument === "strip") return Math.round((shown + strip.offset) / strip.step) * strip.step;
        return Math.round((shown + meter.offset + draws.normal(meter.sigma)) * 100) / 100;
      },
    };
  }

  /** Carbonic acid bubbles off. */
  function loseGas(held: Held): void {
    const ph = balancePh(held.dissolved, held.strongIons, loss);
    for (const one of held.dissolved) {
      if (one.protolyte !== protolytes.carbonate) continue;
      const gasShare = 1 / (1 + 10 ** (ph - 6.2));
      // What leaves is uncharged, so the strong ions stay as they are.
      one.amount *= 1 - gasLoss * gasShare;
    }
  }
}

/** Buffering round a pH, mmol/kg for one unit. */
function bufferNear(dissolved: readonly Dissolved[], ph: number, loss: number): number {
  return weakCharge(dissolved, ph - 0.5, loss) - weakCharge(dissolved, ph + 0.5, loss);
}
