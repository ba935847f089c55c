import { effectsOf } from "./toldApart.ts";
import { measuredKinds, nearTo, noticedBeside, type MeasuredKind, type Measurements } from "./measured.ts";

/** A round of a formula: what is in it, and what was measured of it. */
export interface Round {
  /** % w/w by slug, without what takes the rest. */
  readonly lines: ReadonlyMap<string, number>;
  readonly measured: Measurements;
}

/** What a change of one line is likely to do to a reading. */
export interface Expected {
  readonly kind: MeasuredKind;
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

/** One change that would bring a wash nearer. */
export interface NextChange {
  /** Slug. */
  readonly material: string;
  /** % w/w */
  readonly from: number;
  readonly to: number;
  /** By what was measured in the maker's own rounds, or by a model. */
  readonly source: "own" | "model";
  /** What it is made for first, then what follows along. */
  readonly expected: readonly Expected[];
  /** How much nearer all that is known comes, in what one would notice. */
  readonly nearer: number;
}

/** How a model answers: what a change of one line does to what is measured; nothing where it knows nothing. */
export type ModelEffect = (material: string, from: number, to: number) => readonly Expected[];

/** Usual doses, % w/w. */
export type Doses = (material: string) => { readonly low: number; readonly high: number } | null;

/** Readings of the same scatter by this part of what one would notice. */
const SCATTER = 0.5;
/** Four of five lie within so many standard deviations. */
const FOUR_OF_FIVE = 1.2816;
/** A line is not moved further than so many times its greatest step yet: beyond it nobody has looked. */
const FURTHEST = 2;
/** A model is trusted for steps up to this part of a line. */
const MODEL_STEP = 0.3;
const DECIMALS = 2;
const LEAST_NEARER = 0.25;
const MOST = 5;

interface Options {
  readonly doses: Doses;
  readonly model: ModelEffect;
}

/**
 * Changes of one line that bring the last round nearer to what is wanted, the best first: by the slopes of the maker's own rounds
 * where they can be told, else by a model. A step is what the reading lacks divided by the slope, within the usual dose and at
 * most twice what was tried. Each with what is likely and from where to where (four of five).
 * @param rounds in order, the last one is what is changed
 */
export function nextChanges(rounds: readonly Round[], wanted: Measurements, { doses, model }: Options): readonly NextChange[] {
  const last = rounds.at(-1);
  if (last === undefined) return [];
  const missing = nearTo(last.measured, wanted).filter(({ isNear }) => !isNear);
  const own = ownSlopes(rounds);
  const found = missing.flatMap(({ kind, value, wanted: aim }) => [
    ...byOwn(last, own, { kind, lacks: aim - value }, doses),
    ...byModel(last, own, { kind, lacks: aim - value }, { doses, model }),
  ]);
  const judged = found.map((change) => ({ ...change, nearer: nearerBy(last.measured, wanted, change.expected) }));
  const best = new Map<string, NextChange>();
  for (const change of judged.filter(({ nearer }) => nearer >= LEAST_NEARER)) {
    const before = best.get(change.material);
    const isBetter = before === undefined || (before.source === change.source ? change.nearer > before.nearer : change.source === "own");
    if (isBetter) best.set(change.material, change);
  }
  return [...best.values()].toSorted((a, b) => (a.source === b.source ? b.nearer - a.nearer : a.source === "own" ? -1 : 1)).slice(0, MOST);
}

interface Slope {
  readonly kind: MeasuredKind;
  readonly perPercent: number;
  readonly spread: number;
  /** The greatest step that was tried, % w/w. */
  readonly tried: number;
  /** How far two readings of the same lie apart. */
  readonly scatter: number;
}

type Slopes = ReadonlyMap<string, readonly Slope[]>;

/** What one percent of a line did to a reading, where the rounds tell it. */
function ownSlopes(rounds: readonly Round[]): Slopes {
  const found = new Map<string, Slope[]>();
  for (const { kind } of measuredKinds) {
    const pairs = rounds.slice(1).flatMap((now, at) => {
      const [before, value] = [rounds[at], now.measured[kind]];
      const was = before?.measured[kind];
      return before === undefined || value === undefined || was === undefined ? [] : [{ before, now, moved: value - was, was }];
    });
    const materials = [...new Set(pairs.flatMap(({ before, now }) => [...before.lines.keys(), ...now.lines.keys()]))];
    const changed = materials.filter((material) => pairs.some((pair) => stepOf(pair, material) !== 0));
    if (changed.length === 0) continue;
    const scatter = SCATTER * noticedBeside(kind, pairs[0]?.was ?? 0);
    const changes = pairs.map((pair) => changed.map((material) => stepOf(pair, material)));
    for (const { column, perUnit, spread } of effectsOf(
      changes,
      pairs.map(({ moved }) => moved),
      scatter,
    )) {
      const material = changed[column] ?? "";
      const tried = Math.max(...pairs.map((pair) => Math.abs(stepOf(pair, material))));
      found.set(material, [...(found.get(material) ?? []), { kind, perPercent: perUnit, spread, tried, scatter }]);
    }
  }
  return found;
}

function stepOf({ before, now }: { readonly before: Round; readonly now: Round }, material: string): number {
  const step = (now.lines.get(material) ?? 0) - (before.lines.get(material) ?? 0);
  return Math.abs(step) < 1e-9 ? 0 : step;
}

interface Wish {
  readonly kind: MeasuredKind;
  readonly lacks: number;
}

type Draft = Omit<NextChange, "nearer">;

function byOwn(last: Round, slopes: Slopes, { kind, lacks }: Wish, doses: Doses): readonly Draft[] {
  return [...slopes].flatMap(([material, all]): readonly Draft[] => {
    const slope = all.find((one) => one.kind === kind);
    // A slope that cannot be told from none helps nobody.
    if (slope === undefined || Math.abs(slope.perPercent) <= FOUR_OF_FIVE * slope.spread) return [];
    const from = last.lines.get(material) ?? 0;
    const step = Math.sign(lacks / slope.perPercent) * Math.min(Math.abs(lacks / slope.perPercent), FURTHEST * slope.tried);
    const to = withinDose(from + step, from, doses(material));
    return to === from ? [] : [{ material, from, to, source: "own", expected: expectedOf(all, kind, to - from) }];
  });
}

/**
 * What a step is likely to do. The slope is as unsure as it is, and the next reading and the one before scatter too; that one is
 * in the slope as well, so that both errors go together: s² + t² + s t, with s of the slope over the step and t of two readings.
 */
function expectedOf(slopes: readonly Slope[], first: MeasuredKind, step: number): readonly Expected[] {
  return slopes
    .toSorted((a, b) => Number(b.kind === first) - Number(a.kind === first))
    .map(({ kind, perPercent, spread, scatter }) => {
      const [ofSlope, ofReadings] = [spread * Math.abs(step), Math.SQRT2 * scatter];
      const likely = perPercent * step;
      const room = FOUR_OF_FIVE * Math.sqrt(ofSlope ** 2 + ofReadings ** 2 + ofSlope * ofReadings);
      return { kind, low: likely - room, likely, high: likely + room };
    });
}

function byModel(last: Round, slopes: Slopes, { kind, lacks }: Wish, { doses, model }: Options): readonly Draft[] {
  return [...last.lines].flatMap(([material, from]): readonly Draft[] => {
    if (from <= 0 || slopes.get(material)?.some((one) => one.kind === kind)) return [];
    const [most, least] = [from * (1 + MODEL_STEP), from * (1 - MODEL_STEP)];
    const tries = [least, most].flatMap((to) => {
      const expected = model(material, from, to);
      const likely = expected.find((one) => one.kind === kind)?.likely ?? 0;
      return likely * lacks > 0 ? [{ to, likely }] : [];
    });
    const best = tries[0];
    if (best === undefined) return [];
    const part = Math.min(1, Math.abs(lacks / best.likely));
    const to = withinDose(from + (best.to - from) * part, from, doses(material));
    const expected = to === from ? [] : model(material, from, to).map((one) => asRead(one, last.measured));
    return expected.length === 0
      ? []
      : [{ material, from, to, source: "model", expected: expected.toSorted((a, b) => Number(b.kind === kind) - Number(a.kind === kind)) }];
  });
}

/** What a model expects, as it will be read: the reading before and the one after scatter. */
function asRead({ kind, low, likely, high }: Expected, { [kind]: was = 0 }: Measurements): Expected {
  const ofReadings = FOUR_OF_FIVE * Math.SQRT2 * SCATTER * noticedBeside(kind, was);
  return { kind, low: likely - Math.hypot(likely - low, ofReadings), likely, high: likely + Math.hypot(high - likely, ofReadings) };
}

function withinDose(to: number, from: number, dose: { readonly low: number; readonly high: number } | null): number {
  // A line that stands outside already is not forced in.
  const high = Math.max(dose?.high ?? 100, from);
  const rounded = Number(Math.min(high, Math.max(0, to)).toFixed(DECIMALS));
  return Math.abs(rounded - from) < 10 ** -DECIMALS ? from : rounded;
}

/** How much nearer it comes in all that is known of it, in what one would notice; what is near already counts as there. */
function nearerBy(measured: Measurements, wanted: Measurements, expected: readonly Expected[]): number {
  const after: Partial<Record<MeasuredKind, number>> = { ...measured };
  for (const { kind, likely } of expected) after[kind] = (measured[kind] ?? 0) + likely;
  const off = (all: Measurements): number => nearTo(all, wanted).reduce((sum, near) => sum + Math.max(0, Math.abs(near.off) - 1), 0);
  return off(measured) - off(after);
}

/** Whether what was expected came true; null while nobody measured it. */
export function cameTrue({ kind, low, high }: Expected, before: Measurements, after: Measurements): boolean | null {
  const [was, is] = [before[kind], after[kind]];
  if (was === undefined || is === undefined) return null;
  return is - was >= low && is - was <= high;
}
