import { leavesOf } from "../formula/leaves.ts";
import type { ProcessChoices, ResolvedLine, ResolvedSheet } from "../formula/types.ts";
import type { Role } from "../library/material.ts";
import { isDryForm } from "../quantities/dryForms.ts";
import { ROOM_C } from "../quantities/roomTemperature.ts";

/** From here on a phase is heated, °C. */
export const HEATED_C = 50;

/**
 * How a batch is put together: a stock solution, a dry blend, an oil or balm in one pot, two layers that stay apart, or
 * anything with water that becomes one.
 */
export type BatchKind = "stock" | "dry" | "oil" | "layers" | "wet";

const SOLUTES: ReadonlySet<Role> = new Set<Role>(["ph-adjuster", "salt", "colour", "chelator", "preservative"]);

export function batchKind({ formula }: ResolvedSheet, lines: readonly ResolvedLine[]): BatchKind {
  const others = lines.filter(({ material }) => material.role !== "water");
  if (others.length > 0 && others.length < lines.length && others.every(({ material }) => SOLUTES.has(material.role))) return "stock";
  if (formula.profile === "shake-remover") return "layers";
  const hasWater = lines.some(({ material }) => isWet(material.role, material.form));
  if (hasWater) return "wet";
  return formula.profile === "cleansing-oil" || !lines.some(({ material }) => isDryForm(material.form)) ? "oil" : "dry";
}

function isWet(role: Role, form: string | null): boolean {
  if (role === "water" || role === "base") return true;
  return role === "surfactant" && (form === "liquid" || form === "gel" || form === "paste");
}

/** What the making of a sheet turns on. */
export interface Workbench {
  readonly sheet: ResolvedSheet;
  readonly lines: readonly ResolvedLine[];
  readonly kind: BatchKind;
  /** Phases with a fat that must melt and hold oil and water together, or an oil pot. */
  readonly fatPhases: ReadonlySet<string>;
  readonly waterPhases: ReadonlySet<string>;
  /** Phases with a gum that needs a slurry. */
  readonly gumPhases: ReadonlySet<string>;
  /** The liquid nonionic scent goes into where no solubiliser is there, by its line; null where there is none or nothing to carry. */
  readonly scentCarrier: string | null;
  /** What the maker has settled. */
  readonly choices: ProcessChoices;
  temperatureOf(phase: string): number;
}

export function workbench(sheet: ResolvedSheet): Workbench {
  const lines = sheet.lines;
  const choices = sheet.formula.process?.choices ?? {};
  const kind = batchKind(
    sheet,
    lines.filter(({ percent }) => percent > 0),
  );
  const phasesWith = (is: (line: ResolvedLine) => boolean): ReadonlySet<string> => new Set(lines.filter(is).map(({ line }) => line.phase));
  const temperatures = new Map(sheet.formula.phases.map(({ id, temperatureC }) => [id, temperatureC ?? ROOM_C]));
  const temperatureOf = (phase: string): number => temperatures.get(phase) ?? ROOM_C;
  return {
    sheet,
    lines,
    kind,
    fatPhases: phasesWith(
      ({ line, material }) => material.role === "emulsifier" || (material.role === "fatty-solid" && temperatureOf(line.phase) >= HEATED_C),
    ),
    waterPhases: phasesWith(({ material }) => material.role === "water"),
    gumPhases: phasesWith((line) => isSlurryGum(line)),
    scentCarrier: scentCarrierOf(lines, choices),
    choices,
    temperatureOf,
  };
}

/** Scent goes into the undiluted nonionic: what has met water first is no longer taken up. */
function scentCarrierOf(lines: readonly ResolvedLine[], { scentInto }: ProcessChoices): string | null {
  if (scentInto === "batch") return null;
  if (scentInto !== undefined && lines.some(({ line, percent }) => line.id === scentInto && percent > 0)) return scentInto;
  const roles = new Set(lines.map(({ material }) => material.role));
  if (!roles.has("fragrance") || roles.has("solubiliser")) return null;
  return scentCarriersOf(lines).toSorted((a, b) => b.percent - a.percent)[0]?.line.id ?? null;
}

/** Liquid nonionics that take up scent undiluted. */
function scentCarriersOf(lines: readonly ResolvedLine[]): readonly ResolvedLine[] {
  return lines.filter(
    ({ material, percent }) =>
      percent > 0 &&
      material.role === "surfactant" &&
      material.charge === "nonionic" &&
      material.form === "liquid" &&
      !material.flags.includes("needs-heat"),
  );
}

/** What can carry the scent of a formula: its solubilisers, its liquid nonionics, its oils. */
export function possibleCarriers(lines: readonly ResolvedLine[]): readonly ResolvedLine[] {
  const nonionics = new Set(scentCarriersOf(lines));
  return lines.filter((line) => line.percent > 0 && (nonionics.has(line) || CARRYING.has(line.material.role)));
}

const CARRYING: ReadonlySet<Role> = new Set<Role>(["solubiliser", "emollient"]);

/** A gum with a line of its own that must be wetted before it meets water; one that opens only under shear is not. */
export function isSlurryGum({ material }: ResolvedLine): boolean {
  const { parts, role, flags } = material;
  return parts === undefined && role === "thickener" && flags.includes("needs-slurry") && !flags.includes("high-shear");
}

/** Whether a line is a ready wash: a bought base, or a formula used as a material; what is sold with water in it is not by that alone. */
export function isReadyBase({ material }: ResolvedLine, { sheet }: Workbench): boolean {
  if (material.flags.includes("soap")) return false;
  if (material.role === "base") return true;
  return (
    material.role === "surfactant" &&
    material.parts !== undefined &&
    leavesOf(material, sheet.materials).some((leaf) => leaf.material.role === "water")
  );
}
