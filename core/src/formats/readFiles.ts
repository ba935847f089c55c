import type Joi from "joi";
import type { DilutionParts } from "../preservation/dilution.ts";
import type { FieldFault } from "../quantities/refusal.ts";
import type { Formula } from "../formula/types.ts";
import { withOwnMaterials } from "../formula/resolveLines.ts";
import type { Material, MaterialsBySlug } from "../library/material.ts";
import { checked, refusalOf } from "./checked.ts";
import { backupHeadSchema } from "./files/backupFile.ts";
import { batchSchema } from "./files/batchFile.ts";
import { dilutionSchema, micellesSchema, unmixSchema } from "./files/blendFiles.ts";
import { designSchema } from "./files/designFile.ts";
import { formulaSchema } from "./files/formulaFile.ts";
import { beadDropSchema, saltCurveSchema, sedimentationSchema, thickenSchema, titrationSchema } from "./files/instrumentFiles.ts";
import { labelSchema } from "./files/labelFile.ts";
import { materialsFileSchema } from "./files/materialFile.ts";
import { findSchema, recipeSchema } from "./files/textFiles.ts";
import type { FormatName } from "./formatNames.ts";
import type {
  BackupHead,
  BeadDropFile,
  DesignFile,
  FindFile,
  MicellesFile,
  RecipeFile,
  SaltCurveFile,
  SedimentationFile,
  ThickenFile,
  TitrationFile,
  UnmixFile,
} from "./fileTypes.ts";
import type { LabelDesign } from "../packaging/labels/labelDesign.ts";
import { readBatch } from "./readBatch.ts";
import { readFormula, wholeFormula } from "./readFormula.ts";
import { materialFaults, materialOfFile, nestingFaults } from "./readMaterial.ts";

/** The shape of every open format. */
export const formatSchemas: Readonly<Record<FormatName, Joi.ObjectSchema>> = {
  "tensidrum-formula/1": formulaSchema,
  "tensidrum-materials/1": materialsFileSchema,
  "tensidrum-dilution/1": dilutionSchema,
  "tensidrum-titration/1": titrationSchema,
  "tensidrum-thicken/1": thickenSchema,
  "tensidrum-salt-curve/1": saltCurveSchema,
  "tensidrum-bead-drop/1": beadDropSchema,
  "tensidrum-settle/1": sedimentationSchema,
  "tensidrum-micelles/1": micellesSchema,
  "tensidrum-unmix/1": unmixSchema,
  "tensidrum-recipe/1": recipeSchema,
  "tensidrum-find/1": findSchema,
  "tensidrum-batch/1": batchSchema,
  "tensidrum-label/1": labelSchema,
  "tensidrum-design/1": designSchema,
  "tensidrum-backup/1": backupHeadSchema,
};

export interface DilutionFile extends DilutionParts {
  readonly formula: Formula;
}

/**
 * Reads a product and the water it is mixed with, format tensidrum-dilution/1.
 * @throws Refusal with the path of every field that cannot be taken.
 */
export function readDilution(value: unknown, library: MaterialsBySlug): DilutionFile {
  type Written = DilutionParts & { readonly formula: Parameters<typeof wholeFormula>[0] };
  const { formula, partsProduct, partsWater } = checked<Written>(dilutionSchema, value);
  return { formula: wholeFormula(formula, library, "formula"), partsProduct, partsWater };
}

/**
 * Reads a question for a blend, format tensidrum-design/1. A material of the shelf, a must-have or a must-not that no library has is
 * refused.
 * @throws Refusal with the path of every field that cannot be taken.
 */
export function readDesign(value: unknown, library: MaterialsBySlug): DesignFile {
  type Written = Omit<DesignFile, "formula"> & { readonly formula: Parameters<typeof wholeFormula>[0] };
  const { formula, ...file } = checked<Written>(designSchema, value);
  const whole = wholeFormula(formula, library, "formula");
  const all = withOwnMaterials(library, whole.materials ?? []);
  const faults = [
    ...spanFaults("wishes.activePercent", file.wishes.activePercent),
    ...(file.wishes.count === undefined ? [] : spanFaults("wishes.count", file.wishes.count)),
    ...unknownFaults("wishes.mustHave", file.wishes.mustHave ?? [], all),
    ...unknownFaults("mustNot", file.mustNot ?? [], all),
    ...(file.shelf ?? []).flatMap(({ material }, at) => unknownFaults(`shelf[${at}].material`, [material], all, true)),
  ];
  if (faults.length > 0) throw refusalOf(faults);
  return { ...file, formula: whole };
}

function spanFaults(path: string, { low, high }: { readonly low: number; readonly high: number }): readonly FieldFault[] {
  return low <= high ? [] : [{ path, message: `${path}: ${low} to ${high} is no window; the low end must not be above the high end.` }];
}

function unknownFaults(path: string, slugs: readonly string[], all: MaterialsBySlug, isAlone = false): readonly FieldFault[] {
  return slugs.flatMap((slug, at) => {
    const own = isAlone ? path : `${path}[${at}]`;
    return all.has(slug) ? [] : [{ path: own, message: `${own}: "${slug}" is not in the library.` }];
  });
}

/** A bottle of a material as a file tells of it. */
export interface LotOfFile {
  readonly id: string;
  readonly material: string;
  /** As written on it; its id where there is none. */
  readonly code?: string;
  readonly note?: string;
  readonly assayPercent?: number | null;
  readonly supplier?: string | null;
  readonly gramsLeft?: number | null;
  readonly packGrams?: number | null;
  readonly packPrice?: number | null;
  /** ISO dates. */
  readonly openedOn?: string | null;
  /** Days it keeps once it is open. */
  readonly daysAfterOpening?: number | null;
  readonly expiresOn?: string | null;
}

export interface MaterialsFile {
  readonly libraryVersion?: string;
  readonly materials: readonly Material[];
  /** How materials of the file came to be, by slug; what is not named was bought. */
  readonly madeHere: Readonly<Record<string, "solution" | "water" | "scent" | "formula" | "blend">>;
  readonly lots: readonly LotOfFile[];
}

/**
 * Reads materials and lots, format tensidrum-materials/1. Parts may come from the file or from the library.
 * @throws Refusal with the path of every field that cannot be taken.
 */
export function readMaterialsFile(value: unknown, library: MaterialsBySlug): MaterialsFile {
  type Written = Omit<MaterialsFile, "materials" | "lots" | "madeHere"> & {
    readonly materials: readonly object[];
    readonly madeHere?: MaterialsFile["madeHere"];
    readonly lots?: readonly LotOfFile[];
  };
  const written = checked<Written>(materialsFileSchema, value);
  const materials = written.materials.map(materialOfFile);
  const all = withOwnMaterials(library, materials);
  const lots = written.lots ?? [];
  const faults = [...materialFaults(materials, "materials"), ...nestingFaults(materials, "materials", all), ...lotFaults(lots, all)];
  if (faults.length > 0) throw refusalOf(faults);
  const { libraryVersion, madeHere = {} } = written;
  return { ...(libraryVersion === undefined ? {} : { libraryVersion }), materials, madeHere, lots };
}

function lotFaults(lots: readonly LotOfFile[], all: MaterialsBySlug) {
  const seen = new Set<string>();
  return lots.flatMap(({ id, material }, index) => {
    const path = `lots[${index}]`;
    const isTwice = seen.has(id);
    seen.add(id);
    const twice = isTwice ? [{ path: `${path}.id`, message: `${path}.id: "${id}" stands twice.` }] : [];
    const unknown = all.has(material)
      ? []
      : [{ path: `${path}.material`, message: `${path}.material: "${material}" is not in the library.` }];
    return [...twice, ...unknown];
  });
}

/**
 * Checks a file of the bench or of a blend beyond its shape, and hands it on as it is.
 * @throws Refusal with the path of every field that cannot be taken.
 */
function readPlain<File>(format: FormatName, value: unknown, faultsOf: (file: File) => readonly FieldFault[] = () => []): File {
  const file = checked<File>(formatSchemas[format], value);
  const faults = faultsOf(file);
  if (faults.length > 0) throw refusalOf(faults);
  return file;
}

function titrationFaults({ target, readings, batchGrams, counterAgent }: TitrationFile): readonly FieldFault[] {
  const faults: FieldFault[] = [];
  if (!(target.low < target.high)) {
    const message = `target: ${target.low} to ${target.high} is no window; the low end must be below the high end.`;
    faults.push({ path: "target", message });
  }
  for (const key of ["doseGramsTotal", "counterGramsTotal", "otherGramsTotal"] as const) {
    faults.push(
      ...fallFaults(
        readings.map((reading) => reading[key] ?? 0),
        (k) => `readings[${k}].${key}`,
      ),
    );
  }
  const counted = readings.findIndex(({ counterGramsTotal }) => (counterGramsTotal ?? 0) > 0);
  if (counted !== -1 && counterAgent == null) {
    const path = `readings[${counted}].counterGramsTotal`;
    faults.push({ path, message: `${path}: something was dosed back, but counterAgent does not say what.` });
  }
  const sampled = readings.reduce((sum, { sampleGrams }) => sum + (sampleGrams ?? 0), 0);
  if (sampled >= batchGrams) {
    faults.push({ path: "readings", message: `readings: the samples take ${sampled} g out of a batch of ${batchGrams} g.` });
  }
  return faults;
}

/** Running totals never fall. */
function fallFaults(totals: readonly number[], pathOf: (k: number) => string): readonly FieldFault[] {
  const at = totals.findIndex((total, k) => k > 0 && total < totals[k - 1]!);
  if (at === -1) return [];
  const path = pathOf(at);
  return [{ path, message: `${path}: ${totals[at]} g is less than the ${totals[at - 1]} g before; totals run on.` }];
}

function thickenFaults({ additions = [] }: ThickenFile): readonly FieldFault[] {
  return fallFaults(
    additions.map(({ gramsTotal }) => gramsTotal),
    (k) => `additions[${k}].gramsTotal`,
  );
}

function lineFaults({ ingredients, onePercentLineAfter }: UnmixFile): readonly FieldFault[] {
  if (onePercentLineAfter == null || onePercentLineAfter < ingredients.length) return [];
  const path = "onePercentLineAfter";
  return [
    { path, message: `${path} is ${onePercentLineAfter}; the last of the ${ingredients.length} names has ${ingredients.length - 1}.` },
  ];
}

/** Shares typed with three decimals may miss 1 by this much. */
const SHARES_TOLERANCE = 0.005;

function shareFaults({ surfactants }: MicellesFile): readonly FieldFault[] {
  const sum = surfactants.reduce((total, { moleFraction }) => total + moleFraction, 0);
  if (Math.abs(sum - 1) <= SHARES_TOLERANCE) return [];
  const message = `surfactants: their mole fractions sum to ${Number(sum.toPrecision(4))}; they must sum to 1.`;
  return [{ path: "surfactants", message }];
}

export const readTitration = (value: unknown): TitrationFile => readPlain("tensidrum-titration/1", value, titrationFaults);
export const readThicken = (value: unknown): ThickenFile => readPlain("tensidrum-thicken/1", value, thickenFaults);
export const readSaltCurve = (value: unknown): SaltCurveFile => readPlain("tensidrum-salt-curve/1", value);
export const readBeadDrop = (value: unknown): BeadDropFile => readPlain("tensidrum-bead-drop/1", value);
export const readSedimentation = (value: unknown): SedimentationFile => readPlain("tensidrum-settle/1", value);
export const readMicelles = (value: unknown): MicellesFile => readPlain("tensidrum-micelles/1", value, shareFaults);
export const readUnmix = (value: unknown): UnmixFile => readPlain("tensidrum-unmix/1", value, lineFaults);
export const readRecipeFile = (value: unknown): RecipeFile => readPlain("tensidrum-recipe/1", value);
export const readFind = (value: unknown): FindFile => readPlain("tensidrum-find/1", value);

/**
 * Reads a label, format tensidrum-label/1.
 * @throws Refusal with the path of every field that cannot be taken.
 */
export const readLabelDesign = (value: unknown): LabelDesign => readPlain("tensidrum-label/1", value, boxFaults);

function boxFaults({ boxes }: LabelDesign): readonly FieldFault[] {
  const seen = new Set<string>();
  return boxes.flatMap(({ id }, at) => {
    const isTwice = seen.has(id);
    seen.add(id);
    return isTwice ? [{ path: `boxes[${at}].id`, message: `boxes[${at}].id: "${id}" stands twice.` }] : [];
  });
}

/**
 * Reads the first line of a backup, format tensidrum-backup/1.
 * @throws Refusal with the path of every field that cannot be taken.
 */
export const readBackupHead = (value: unknown): BackupHead => readPlain("tensidrum-backup/1", value);

/** Reads a file of any format by the rules of that format. */
export function readAny(format: FormatName, value: unknown, library: MaterialsBySlug): unknown {
  switch (format) {
    case "tensidrum-formula/1":
      return readFormula(value, library);
    case "tensidrum-materials/1":
      return readMaterialsFile(value, library);
    case "tensidrum-dilution/1":
      return readDilution(value, library);
    case "tensidrum-titration/1":
      return readTitration(value);
    case "tensidrum-thicken/1":
      return readThicken(value);
    case "tensidrum-salt-curve/1":
      return readSaltCurve(value);
    case "tensidrum-bead-drop/1":
      return readBeadDrop(value);
    case "tensidrum-settle/1":
      return readSedimentation(value);
    case "tensidrum-micelles/1":
      return readMicelles(value);
    case "tensidrum-unmix/1":
      return readUnmix(value);
    case "tensidrum-recipe/1":
      return readRecipeFile(value);
    case "tensidrum-find/1":
      return readFind(value);
    case "tensidrum-batch/1":
      return readBatch(value, library);
    case "tensidrum-label/1":
      return readLabelDesign(value);
    case "tensidrum-design/1":
      return readDesign(value, library);
    case "tensidrum-backup/1":
      return readBackupHead(value);
  }
}
