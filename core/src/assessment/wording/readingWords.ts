import type { ClarityOutlook } from "../../appearance/clarity.ts";
import type { MaterialsBySlug } from "../../library/material.ts";
import type { PreservationCheck } from "../../preservation/checks.ts";
import { written, writtenPercent } from "../../quantities/written.ts";
import type { RouteReason, ThickeningRoute } from "../../rheology/routes.ts";
import { joined, namesFrom } from "./names.ts";
import { phSource } from "./preservationWords.ts";

/** Why a way of thickening works or not. `saltPercent`: sodium chloride and other electrolyte, % w/w. */
export function routeWords({ reason }: ThickeningRoute, saltPercent: number): string {
  return reason === "salt-collapses"
    ? `Carbomers collapse with salt, and the formula contains ${written(saltPercent, 1)} %.`
    : ROUTES[reason];
}

const ROUTES: Readonly<Record<Exclude<RouteReason, "salt-collapses">, string>> = {
  "foaming-pump": "A foaming pump needs a product as thin as water: use no thickener.",
  sulfates: "Salt thickens sulfates.",
  "sulfonate-betaine": "Salt thickens a sulfonate with a betaine.",
  "taurate-betaine": "Salt thickens a taurate with a betaine.",
  "betaine-missing": "Without a betaine salt hardly thickens sulfonates and taurates.",
  "salt-resistant": "Salt hardly thickens glucosides, isethionates and amphoacetates.",
  slurry: "Gums thicken any base after a slurry and a day. Above half a percent they look stringy.",
  "next-day": "Associative thickeners link the micelles. Judge the next morning.",
  "after-scent": "Scent weakens associative thickeners: add them after the scent and judge the next morning.",
  "before-acid": "Disperse it at about pH 7 before any acid. It thickens as the pH falls.",
  neutralise: "Carbomers need neutralising, and salt makes them collapse.",
  "high-shear": "Needs high shear in the water before any surfactant.",
  melted: "Fatty alcohols and stearic acid thicken once they are melted in the warm phase.",
  "not-melted": "Fatty alcohols and stearic acid need a phase hot enough to melt them.",
};

/** Why a product will be clear or not. */
export function clarityWords({ reason, materials }: ClarityOutlook, loosePercent: number, library: MaterialsBySlug): string {
  const names = namesFrom(library);
  switch (reason) {
    case "opacifiers":
      return `${names.list(materials)} scatter${materials.length === 1 ? "s" : ""} light`;
    case "free-oil":
      return `${writtenPercent(loosePercent)} % free oil`;
    case "proteins":
      return `${names.list(materials)} can make it hazy`;
    case "settles":
      return `${names.list(materials)} and fine bubbles haze it until they have settled`;
    case "nothing":
      return "nothing in it scatters light";
  }
}

/** What a preservation check says. */
export function checkWords(check: PreservationCheck, library: MaterialsBySlug): string {
  const names = namesFrom(library);
  switch (check.check) {
    case "ph":
      return phWords(check);
    case "water-activity":
      return waterWords(check);
    case "preservative":
      return preservativeWords(check, (slugs) => joined(slugs.map(names.of)));
    case "chelator":
      if (check.reason === "no-water") return "None is needed while it is dry.";
      return check.reason === "there"
        ? `${written(check.value ?? 0, 2)} % chelator binds the metals that microbes need.`
        : "No chelator: metals from water and plants feed microbes and weaken the preservative.";
    case "microbe-nutrients":
      return check.reason === "few"
        ? "The formula contains few nutrients for microbes."
        : `${written(check.value ?? 0, 1)} % nutrients for microbes: they use the preservative up.`;
    case "clean-process":
      return "Clean and disinfect tools and containers, and cover hot water phases: this decides how many microbes start.";
    case "pack":
      return "A pump keeps fingers and shower water out; a jar does not.";
  }
}

type CheckOf<Name extends PreservationCheck["check"]> = PreservationCheck & { readonly check: Name };

function phWords({ reason, value, phFrom }: CheckOf<"ph">): string {
  if (value === null) return "The pH is not known.";
  const at = `pH ${written(value, 1)} (${phFrom === undefined ? "unknown" : phSource[phFrom]})`;
  if (reason === "acid") return `${at}: acid enough to slow most bacteria.`;
  return reason === "alkaline" ? `${at}: too alkaline for most microbes.` : `${at}: suits many microbes.`;
}

function waterWords({ reason, value }: CheckOf<"water-activity">): string {
  if (value === null) return "Without water nothing grows, as long as no wet finger gets in.";
  const at = `Water activity ${written(value, 3)} (estimate)`;
  switch (reason) {
    case "nothing-grows":
      return `${at}: nothing grows.`;
    case "rare-moulds":
      return `${at}: only rare moulds grow; a wet finger is enough to change that.`;
    case "moulds-and-yeasts":
      return `${at}: mainly moulds, yeasts and salt-tolerant bacteria grow.`;
    default:
      return `${at}: everything can grow. A full preservative is needed.`;
  }
}

function preservativeWords({ reason, value, low }: CheckOf<"preservative">, listed: (slugs: readonly string[]) => string): string {
  const active = value === null ? "" : ` ${written(value, 3)} % undissociated acid is active at this pH.`;
  switch (reason) {
    case "no-water":
      return "None is needed while it is dry: take it with a dry spoon, and never fill it wet.";
    case "none":
      return "The formula contains no preservative.";
    case "low":
      return `${listed(low ?? [])} below the usual dose.${active}`;
    case "dose-unknown":
      return `The usual dose of a preservative is unknown.${active}`;
    case "within-dose":
      return `Within the usual dose.${active}`;
  }
}
