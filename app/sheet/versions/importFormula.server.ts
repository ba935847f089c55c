import { assess, coreVersion } from "@tensidrum/core/assessment";
import { aimOf, partName, processForLines, wholeLines, type Formula, type FormulaLine } from "@tensidrum/core/formula";
import { Refusal } from "@tensidrum/core/quantities";
import { readFormula, readJson } from "@tensidrum/core/formats";
import { isSameMaterial, type Material, type MaterialsBySlug } from "@tensidrum/core/library";
import { saltPeaks } from "../saltPeaks.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { insertFormula, saveProcess, type DraftContent } from "../../../db/formulas/writes.server";
import { insertOwnMaterial, listMaterials } from "../../../db/materials/queries.server";
import { MOST_LINES, NAME_LENGTH, PHASE_TITLE_LENGTH } from "../typed/typedSheet";

/** Longest file that is read, characters. */
export const MOST_CHARACTERS = 5_000_000;
const MOST_PHASES = 26;

interface Imported {
  readonly formulaId: string;
}

/**
 * A formula file as a new formula of the maker, with the materials it brings along as own materials; all or nothing.
 * @throws Refusal that names the field of a file that cannot be taken.
 */
export async function importFormula(text: string): Promise<Imported> {
  if (text.trim() === "") throw new Refusal("not-valid", "There is nothing to read.", "Choose a file, or paste its text.");
  if (text.length > MOST_CHARACTERS) throw new Refusal("not-possible", "The file is longer than 5 MB.", "Import a single formula.");
  const db = database();
  const makerId = currentMakerId();
  const stored = await listMaterials(db, makerId);
  const library = new Map(stored.map(({ facts }) => [facts.slug, facts]));
  const formula = readFormula(readJson(text), library);
  refuseWhatTheSheetCannotHold(formula);
  const idOf = new Map(stored.map(({ id, facts }) => [facts.slug, id]));
  const ids = { formulaId: crypto.randomUUID(), versionId: crypto.randomUUID() };
  const { own, renamed } = broughtAlong(formula, library);
  await db.transaction(async (tx) => {
    for (const facts of own) {
      const id = crypto.randomUUID();
      await insertOwnMaterial(tx, makerId, { id, facts, basedOnId: null });
      idOf.set(facts.slug, id);
    }
    const materials = new Map([...library, ...own.map((facts) => [facts.slug, facts] as const)]);
    const { content, lineIds } = contentOf(formula, { idOf, renamed, materials, peaks: await saltPeaks(tx, makerId) });
    await insertFormula(tx, makerId, ids, content);
    if (formula.process !== undefined) await saveProcess(tx, makerId, ids.versionId, processForLines(formula.process, lineIds));
  });
  return { formulaId: ids.formulaId };
}

function refuseWhatTheSheetCannotHold(formula: Formula): void {
  const say = (what: string, remedy: string): never => {
    throw new Refusal("not-possible", what, remedy);
  };
  const lineCount = wholeLines(formula).length;
  if (lineCount > MOST_LINES) say(`A sheet holds at most ${MOST_LINES} lines; this formula has ${lineCount}.`, "Shorten it first.");
  const phaseCount = ownPhases(formula).length + (formula.splits ?? []).length;
  if (phaseCount > MOST_PHASES)
    say(`A sheet holds at most ${MOST_PHASES} phases and parts; this formula has ${phaseCount}.`, "Join phases first.");
  const names = (formula.splits ?? []).map(({ name }) => name);
  const twice = names.find((name, at) => names.indexOf(name) < at);
  if (twice !== undefined) say(`Two parts have the name "${twice}".`, "Rename one of them in the file.");
  const bare = formula.splits?.find(({ sharePercent }) => sharePercent <= 0);
  if (bare !== undefined) say(`The part "${bare.name}" has a share of 0 %.`, "Give it a share in the file.");
}

/** Its phases but those that hold lines of parts alone: a part brings its own letter. */
function ownPhases({ phases, lines, splits = [] }: Formula): Formula["phases"] {
  const ofParts = new Set(splits.flatMap((split) => split.lines.map(({ phase }) => phase)));
  const ofSheet = new Set(lines.map(({ phase }) => phase));
  const named = new Set(splits.map(({ name }) => name));
  return phases.filter(({ id, title = "" }) => ofSheet.has(id) || !(ofParts.has(id) || named.has(partName(title, id))));
}

/** Materials of the file that the maker's library does not have as they are, under slugs that are still free. */
function broughtAlong(
  formula: Formula,
  library: MaterialsBySlug,
): { readonly own: readonly Material[]; readonly renamed: ReadonlyMap<string, string> } {
  const differing = (formula.materials ?? []).filter((material) => !isSameMaterial(library.get(material.slug), material));
  const taken = new Set(library.keys());
  const renamed = new Map<string, string>();
  for (const { slug } of differing) {
    let free = slug;
    for (let number = 2; taken.has(free); number += 1) free = `${slug}-${number}`;
    taken.add(free);
    renamed.set(slug, free);
  }
  const own = differing.map((material): Material => {
    const slug = renamed.get(material.slug) ?? material.slug;
    if (material.parts === undefined) return { ...material, slug };
    return { ...material, slug, parts: material.parts.map((part) => ({ ...part, material: renamed.get(part.material) ?? part.material })) };
  });
  return { own, renamed };
}

function contentOf(
  formula: Formula,
  around: {
    readonly idOf: ReadonlyMap<string, string>;
    readonly renamed: ReadonlyMap<string, string>;
    readonly materials: MaterialsBySlug;
    readonly peaks: Readonly<Record<string, number>>;
  },
): { readonly content: DraftContent; readonly lineIds: ReadonlyMap<string, string> } {
  const own = ownPhases(formula);
  const letterAt = (at: number): string => String.fromCharCode(65 + at);
  const letters = new Map(own.map(({ id }, at) => [id, letterAt(at)]));
  const slugOf = (slug: string): string => around.renamed.get(slug) ?? slug;
  const { materials: _, process: _process, ...whole } = formula;
  const lines = formula.lines.map((line) => ({
    ...line,
    id: crypto.randomUUID(),
    material: slugOf(line.material),
    phase: letters.get(line.phase) ?? "A",
  }));
  const splits = (formula.splits ?? []).map((split, at) => ({
    ...split,
    name: split.name.slice(0, PHASE_TITLE_LENGTH),
    lines: split.lines.map((line) => ({
      ...line,
      id: crypto.randomUUID(),
      material: slugOf(line.material),
      phase: letterAt(own.length + at),
    })),
  }));
  const phases = [
    ...own.map(({ id, title, temperatureC }) => ({
      ...{ letter: letters.get(id) ?? "A", temperatureC: temperatureC ?? null },
      title: (title ?? (id.length > 1 ? id : "")).slice(0, PHASE_TITLE_LENGTH),
      ...{ sharePercent: null, addUpToPercent: null, mayAdd: "" },
    })),
    ...splits.map(({ name, sharePercent, open }, at) => ({
      ...{ letter: letterAt(own.length + at), title: name, temperatureC: null, sharePercent },
      ...{ addUpToPercent: open?.addUpToPercent ?? null, mayAdd: open?.what ?? "" },
    })),
  ];
  const read: Formula = {
    ...whole,
    name: formula.name.slice(0, NAME_LENGTH),
    phases: phases.map(({ letter, title, temperatureC }) => ({ id: letter, title, ...(temperatureC === null ? {} : { temperatureC }) })),
    lines,
    ...(formula.splits === undefined ? {} : { splits }),
  };
  const all: readonly FormulaLine[] = [...lines, ...splits.flatMap((split) => split.lines)];
  const content: DraftContent = {
    name: read.name,
    profile: read.profile,
    batchGrams: read.batchGrams,
    aim: aimOf(read),
    measured: { ph: read.measured?.ph ?? null, densityGramsPerMl: read.measured?.densityGramsPerMl ?? null },
    method: read.method ?? "",
    phases,
    // The sheet keeps the order of its phases.
    lines: [...all]
      .sort((a, b) => (a.phase < b.phase ? -1 : a.phase > b.phase ? 1 : 0))
      .map((line) => ({
        id: line.id,
        phaseLetter: line.phase,
        materialId: around.idOf.get(line.material) ?? missing(line.material),
        percent: line.qs === true ? null : (line.percent ?? 0),
        takesTheRest: line.qs === true,
        assayPercent: line.assayPercent ?? null,
        asWritten: line.asWritten ?? "",
      })),
    assessment: assess(read, around.materials, { saltPeaks: around.peaks }),
    coreVersion,
  };
  return { content, lineIds: new Map(wholeLines(formula).map(({ id }, at) => [id, all[at]?.id ?? id])) };
}

function missing(slug: string): never {
  throw new Refusal("not-found", `The file asks for "${slug}", which is nowhere.`, "Add it to the file.");
}
