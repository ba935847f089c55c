import { readPercent, Refusal, toDecimals } from "@tensidrum/core/quantities";
import { saysTheSame, shownMaterial, type Material, type OwnFacts } from "@tensidrum/core/library";
import { currentMakerId, database } from "../../../db/workplace.server";
import { brokenConstraint } from "../../../db/failures.server";
import {
  deleteOwnMaterial,
  findMaterial,
  insertOwnMaterial,
  listMaterials,
  saveOwnFacts,
  updateOwnMaterial,
} from "../../../db/materials/queries.server";
import { knownMaterials } from "../knownMaterials";
import { wholeProblem, type FieldProblem } from "../../frame/formAnswer";
import { typedMaterial, type TypedMaterial } from "./materialFields";
import { readFacts } from "./readFacts";
import { withPrintedShares } from "./printedShares.server";
import { checkedOwnFacts, readTypedMaterial, type MaterialsAround } from "./readMaterial.server";

type Saved = { readonly slug: string } | readonly FieldProblem[];

async function around(): Promise<MaterialsAround & { readonly idOf: ReadonlyMap<string, string> }> {
  const all = await listMaterials(database(), currentMakerId());
  return {
    library: new Map(all.map(({ facts }) => [facts.slug, facts])),
    known: knownMaterials(all),
    idOf: new Map(all.map(({ id, facts }) => [facts.slug, id])),
  };
}

/** What thins an oil: light, without smell, and it keeps. */
const THINNING_OIL = "caprylic-capric-triglyceride";
const USUAL_STRENGTH = 10;

/** The form of a new material: empty, begun from another, or as a material thinned with oil, whose drops can be weighed. */
export async function openNewMaterial({ from = "", thinned = "", strength = "" }: { from?: string; thinned?: string; strength?: string }) {
  const dropped = thinned === "" ? undefined : await findMaterial(database(), currentMakerId(), thinned);
  if (dropped !== undefined) {
    const read = readPercent(strength);
    const percent = read.ok && read.value > 0 && read.value < 100 ? read.value : USUAL_STRENGTH;
    const name = `${shownMaterial(dropped.facts).name}, ${percent} % in oil`;
    const parts = `${thinned} ${percent}\n${THINNING_OIL} ${toDecimals(100 - percent, 4)}`;
    return { from: "", typed: { ...typedMaterial(null), name, parts, role: dropped.facts.role, form: "oil" } };
  }
  const base = from === "" ? undefined : await findMaterial(database(), currentMakerId(), from);
  const typed = typedMaterial(base?.facts ?? null);
  return {
    from: base === undefined ? "" : from,
    typed: base === undefined ? typed : { ...typed, slug: "", name: `My ${shownMaterial(base.facts).name}` },
  };
}

/** Puts a new material of the maker's own into the library, or says at which field it must be fixed. */
export async function saveNewMaterial(typed: TypedMaterial, from: string): Promise<Saved> {
  const { idOf, ...rest } = await around();
  const read = await readOwn(typed, { ...rest, taken: new Set(rest.library.keys()), base: rest.library.get(from) ?? null });
  if (!read.ok) return read.problems;
  const madeAs = read.material.parts === undefined ? null : "blend";
  await insertOwnMaterial(database(), currentMakerId(), {
    id: crypto.randomUUID(),
    facts: read.material,
    basedOnId: idOf.get(from) ?? null,
    madeAs,
  });
  return { slug: read.material.slug };
}

/** A typed material; what a printed list says is an estimate, and is marked as one. */
async function readOwn(
  typed: TypedMaterial,
  beside: Parameters<typeof readTypedMaterial>[1],
): Promise<ReturnType<typeof readTypedMaterial>> {
  const told = await withPrintedShares(typed, beside.library);
  if ("problem" in told) return { ok: false, problems: [told.problem] };
  const read = readTypedMaterial(told.typed, beside);
  return read.ok && told.isEstimated ? { ok: true, material: { ...read.material, uncertain: ["inci"] } } : read;
}

async function foundMaterial(slug: string) {
  const found = await findMaterial(database(), currentMakerId(), slug);
  if (found === undefined) throw new Refusal("not-found", "No material stands at this address.", "Go to the shelf and look for it there.");
  return found;
}

/** What is one's own of a material: all of an own one, else the facts held against the library. */
export async function openOwn(slug: string) {
  const { facts, own, isOwn } = await foundMaterial(slug);
  const library = typedMaterial(facts);
  return {
    slug,
    name: facts.name,
    isOwn,
    library,
    typed: isOwn ? library : { ...typedMaterial(own === null ? null : ({ ...own } as Material)), name: facts.name },
  };
}

export type OpenOwn = Awaited<ReturnType<typeof openOwn>>;

/** Saves what is one's own of a material, or says at which field it must be fixed. */
export async function saveOwn(slug: string, typed: TypedMaterial): Promise<Saved> {
  const { id, facts: stored, isOwn } = await foundMaterial(slug);
  const db = database();
  const makerId = currentMakerId();
  const rest = await around();
  if (isOwn) {
    const read = await readOwn(typed, { ...rest, taken: new Set(), base: stored, slug });
    if (!read.ok) return read.problems;
    await updateOwnMaterial(db, makerId, id, read.material);
    return { slug };
  }
  const { facts, problems } = readFacts(typed);
  if (problems.length > 0) return problems;
  const own = differing(stored, facts);
  const read = checkedOwnFacts(stored, own, rest.library);
  if (!read.ok) return read.problems;
  await saveOwnFacts(db, makerId, id, own);
  return { slug };
}

/** Only what differs from the library is one's own. */
function differing(reference: Material, facts: OwnFacts): OwnFacts {
  const told = Object.entries(facts).filter(([fact, value]) => !saysTheSame(reference[fact as keyof Material], value));
  return Object.fromEntries(told) as OwnFacts;
}

/** Leaves a material to the library again, or takes an own one out. Answers what is in the way. */
export async function takeAway(slug: string): Promise<readonly FieldProblem[]> {
  const { id, isOwn } = await foundMaterial(slug);
  const db = database();
  const makerId = currentMakerId();
  if (!isOwn) {
    await saveOwnFacts(db, makerId, id, {});
    return [];
  }
  try {
    await deleteOwnMaterial(db, makerId, id);
    return [];
  } catch (error) {
    if (brokenConstraint(error) !== "missing") throw error;
    return wholeProblem("It is used on a sheet, in a scent or on the shelf. Delete it there first.");
  }
}
