import { clarityOutlook } from "../appearance/clarity.ts";
import { readingOf } from "../assessment/index.ts";
import { judge } from "../findings/index.ts";
import { resolveLines, type Formula, type FormulaLine } from "../formula/index.ts";
import { isKind } from "../library/ingredientKinds.ts";
import { isNotChosen, type MaterialsBySlug, type PlainMaterial, type Span } from "../library/index.ts";
import { Refusal } from "../quantities/index.ts";
import { activeContentOf, cleansersOf, looseOilPercent } from "../surfactants/index.ts";
import { LEAST_CORRIDOR } from "./sets.ts";
import type { BlendClarity, Candidate, DesignWishes, RestOfSheet } from "./wishes.ts";

/** What stands on the shelf of a material. */
export interface OnShelf {
  readonly grams: number;
  /** Of a gram; null where nobody knows. */
  readonly price: number | null;
  /** Strength by its certificate, %; null where there is none. */
  readonly assayPercent: number | null;
}

/** What a blend is looked for: the sheet it is for, the wishes, and what may be taken. */
export interface DesignAsk {
  readonly formula: Formula;
  readonly wishes: DesignWishes;
  /** By slug. */
  readonly shelf: ReadonlyMap<string, OnShelf>;
  /** Whether only what stands on the shelf may be taken, and no more of it than there is. */
  readonly onlyShelf: boolean;
  /** Slugs that may not be taken. */
  readonly mustNot: readonly string[];
  /** Nothing that must be heated. */
  readonly coldOnly: boolean;
  /** Preservative whose pH the blend must share, in place of those on the sheet; null for those. */
  readonly preservative: string | null;
}

/** Why a surfactant of the library is not looked at. */
export type LeftOutReason = "left-out" | "not-on-shelf" | "style" | "solubility" | "heat" | "clouds" | "ph" | "facts" | "price" | "soap";

export interface LeftOut {
  readonly material: string;
  readonly reason: LeftOutReason;
}

/** A question as the search takes it. */
export interface DesignQuestion {
  readonly candidates: readonly Candidate[];
  readonly leftOut: readonly LeftOut[];
  readonly wishes: DesignWishes;
  readonly rest: RestOfSheet;
  /** Slugs of what stands beside the surfactants and has no price: what they cost is not in the cost. */
  readonly unpriced: readonly string[];
}

/** A formula without the lines that bring active matter. */
function withoutCleansers(formula: Formula, library: MaterialsBySlug): Formula {
  const isOther = ({ material, qs }: FormulaLine): boolean => {
    const found = library.get(material);
    return qs === true || found === undefined || activeContentOf(found, library).percent === 0;
  };
  return { ...formula, lines: formula.lines.filter(isOther) };
}

/** A formula with one preservative, at the middle of its usual dose, in place of those it has. */
function withPreservative(formula: Formula, slug: string | null, library: MaterialsBySlug): Formula {
  const chosen = slug === null ? undefined : library.get(slug);
  if (chosen === undefined || chosen.preservative == null) return formula;
  const others = formula.lines.filter(({ material, qs }) => qs === true || library.get(material)?.preservative == null);
  const { low, high } = chosen.use ?? { low: 0, high: 0 };
  const phase = formula.phases.at(-1)?.id ?? "A";
  return { ...formula, lines: [...others, { id: chosen.slug, phase, material: chosen.slug, percent: (low + high) / 2 }] };
}

/**
 * What the materials of a sheet cost, by 100 g of it: the sum of percent times price.
 * @param priceOf Of a gram; null where it is not known, which then counts as nothing.
 */
export function costOfSheet(
  lines: readonly { readonly line: { readonly material: string }; readonly percent: number }[],
  priceOf: (slug: string) => number | null,
): number {
  return lines.reduce((sum, { line, percent }) => sum + percent * (priceOf(line.material) ?? 0), 0);
}

/**
 * Reads a question: what may be taken and what stands beside it.
 * @throws Refusal where nothing on the sheet makes up the rest, or it cannot be read.
 */
export function questionOf(ask: DesignAsk, library: MaterialsBySlug): DesignQuestion {
  const bare = withPreservative(withoutCleansers(ask.formula, library), ask.preservative, library);
  const restLine = bare.lines.find(({ qs }) => qs === true);
  if (restLine === undefined) {
    throw new Refusal("not-possible", "No line of this sheet makes up the rest.", "Let the water make up the rest, then look for a blend.");
  }
  const { readings, read } = readingOf(bare, library);
  const taken = read.sheet.lines.filter(({ line }) => line.qs !== true);
  const priceOf = (slug: string): number | null => ask.shelf.get(slug)?.price ?? null;
  const cost = costOfSheet(read.sheet.lines, priceOf);
  const solvent = library.get(restLine.material);
  const rest: RestOfSheet = {
    isWatery: solvent === undefined || !solvent.solubleIn.includes("oil") || solvent.solubleIn.includes("water"),
    roomPercent: 100 - taken.reduce((sum, { percent }) => sum + percent, 0),
    saltPercent: readings.saltPercent,
    cost,
    waterPrice: priceOf(restLine.material) ?? 0,
    oilPercent: looseOilPercent(read.sheet, 0),
    clarity: clarityOfRest(clarityOutlook(read.sheet, 0).outlook),
    mayCloud: ask.formula.wantsClear !== true,
    // Where claims contradict each other it crosses itself, and no blend can mend it.
    ph: readings.phCorridor,
    batchGrams: ask.formula.batchGrams,
    present: new Map(cleansersOf(resolveLines(ask.formula, library).sheet).map(({ slug, percent }) => [slug, percent])),
  };
  const sorted = [...library.values()].filter(isCleanser).sort((a, b) => (a.slug < b.slug ? -1 : 1));
  const leftOut: LeftOut[] = [];
  const candidates: Candidate[] = [];
  for (const material of sorted) {
    const reason = reasonAgainst(material, ask, rest, library);
    if (reason === null) candidates.push(candidateOf(material, ask));
    else leftOut.push({ material: material.slug, reason });
  }
  return {
    ...{ candidates, leftOut, wishes: ask.wishes, rest },
    unpriced: taken.filter(({ line, percent }) => percent > 0 && priceOf(line.material) === null).map(({ line }) => line.material),
  };
}

/** What settles overnight counts as clear. */
function clarityOfRest(outlook: ReturnType<typeof clarityOutlook>["outlook"]): BlendClarity {
  return outlook === "clears" ? "clear" : outlook;
}

function isCleanser(material: { readonly parts?: unknown; readonly countsAsActive: boolean | null }): material is PlainMaterial {
  return material.parts === undefined && material.countsAsActive === true;
}

function reasonAgainst(material: PlainMaterial, ask: DesignAsk, rest: RestOfSheet, library: MaterialsBySlug): LeftOutReason | null {
  const { slug, flags, active, charge, zein, foam, cmcMillimolar, molarMass, phStable } = material;
  if (isNotChosen(material) || ask.mustNot.includes(slug)) return "left-out";
  const there = ask.shelf.get(slug);
  if (ask.onlyShelf && (there === undefined || there.grams <= 0)) return "not-on-shelf";
  if (isOutside(material, ask.formula, library)) return "style";
  if (flags.includes("soap") && ask.formula.school !== "true-soap") return "soap";
  if (!dissolvesIn(material, rest.isWatery)) return "solubility";
  if (ask.coldOnly && flags.includes("needs-heat")) return "heat";
  if (!rest.mayCloud && flags.includes("opacifies")) return "clouds";
  if (phStable !== null && rest.ph !== null && corridorOf(phStable, rest.ph) < LEAST_CORRIDOR) return "ph";
  if (active === null || charge === null || zein === null || foam === null || cmcMillimolar === null || molarMass === null) return "facts";
  const countsCost = ask.wishes.against === "cost" || ask.wishes.mostCost !== null;
  if (countsCost && (there?.price ?? null) === null) return "price";
  return null;
}

/** Whether it dissolves or disperses in what makes up the rest; what nobody knows of counts as yes. */
function dissolvesIn({ solubleIn }: PlainMaterial, isWatery: boolean): boolean {
  const media = isWatery ? ["water", "disperses-in-water"] : ["oil"];
  return solubleIn.length === 0 || solubleIn.some((medium) => media.includes(medium));
}

function corridorOf(one: Span, other: Span): number {
  return Math.min(one.high, other.high) - Math.max(one.low, other.low);
}

/** Whether the style or the words of the aim leave it out, by the rule of the sheet itself. */
function isOutside({ slug }: PlainMaterial, formula: Formula, library: MaterialsBySlug): boolean {
  const phase = formula.phases[0]?.id ?? "A";
  const alone: Formula = { ...formula, lines: [{ id: slug, phase, material: slug, percent: 1 }], splits: [] };
  return judge(readingOf(alone, library).read).findings.some(({ code }) => code === "SCHOOL_BREACH");
}

function candidateOf(material: PlainMaterial, { shelf, onlyShelf }: DesignAsk): Candidate {
  const { slug, name, zein, foam, use, phStable, flags } = material;
  const there = shelf.get(slug);
  return {
    ...{ slug, name, phStable },
    charge: material.charge!,
    activePercent: there?.assayPercent ?? material.active!.typical,
    molarMass: material.molarMass!,
    cmcMillimolar: material.cmcMillimolar!,
    zein: zein!,
    foam: foam!,
    saltPercent: material.saltPercent ?? 0,
    mostPercent: use?.high ?? 100,
    grams: onlyShelf ? (there?.grams ?? 0) : null,
    price: there?.price ?? null,
    opacifies: flags.includes("opacifies"),
    group: groupOf(material),
  };
}

function groupOf(material: PlainMaterial): Candidate["group"] {
  const { flags, charge } = material;
  if (flags.includes("sulfate")) return "sulfate";
  if (isKind(material, "sulfonate")) return "sulfonate";
  if (isKind(material, "taurate")) return "taurate";
  return charge === "amphoteric" && flags.includes("salt-thickens") ? "betaine" : null;
}
