import { Refusal } from "@tensidrum/core/quantities";
import { readMaterialsFile } from "@tensidrum/core/formats";
import { slugOf, withOwnFacts, type Material, type MaterialsBySlug, type OwnFacts } from "@tensidrum/core/library";
import { readNumber } from "@tensidrum/core/quantities";
import type { KnownMaterials } from "../knownMaterials";
import type { FieldProblem } from "../../frame/formAnswer";
import { factPath, type TypedMaterial } from "./materialFields";
import { readFacts } from "./readFacts";

/** What typed materials are read against. */
export interface MaterialsAround {
  readonly library: MaterialsBySlug;
  readonly known: KnownMaterials;
}

type ReadMaterial = { readonly ok: true; readonly material: Material } | { readonly ok: false; readonly problems: readonly FieldProblem[] };

interface TypedAround extends MaterialsAround {
  /** Brings the facts the form does not ask for. */
  readonly base: Material | null;
  /** Slugs that are taken. */
  readonly taken: ReadonlySet<string>;
  /** The slug it keeps; else one comes from the name. */
  readonly slug?: string;
}

type Written = { readonly written: { readonly slug: string } } | { readonly problems: readonly FieldProblem[] };

/** A material of one's own as typed, read and checked. */
export function readTypedMaterial(typed: TypedMaterial, around: TypedAround): ReadMaterial {
  const made = writtenMaterial(typed, around);
  return "written" in made ? checkedMaterial(made.written, around.library) : { ok: false, problems: made.problems };
}

/** A typed material as a file would write it: its cells are read, its numbers not yet checked for range. */
export function writtenMaterial(typed: TypedMaterial, around: Omit<TypedAround, "library">): Written {
  const { facts, problems } = readFacts(typed);
  const composition = compositionOf(typed, around.known);
  if ("problem" in composition) return { problems: [...problems, composition.problem] };
  if (typed.name.trim() === "") return { problems: [...problems, { field: "name", message: "Give it a name." }] };
  if (typed.role === "") return { problems: [...problems, { field: "role", message: "Say what it does in a formula." }] };
  if (problems.length > 0) return { problems };
  const { inci: _inci, parts: _parts, measured: _measured, ...base } = around.base ?? ({} as Partial<Material>);
  const words = (text: string): string[] => text.split(/[,;\n]/).flatMap((word) => (word.trim() === "" ? [] : [word.trim()]));
  const charge = typed.charge === "" ? null : typed.charge;
  const written = {
    ...base,
    ...cleared,
    ...facts,
    ...composition,
    slug: around.slug ?? slugOf(typed.slug === "" ? typed.name : typed.slug, around.taken),
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
  return { written: { ...written, ...(measured.length > 0 ? { measured } : {}) } };
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
    const problems = error.faults.map(({ path, message }) => ({
      field: factPath(path.replace(/^materials\[0\]\.?/, "").split(/[.[]/)[0] ?? ""),
      message: messageOfMaterial(message),
    }));
    return { ok: false, problems: problems.length > 0 ? problems : [{ field: "name", message: error.message }] };
  }
}

/** What a fault of a file says, without the place in the file. */
export function messageOfMaterial(message: string): string {
  return message.replace(/(materials|lots)\[\d+\]\.?/g, "").replace(/^[a-zA-Z.]*: /, "");
}

type Composition =
  | { readonly inci: readonly { name: string; percent: number }[] }
  | { readonly parts: readonly { material: string; percent: number }[] }
  | { readonly problem: FieldProblem };

/** Longer than any INCI name with its percent. */
const LONGEST_ENTRY = 300;
const ENTRY = /^(.*?)[\s:,]+([\d.,]+)\s*%?$/;

function compositionOf(typed: TypedMaterial, known: KnownMaterials): Composition {
  const ofParts = typed.parts.trim() !== "";
  const field = ofParts ? "parts" : "inci";
  const lines = (ofParts ? typed.parts : typed.inci).split(/[;\n]/).filter((line) => line.trim() !== "");
  if (lines.length === 0)
    return { problem: { field: "inci", message: "Say what it is made of: INCI names, or materials of the library, with their percent." } };
  const entries: { name: string; percent: number }[] = [];
  for (const line of lines) {
    if (line.trim().length > LONGEST_ENTRY)
      return { problem: { field, message: `An entry has at most ${LONGEST_ENTRY} characters. Write one to a line: Glycerin 60` } };
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
