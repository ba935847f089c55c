import { isKind } from "../library/ingredientKinds.ts";
import { isWetting } from "../findings/rheology/gums.ts";
import type { ResolvedLine } from "../formula/types.ts";
import type { PlainMaterial, Role } from "../library/material.ts";
import { isCationicGuar } from "../rheology/routes.ts";
import { HEATED_C, isReadyBase, isSlurryGum, type Workbench } from "./batchKind.ts";
import { isDryForm } from "../quantities/dryForms.ts";

/** What a line is handled as. Every line has exactly one. */
export type Task =
  | "solute"
  | "water"
  | "base"
  | "soap"
  | "gum"
  | "gum-wetting"
  | "chelator"
  | "guar"
  | "spread"
  | "shear"
  | "dissolve"
  | "cleanser-powder"
  | "cleanser-amphoteric"
  | "cleanser"
  | "melt"
  | "solubiliser"
  | "scent"
  | "fat"
  | "layer-oil"
  | "dry"
  | "dry-liquid"
  | "cool-down"
  | "temper"
  | "disperse"
  | "scent-carrier"
  | "grains"
  | "neutralise"
  | "ph"
  | "salt"
  | "late-thickener";

const OILY: ReadonlySet<Role> = new Set<Role>(["emollient", "fatty-solid", "emulsifier", "superfat", "antioxidant"]);
const COOL_C = 40;

const hasFlag = ({ material }: ResolvedLine, flag: string): boolean => material.flags.includes(flag);

/** The task of a line, by what the material is, by its phase and by what else is on the sheet. */
export function taskOf(resolved: ResolvedLine, bench: Workbench): Task {
  const { role } = resolved.material;
  if (bench.kind === "stock") return role === "water" ? "water" : "solute";
  if (bench.kind === "dry") return isDry(resolved) ? "dry" : "dry-liquid";
  const settled = bench.kind === "oil" ? null : chosenTask(resolved, bench);
  if (settled !== null) return settled;
  if (role === "ph-adjuster") return resolved.material.acidBase?.equivalentsModel === "base" && hasCarbomer(bench) ? "neutralise" : "ph";
  if (bench.kind === "oil") return oilTask(resolved, bench);
  if (bench.kind === "layers" && (OILY.has(role) || role === "fragrance")) return "layer-oil";
  return wetTask(resolved, bench);
}

/** Where the maker has settled that a line goes; null where the rules settle it. */
function chosenTask({ line, material }: ResolvedLine, bench: Workbench): Task | null {
  const { role } = material;
  const { scentInto, preservativeInto, acidInWater } = bench.choices;
  if (acidInWater === true && role === "ph-adjuster") return "dissolve";
  if (preservativeInto !== undefined && role === "preservative") return preservativeTasks[preservativeInto];
  if (scentInto === undefined) return null;
  if (line.id === scentInto) return "scent-carrier";
  if (scentInto === "batch") return role === "fragrance" ? "cool-down" : null;
  // Another solubiliser than the one that was chosen carries nothing.
  return role === "solubiliser" ? "dissolve" : null;
}

const preservativeTasks = { water: "dissolve", glycerin: "gum-wetting", batch: "cool-down" } as const satisfies Record<string, Task>;

function isDry({ material }: ResolvedLine): boolean {
  return isDryForm(material.form);
}

function oilTask(resolved: ResolvedLine, bench: Workbench): Task {
  const { role } = resolved.material;
  if (role === "fragrance" || role === "preservative" || hasFlag(resolved, "add-late")) return "cool-down";
  if (role === "powder" || role === "exfoliant" || role === "colour") return "grains";
  return bench.temperatureOf(resolved.line.phase) < COOL_C && isHot(bench) && !OILY.has(role) ? "cool-down" : "fat";
}

function wetTask(resolved: ResolvedLine, bench: Workbench): Task {
  const { material, line } = resolved;
  const { role } = material;
  if (role === "water") return "water";
  if (hasFlag(resolved, "soap")) return "soap";
  if (isReadyBase(resolved, bench)) return "base";
  if (isSlurryGum(resolved)) return "gum";
  if (bench.gumPhases.has(line.phase) && material.parts === undefined && isWetting(material as PlainMaterial)) return "gum-wetting";
  if (role === "salt") return "salt";
  if (role === "chelator") return "chelator";
  if (role === "exfoliant") return "grains";
  if (isFat(resolved, bench)) return "fat";
  if (disperses(resolved, bench)) return "disperse";
  if (role === "surfactant") return cleanserTask(resolved, bench);
  if (role === "thickener" || role === "suspender") return thickenerTask(resolved);
  if (role === "powder") return !hasWater(bench) ? "grains" : isLatePhase(resolved, bench) || isWhipped(bench) ? "temper" : "shear";
  if (role === "fragrance" || role === "emollient" || role === "antioxidant" || role === "superfat" || role === "fatty-solid") {
    return isHot(bench) && !isHotPhase(resolved, bench) ? "cool-down" : "scent";
  }
  if (role === "solubiliser")
    return hasOily(bench) && !(isHot(bench) && !isHotPhase(resolved, bench)) ? "solubiliser" : isHot(bench) ? "cool-down" : "dissolve";
  return restTask(resolved, bench);
}

function restTask(resolved: ResolvedLine, bench: Workbench): Task {
  const { material, line } = resolved;
  if (material.parts === undefined && isCationicGuar(material as PlainMaterial)) return "guar";
  if (material.role === "colour") return material.form === "powder" && !material.solubleIn.includes("water") ? "temper" : "cool-down";
  if (material.role === "conditioner" && hasFlag(resolved, "hydrates-slowly")) return "spread";
  if (material.role === "preservative") return preservativeTask(resolved, bench);
  const inWaterPhase = bench.waterPhases.has(line.phase);
  if (hasFlag(resolved, "add-late") || (isHot(bench) && !isHotPhase(resolved, bench)))
    return inWaterPhase && !isHot(bench) ? "dissolve" : "cool-down";
  return "dissolve";
}

/**
 * A preservative that only alcohol or glycerin dissolves, or that is added late, goes into the finished batch, whatever its
 * phase is called; one that water dissolves may go into the water.
 */
function preservativeTask(resolved: ResolvedLine, bench: Workbench): Task {
  const { material, line } = resolved;
  const isLate = hasFlag(resolved, "add-late") || !material.solubleIn.includes("water");
  return !isLate && bench.waterPhases.has(line.phase) && !isHotPhase(resolved, bench) ? "dissolve" : "cool-down";
}

/** What does not dissolve and is no powder of its own kind: a paste of a pyrithione salt, pigments, mica, pearl. */
function disperses({ material }: ResolvedLine, { fatPhases }: Workbench): boolean {
  const { role, dispersed, solubleIn, flags } = material;
  if (fatPhases.size > 0 || dispersed === null || solubleIn.includes("water") || flags.includes("needs-heat")) return false;
  return role === "active" || role === "colour" || (role === "thickener" && !flags.includes("high-shear"));
}

function isWhipped({ sheet }: Workbench): boolean {
  return sheet.formula.profile === "whipped-cleanser";
}

function hasWater({ lines }: Workbench): boolean {
  return lines.some(({ material, percent }) => material.role === "water" && percent > 0);
}

function cleanserTask(resolved: ResolvedLine, bench: Workbench): Task {
  const { material, line } = resolved;
  if (bench.kind === "layers" || (bench.waterPhases.has(line.phase) && !hasFlag(resolved, "needs-heat"))) return "dissolve";
  if (line.id === bench.scentCarrier && !isHot(bench)) return "scent-carrier";
  if (isDryForm(material.form) || material.form === "wax") return "cleanser-powder";
  return material.charge === "amphoteric" ? "cleanser-amphoteric" : "cleanser";
}

function thickenerTask(resolved: ResolvedLine): Task {
  const { material } = resolved;
  if (hasFlag(resolved, "needs-heat")) return "melt";
  if (hasFlag(resolved, "high-shear") || (material.parts === undefined && isKind(material, "clay"))) return "shear";
  if (material.form === "liquid")
    return hasFlag(resolved, "fragrance-sensitive") ? "late-thickener" : material.charge === "anionic" ? "spread" : "cool-down";
  return "spread";
}

/** Handled in the fat beaker: oils and fats of an emulsion, and what shares their phase. */
function isFat(resolved: ResolvedLine, bench: Workbench): boolean {
  const { role } = resolved.material;
  if (bench.fatPhases.size === 0) return false;
  if (bench.fatPhases.has(resolved.line.phase)) return OILY.has(role) || role === "surfactant" || hasFlag(resolved, "needs-heat");
  return (role === "emollient" || role === "fatty-solid") && isHotPhase(resolved, bench);
}

function isHotPhase({ line }: ResolvedLine, { temperatureOf }: Workbench): boolean {
  return temperatureOf(line.phase) >= HEATED_C;
}

/** Whether any phase with something in it is heated. */
export function isHot({ lines, temperatureOf }: Workbench): boolean {
  return lines.some(({ line }) => temperatureOf(line.phase) >= HEATED_C);
}

function isLatePhase(resolved: ResolvedLine, bench: Workbench): boolean {
  return isHot(bench) && !isHotPhase(resolved, bench);
}

function hasOily({ lines }: Workbench): boolean {
  return lines.some(({ material }) => ["fragrance", "emollient", "antioxidant", "superfat"].includes(material.role));
}

function hasCarbomer({ lines }: Workbench): boolean {
  return lines.some(({ material }) => material.role === "suspender" && material.acidBase?.equivalentsModel === "acid");
}
