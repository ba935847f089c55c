import { Refusal, type FieldFault } from "../quantities/refusal.ts";
import type { Material } from "../library/material.ts";
import { faultsOf } from "./faults.ts";
import { referenceMaterialSchema } from "./files/materialFile.ts";
import { materialFaults, nestingFaults } from "./readMaterial.ts";

/** Roles of the trade share one composition; the reference library states every one to its last hundredth. */
const COMPOSITION_TOLERANCE = 1e-6;

/**
 * The reference library, every fact of it checked: shape, units' ranges, sums of shares, low before high, parts that
 * exist and hold no cycle, slugs of their own.
 * @throws Refusal whose message and faults name the material and the field.
 */
export function validatedLibrary(materials: readonly unknown[]): readonly Material[] {
  const shapes = materials.flatMap((material, index) => shapeFaults(material, index));
  if (shapes.length > 0) throw libraryRefusal(shapes);
  const library = materials as readonly Material[];
  const bySlug = new Map(library.map((material) => [material.slug, material]));
  const faults = [
    ...materialFaults(library, "materials"),
    ...nestingFaults(library, "materials", bySlug),
    ...library.flatMap((material, index) => compositionFaults(material, index)),
  ];
  if (faults.length > 0) throw libraryRefusal(faults.map((fault) => named(fault, library)));
  return library;
}

function shapeFaults(material: unknown, index: number): readonly FieldFault[] {
  const { error } = referenceMaterialSchema.validate(material, { convert: false, abortEarly: false });
  if (error === undefined) return [];
  const slug = (material as { readonly slug?: unknown } | null)?.slug;
  const who = typeof slug === "string" ? slug : `materials[${index}]`;
  return faultsOf(error).map(({ path, message }) => ({ path: `${who}.${path}`, message: `${who}: ${message}` }));
}

function compositionFaults(material: Material, index: number): readonly FieldFault[] {
  if (material.inci === undefined) return [];
  const total = material.inci.reduce((sum, entry) => sum + entry.percent, 0);
  if (Math.abs(total - 100) <= COMPOSITION_TOLERANCE) return [];
  const path = `materials[${index}].inci`;
  return [{ path, message: `${path}: the composition comes to ${total} %, and must come to 100.` }];
}

/** Puts the material's slug where its place in the list stood. */
function named({ path, message }: FieldFault, library: readonly Material[]): FieldFault {
  const index = Number(/^materials\[(\d+)\]/.exec(path)?.[1]);
  const slug = library[index]?.slug ?? "";
  return { path: path.replace(/^materials\[\d+\]/, slug), message: message.replace(/^materials\[\d+\]/, slug) };
}

function libraryRefusal(faults: readonly FieldFault[]): Refusal {
  return new Refusal(
    "not-valid",
    `The reference library has ${faults.length === 1 ? "a fault" : `${faults.length} faults`}: ${faults[0]?.message ?? ""}`,
    "Fix the fact in core/src/library/reference.",
    faults,
  );
}
