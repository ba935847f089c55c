import { cleansersOf, type Cleanser } from "../surfactants/cleansers.ts";
import { leavesOf } from "../formula/leaves.ts";
import type { ProfileSlug } from "../formula/profiles.ts";
import type { ResolvedSheet } from "../formula/types.ts";
import { remembered } from "../library/remembered.ts";
import type { PlainMaterial } from "../library/material.ts";

export type RouteName = "salt" | "gum" | "associative" | "cationic-guar" | "carbomer" | "cellulose-algin" | "fatty";

export interface ThickeningRoute {
  readonly route: RouteName;
  readonly verdict: "works" | "little" | "avoid";
  readonly why: string;
  /** Ids of the lines it rests on or is held back by. */
  readonly lines: readonly string[];
}

/** Share of the actives from which a group answers to salt, %. */
const SULFATE_SHARE = 25;
const PAIR_SHARE = 15;
/** Salt and other electrolyte from which carbomers thin, % w/w. */
export const MOST_CARBOMER_SALT_PERCENT = 0.3;

/**
 * Which ways of thickening work on a formula, and why. Salt: sulfates; sulfonates or taurates beside a betaine; little on
 * glucosides, isethionates and amphoacetates alone. A self-foaming pump product takes none.
 * @param saltPercent Sodium chloride and other electrolyte, % w/w.
 */
export function thickeningRoutes(sheet: ResolvedSheet, saltPercent: number): readonly ThickeningRoute[] {
  if (foamsItself(sheet.formula.profile)) {
    const why = "A foaming pump needs a liquid as thin as water: no thickener at all.";
    return (["salt", "gum", "associative", "cationic-guar", "carbomer", "cellulose-algin", "fatty"] as const).map((route) => ({
      route,
      verdict: "avoid",
      why,
      lines: [],
    }));
  }
  const scents = linesOf(sheet, (leaf) => leaf.role === "fragrance");
  const isHot = sheet.formula.phases.some(({ temperatureC }) => (temperatureC ?? ROOM_C) >= MELTING_C);
  return [
    saltRoute(sheet),
    {
      route: "gum",
      verdict: "works",
      why: "Gums thicken any base after a slurry and a day, but look stringy above half a percent.",
      lines: [],
    },
    {
      route: "associative",
      verdict: scents.length > 0 ? "little" : "works",
      why:
        scents.length > 0
          ? "Associative thickeners work late and scent upsets them: add them after it, judge next morning."
          : "Associative thickeners link the micelles; judge next morning.",
      lines: scents,
    },
    {
      route: "cationic-guar",
      verdict: "works",
      why: "Disperse it at about pH 7 before anything acidic; it thickens as the pH falls.",
      lines: linesOf(sheet, isCationicGuar),
    },
    {
      route: "carbomer",
      verdict: saltPercent > MOST_CARBOMER_SALT_PERCENT ? "avoid" : "works",
      why:
        saltPercent > MOST_CARBOMER_SALT_PERCENT
          ? `Carbomers collapse with salt, and ${saltPercent.toFixed(1)} % is in it.`
          : "Carbomers need neutralising, and collapse once salt comes in.",
      lines: [],
    },
    { route: "cellulose-algin", verdict: "works", why: "Needs high shear in the water before any surfactant.", lines: [] },
    {
      route: "fatty",
      verdict: isHot ? "works" : "little",
      why: isHot
        ? "Fatty alcohols and stearic acid thicken once melted in the warm phase."
        : "Fatty alcohols and stearic acid need a phase hot enough to melt them.",
      lines: linesOf(sheet, (leaf) => leaf.role === "fatty-solid"),
    },
  ];
}

const named = (word: RegExp) =>
  remembered((material: PlainMaterial): boolean => material.inci.some(({ name, percent }) => percent > 5 && word.test(name)));

const isSulfonate = named(/Sulfonate|Sulfolaurate|Sulfoacetate/);
const isTaurate = named(/Taurate/);

/** A polymer that swells by its charges and collapses with salt. */
export const isCarbomer: (material: PlainMaterial) => boolean = named(/Carbomer|Crosspolymer/);

/** Guar made cationic, which swells as the pH falls. */
export const isCationicGuar: (material: PlainMaterial) => boolean = named(/^Guar Hydroxypropyltrimonium/);

const ROOM_C = 22;
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
  const said = (verdict: ThickeningRoute["verdict"], why: string): ThickeningRoute => ({ route: "salt", verdict, why, lines });
  if (shares.sulfate >= SULFATE_SHARE) return said("works", "Sulfates answer to salt.");
  if (shares.sulfonate >= PAIR_SHARE && shares.betaine >= PAIR_SHARE) return said("works", "A sulfonate beside a betaine answers to salt.");
  if (shares.taurate >= PAIR_SHARE && shares.betaine >= PAIR_SHARE)
    return said("works", "A taurate and a betaine make a pair that answers to salt.");
  if (shares.sulfonate >= PAIR_SHARE || shares.taurate >= PAIR_SHARE)
    return said("little", "A betaine is missing: sulfonates and taurates alone hardly answer to salt.");
  return said("little", "Glucosides, isethionates and amphoacetates hardly answer to salt.");
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
    sulfonate: share(isSulfonate),
    taurate: share(isTaurate),
    betaine: share(({ charge, flags }) => charge === "amphoteric" && flags.includes("salt-thickens")),
  };
}
