import { cleansersOf, type Cleanser } from "../surfactants/cleansers.ts";
import { leavesOf } from "../formula/leaves.ts";
import type { ProfileSlug } from "../formula/profiles.ts";
import type { ResolvedSheet } from "../formula/types.ts";
import { isKind } from "../library/ingredientKinds.ts";
import type { PlainMaterial } from "../library/material.ts";
import { ROOM_C } from "../quantities/roomTemperature.ts";

const routeNames = ["salt", "gum", "associative", "cationic-guar", "carbomer", "cellulose-algin", "fatty"] as const;

export type RouteName = (typeof routeNames)[number];

/** Why a way of thickening works, or does not. */
export type RouteReason =
  | "foaming-pump"
  | "sulfates"
  | "sulfonate-betaine"
  | "taurate-betaine"
  | "betaine-missing"
  | "salt-resistant"
  | "slurry"
  | "next-day"
  | "after-scent"
  | "before-acid"
  | "neutralise"
  | "salt-collapses"
  | "high-shear"
  | "melted"
  | "not-melted";

export interface ThickeningRoute {
  readonly route: RouteName;
  readonly verdict: "works" | "weakened" | "little" | "avoid";
  readonly reason: RouteReason;
  /** Ids of the lines it rests on or is held back by. */
  readonly lines: readonly string[];
}

/** Share of the actives from which a group answers to salt, %. */
export const SULFATE_SHARE = 25;
export const PAIR_SHARE = 15;
/** Salt and other electrolyte from which carbomers thin, % w/w. */
export const MOST_CARBOMER_SALT_PERCENT = 0.3;

/**
 * Which ways of thickening work on a formula, and why. Salt: sulfates; sulfonates or taurates beside a betaine; little on
 * glucosides, isethionates and amphoacetates alone. A self-foaming pump product takes none.
 * @param saltPercent Sodium chloride and other electrolyte, % w/w.
 */
export function thickeningRoutes(sheet: ResolvedSheet, saltPercent: number): readonly ThickeningRoute[] {
  if (foamsItself(sheet.formula.profile)) {
    return routeNames.map((route) => ({ route, verdict: "avoid", reason: "foaming-pump", lines: [] }));
  }
  const scents = linesOf(sheet, (leaf) => leaf.role === "fragrance");
  const isHot = sheet.formula.phases.some(({ temperatureC }) => (temperatureC ?? ROOM_C) >= MELTING_C);
  const hasScent = scents.length > 0;
  const isTooSalty = saltPercent > MOST_CARBOMER_SALT_PERCENT;
  const guar = linesOf(sheet, isCationicGuar);
  const fatty = linesOf(sheet, (leaf) => leaf.role === "fatty-solid");
  return [
    saltRoute(sheet),
    { route: "gum", verdict: "works", reason: "slurry", lines: [] },
    { route: "associative", verdict: hasScent ? "weakened" : "works", reason: hasScent ? "after-scent" : "next-day", lines: scents },
    { route: "cationic-guar", verdict: "works", reason: "before-acid", lines: guar },
    { route: "carbomer", verdict: isTooSalty ? "avoid" : "works", reason: isTooSalty ? "salt-collapses" : "neutralise", lines: [] },
    { route: "cellulose-algin", verdict: "works", reason: "high-shear", lines: [] },
    { route: "fatty", verdict: isHot ? "works" : "little", reason: isHot ? "melted" : "not-melted", lines: fatty },
  ];
}

/** A polymer that swells by its charges and collapses with salt. */
export function isCarbomer(material: PlainMaterial): boolean {
  return isKind(material, "carbomer");
}

/** Guar made cationic, which swells as the pH falls. */
export function isCationicGuar(material: PlainMaterial): boolean {
  return isKind(material, "cationic-guar");
}

const MELTING_C = 65;

/** Whether the pump makes the foam, so that the wash must be as thin as water. */
export function foamsItself(profile: ProfileSlug): boolean {
  return profile === "foaming-wash" || profile === "micellar-foam";
}

function linesOf({ lines, materials }: ResolvedSheet, isOne: (leaf: PlainMaterial) => boolean): readonly string[] {
  return lines
    .filter(({ material, percent }) => percent > 0 && leavesOf(material, materials).some((leaf) => isOne(leaf.material)))
    .map(({ line }) => line.id);
}

interface Groups {
  readonly sulfate: number;
  readonly sulfonate: number;
  readonly taurate: number;
  readonly betaine: number;
}

/** Whether the blend answers to salt, and why. */
export function saltRoute(sheet: ResolvedSheet): ThickeningRoute {
  const cleansers = cleansersOf(sheet);
  const lines = [...new Set(cleansers.flatMap((cleanser) => cleanser.lines))];
  const shares = groupsOf(cleansers, sheet);
  const because = (verdict: ThickeningRoute["verdict"], reason: RouteReason): ThickeningRoute => ({
    route: "salt",
    verdict,
    reason,
    lines,
  });
  const hasBetaine = shares.betaine >= PAIR_SHARE;
  if (shares.sulfate >= SULFATE_SHARE) return because("works", "sulfates");
  if (shares.sulfonate >= PAIR_SHARE && hasBetaine) return because("works", "sulfonate-betaine");
  if (shares.taurate >= PAIR_SHARE && hasBetaine) return because("works", "taurate-betaine");
  if (shares.sulfonate >= PAIR_SHARE || shares.taurate >= PAIR_SHARE) return because("little", "betaine-missing");
  return because("little", "salt-resistant");
}

function groupsOf(cleansers: readonly Cleanser[], { materials }: ResolvedSheet): Groups {
  const total = cleansers.reduce((sum, { percent }) => sum + percent, 0);
  const share = (isOne: (material: PlainMaterial) => boolean): number => {
    const part = cleansers.reduce((sum, { slug, percent }) => {
      const material = materials.get(slug);
      return material?.parts === undefined && material !== undefined && isOne(material) ? sum + percent : sum;
    }, 0);
    return total > 0 ? (100 * part) / total : 0;
  };
  return {
    sulfate: share(({ flags }) => flags.includes("sulfate")),
    sulfonate: share((material) => isKind(material, "sulfonate")),
    taurate: share((material) => isKind(material, "taurate")),
    betaine: share(({ charge, flags }) => charge === "amphoteric" && flags.includes("salt-thickens")),
  };
}
