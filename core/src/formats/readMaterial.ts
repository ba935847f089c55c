import { wholeMaterial } from "../library/briefMaterial.ts";
import type { Material, MaterialsBySlug } from "../library/material.ts";
import type { FieldFault } from "../quantities/refusal.ts";

/** Sums of typed shares carry noise of this size, %. */
const SUM_TOLERANCE = 0.01;

/** A material as a file writes it, of full shape: what is missing is null, false or empty. */
export function materialOfFile(written: object): Material {
  return wholeMaterial(written as Parameters<typeof wholeMaterial>[0]);
}

/** What a schema cannot see in a list of materials: same slugs, sums of shares, low above high. */
export function materialFaults(materials: readonly Material[], at: string): readonly FieldFault[] {
  const faults: FieldFault[] = [];
  const seen = new Set<string>();
  materials.forEach((material, index) => {
    const path = `${at}[${index}]`;
    if (seen.has(material.slug)) faults.push(fault(`${path}.slug`, `"${material.slug}" stands twice`));
    seen.add(material.slug);
    faults.push(...sumFaults(material, path), ...orderFaults(material, path));
  });
  return faults;
}

function fault(path: string, says: string): FieldFault {
  return { path, message: `${path}: ${says}.` };
}

function sumFaults(material: Material, path: string): readonly FieldFault[] {
  const key = material.parts === undefined ? "inci" : "parts";
  const total = (material.parts ?? material.inci).reduce((sum, entry) => sum + entry.percent, 0);
  const isWrong = key === "parts" ? Math.abs(total - 100) > SUM_TOLERANCE : total > 100 + SUM_TOLERANCE;
  if (!isWrong) return [];
  const wanted = key === "parts" ? "100" : "at most 100";
  return [fault(`${path}.${key}`, `the shares of ${material.name} come to ${Number(total.toFixed(4))} %, and must come to ${wanted}`)];
}

function orderFaults(material: Material, path: string): readonly FieldFault[] {
  const faults: FieldFault[] = [];
  const ordered = (key: string, values: readonly number[] | null): void => {
    if (values !== null && values.some((value, i) => i > 0 && value < (values[i - 1] ?? value))) {
      faults.push(fault(`${path}.${key}`, `${material.name} has its low end above its high end`));
    }
  };
  const span = (value: { readonly low: number; readonly high: number } | null) => (value === null ? null : [value.low, value.high]);
  ordered("active", material.active === null ? null : [material.active.low, material.active.typical, material.active.high]);
  ordered("phSupplied", span(material.phSupplied));
  ordered("phStable", span(material.phStable));
  ordered("use", span(material.use));
  ordered("zein", span(material.zein));
  ordered(
    "preservative",
    material.preservative === null ? null : [material.preservative.effectivePhLow, material.preservative.effectivePhHigh],
  );
  material.buffers.forEach((site, i) => ordered(`buffers[${i}].mmolPerGram`, span(site.mmolPerGram)));
  return faults;
}

/** Parts that nobody knows, and materials that contain themselves. */
export function nestingFaults(materials: readonly Material[], at: string, all: MaterialsBySlug): readonly FieldFault[] {
  const resolved = new Set<string>();
  return materials.flatMap((material, index) => nestingFaultsOf(material, `${at}[${index}]`, { all, resolved, above: [] }));
}

interface Walk {
  readonly all: MaterialsBySlug;
  /** Slugs whose parts are known to be sound. */
  readonly resolved: Set<string>;
  readonly above: readonly string[];
}

function nestingFaultsOf(material: Material, path: string, walk: Walk): readonly FieldFault[] {
  if (material.parts === undefined || walk.resolved.has(material.slug)) return [];
  const above = [...walk.above, material.slug];
  if (walk.above.includes(material.slug)) return [fault(`${path}.parts`, `the material contains itself (${above.join(" in ")})`)];
  const faults = material.parts.flatMap((part, i) => {
    const inner = walk.all.get(part.material);
    if (inner === undefined) return [fault(`${path}.parts[${i}].material`, `"${part.material}" is not in the library`)];
    return nestingFaultsOf(inner, path, { ...walk, above });
  });
  if (faults.length === 0) walk.resolved.add(material.slug);
  return faults;
}
