import { Refusal } from "@tensidrum/core/formula";
import { readMaterialsFile } from "@tensidrum/core/formats";
import { slugOf, withOwnFacts, type Material, type MaterialsBySlug, type OwnFacts } from "@tensidrum/core/library";
import { readNumber } from "@tensidrum/core/quantities";
import type { KnownMaterials } from "../knownMaterials";
import type { MaterialProblem, TypedMaterial } from "./materialFields";
import { readFacts } from "./readFacts";

/** What typed materials are read against. */
export interface MaterialsAround {
  readonly library: MaterialsBySlug;
  readonly known: KnownMaterials;
}

type ReadMaterial =
  { readonly ok: true; readonly material: Material } | { readonly ok: false; readonly problems: readonly MaterialProblem[] };

/**
 * A material of one's own as typed. `base` brings the facts the form does not ask for; the slug comes from the name
 * unless the base has one of its own to keep.
 */
export function readTypedMaterial(
  typed: TypedMaterial,
  around: MaterialsAround & { readonly base: Material | null; readonly slug?: string },
): ReadMaterial {
  const { facts, problems } = readFacts(typed);
  const composition = compositionOf(typed, around.known);
  if ("problem" in composition) return { ok: false, problems: [...problems, composition.problem] };
  if (typed.name.trim() === "") return { ok: false, problems: [...problems, { field: "name", message: "Give it a name." }] };
  if (problems.length > 0) return { ok: false, problems };
  const { inci: _inci, parts: _parts, measured: _measured, ...base } = around.base ?? ({} as Partial<Material>);
  const words = (text: string): string[] => text.split(/[,;\n]/).flatMap((word) => (word.trim() === "" ? [] : [word.trim()]));
  const charge = typed.charge === "" ? null : typed.charge;
  const written = {
    ...base,
    ...cleared,
    ...facts,
    ...composition,
    slug: around.slug ?? slugOf(typed.slug === "" ? typed.name : typed.slug, new Set(around.library.keys())),
    name: typed.name.trim(),
    role: typed.role,
    form: typed.form === "" ? null : typed.form,
    charge,
    countsAsActive: typed.role === "surfactant",
    flags: words(typed.flags),
    handling: typed.handling.trim(),
    caution: typed.caution.trim() === "" ? null : typed.caution.trim(),
    uncertain: [],
  };
  // Of a blend the parts speak, unless a fact was typed for the blend itself.
  const measured = "parts" in composition ? Object.keys(facts).filter((fact) => fact !== "handling") : [];
  return checkedMaterial(measured.length > 0 ? { ...written, measured } : written, around.library);
}

/** Fields the form shows: what is empty there is not known. */
const cleared = {
  active: null,
  saltPercent: null,
  electrolytePercent: null,
  densityGramsPerMl: null,
  trueDensityGramsPerMl: null,
  dropMilligrams: null,
  molarMass: null,
  cmcMillimolar: null,
  maxTemperatureC: null,
  phSupplied: null,
  phStable: null,
  use: null,
  zein: null,
};

/** Own facts on a reference material, checked as the material they make. */
export function checkedOwnFacts(reference: Material, own: OwnFacts, library: MaterialsBySlug): ReadMaterial {
  return checkedMaterial(withOwnFacts(reference, own), library);
}

function checkedMaterial(written: object, library: MaterialsBySlug): ReadMaterial {
  try {
    const { materials } = readMaterialsFile({ format: "tensidrum-materials/1", materials: [written] }, library);
    const [material] = materials;
    if (material === undefined) throw new Error("A file of one material was read as none");
    return { ok: true, material };
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    const problems = error.faults.map(({ path, message }) => {
      const inner = path.replace(/^materials\[0\]\.?/, "");
      return { field: inner.split(/[.[]/)[0] ?? "", message: message.replaceAll("materials[0].", "").replace(/^[a-zA-Z.]+: /, "") };
    });
    return { ok: false, problems: problems.length > 0 ? problems : [{ field: "name", message: error.message }] };
  }
}

type Composition =
  | { readonly inci: readonly { name: string; percent: number }[] }
  | { readonly parts: readonly { material: string; percent: number }[] }
  | { readonly problem: MaterialProblem };

const ENTRY = /^(.*?)[\s:,]+([\d.,]+)\s*%?$/;

function compositionOf(typed: TypedMaterial, known: KnownMaterials): Composition {
  const ofParts = typed.parts.trim() !== "";
  const field = ofParts ? "parts" : "inci";
  const lines = (ofParts ? typed.parts : typed.inci).split(/[;\n]/).filter((line) => line.trim() !== "");
  if (lines.length === 0)
    return { problem: { field: "inci", message: "Say what it is made of: INCI names, or materials of the library, with their percent." } };
  const entries: { name: string; percent: number }[] = [];
  for (const line of lines) {
    const [, name = "", share = ""] = ENTRY.exec(line.trim()) ?? [];
    const percent = readNumber(share);
    if (!percent.ok && lines.length > 1)
      return { problem: { field, message: `“${line.trim()}” has no percent. Write it as: Glycerin 60` } };
    entries.push(percent.ok ? { name, percent: percent.value } : { name: line.trim(), percent: 100 });
  }
  if (!ofParts) return { inci: entries };
  const parts: { material: string; percent: number }[] = [];
  for (const { name, percent } of entries) {
    const found = known(name);
    if (found === null) return { problem: { field, message: `“${name}” is not in the library.` } };
    if (found.isGuess) return { problem: { field, message: `“${name}” is not in the library. Did you mean “${found.name}”?` } };
    parts.push({ material: found.slug, percent });
  }
  return { parts };
}
