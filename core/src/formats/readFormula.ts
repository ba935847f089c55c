import type { FieldFault } from "../quantities/refusal.ts";
import { withOwnMaterials } from "../formula/resolveLines.ts";
import type { Formula, FormulaLine, OwnProcess, Phase, SplitLine } from "../formula/types.ts";
import type { Material, MaterialsBySlug } from "../library/material.ts";
import type { Naming } from "../packaging/ingredientNames.ts";
import { checked, refusalOf } from "./checked.ts";
import { formulaSchema, labelledFormulaSchema, processSchema } from "./files/formulaFile.ts";
import { materialFaults, materialOfFile, nestingFaults } from "./readMaterial.ts";

type WrittenFormula = Omit<Formula, "name" | "scales" | "phases" | "materials"> & {
  readonly name?: string;
  readonly scales?: Formula["scales"];
  readonly phases?: readonly Phase[];
  readonly materials?: readonly object[];
};

export interface LabelledFormula {
  readonly formula: Formula;
  readonly naming: Naming;
}

/**
 * Reads a formula in the format tensidrum-formula/1. Materials that stand in the file count before the library's.
 * @throws Refusal with the path of every field that cannot be taken.
 */
export function readFormula(value: unknown, library: MaterialsBySlug): Formula {
  return wholeFormula(checked<WrittenFormula>(formulaSchema, value), library, "");
}

/** A formula with the naming its label wants, INCI unless it says otherwise. */
export function readLabelledFormula(value: unknown, library: MaterialsBySlug): LabelledFormula {
  const { naming = "inci", ...written } = checked<WrittenFormula & { readonly naming?: Naming }>(labelledFormulaSchema, value);
  return { formula: wholeFormula(written, library, ""), naming };
}

/** A formula whose shape is known to be right, checked for what a schema cannot see. `at` is its path in the file. */
export function wholeFormula(written: WrittenFormula, library: MaterialsBySlug, at: string): Formula {
  const prefix = at === "" ? "" : `${at}.`;
  const own = written.materials?.map(materialOfFile) ?? [];
  const materials = withOwnMaterials(library, own);
  const faults = [
    ...materialFaults(own, `${prefix}materials`),
    ...nestingFaults(own, `${prefix}materials`, materials),
    ...lineFaults(written, prefix, materials),
    ...processFaults(written, prefix),
  ];
  if (faults.length > 0) throw refusalOf(faults);
  const { name, scales, phases, materials: _written, ...rest } = written;
  return {
    ...rest,
    name: name ?? "Untitled",
    scales: scales ?? [],
    phases: phases ?? phasesOfLines(written),
    ...(own.length > 0 ? { materials: own } : {}),
  };
}

/** What the maker's own steps say that cannot be: a line nobody knows or in two steps, one id twice. */
export function processFaults(
  { process, lines, splits = [] }: Pick<WrittenFormula, "process" | "lines" | "splits">,
  prefix: string,
): readonly FieldFault[] {
  if (process === undefined) return [];
  const whole = new Set(lines.map(({ id }) => id));
  const known = new Set([
    ...whole,
    ...splits.flatMap((split) => split.lines.map(({ id }) => id)),
    ...(process.portions ?? []).map(({ id }) => id),
  ]);
  const [ids, held] = [new Set<string>(), new Map<string, number>()];
  const ofSteps = process.steps.flatMap((step, at): readonly FieldFault[] => {
    const path = `${prefix}process.steps[${at}]`;
    const faults: FieldFault[] = ids.has(step.id)
      ? [{ path: `${path}.id`, message: `${path}.id: another step has the id "${step.id}".` }]
      : [];
    ids.add(step.id);
    step.lines.forEach((line, place) => {
      const where = `${path}.lines[${place}]`;
      const earlier = held.get(line);
      if (!known.has(line)) faults.push({ path: where, message: `${where}: there is no line "${line}".` });
      else if (earlier !== undefined) faults.push({ path: where, message: `${where}: line "${line}" is in step ${earlier + 1} already.` });
      held.set(line, earlier ?? at);
    });
    return faults;
  });
  return [...ofSteps, ...portionFaults(process, lines, prefix), ...choiceFaults(process, whole, prefix)];
}

/** What portions say that cannot be: of a line nobody knows, more than the line, or the name of another line. */
function portionFaults({ portions = [] }: OwnProcess, lines: WrittenFormula["lines"], prefix: string): readonly FieldFault[] {
  const byId = new Map(lines.map((line) => [line.id, line]));
  const taken = new Map<string, number>();
  const seen = new Set<string>();
  return portions.flatMap(({ id, of, percentOfLine }, at): readonly FieldFault[] => {
    const path = `${prefix}process.portions[${at}]`;
    const sum = (taken.get(of) ?? 0) + percentOfLine;
    taken.set(of, sum);
    const whole = byId.get(of);
    const faults: FieldFault[] = [];
    if (whole === undefined) faults.push({ path: `${path}.of`, message: `${path}.of: there is no line "${of}".` });
    if (sum >= 100)
      faults.push({ path: `${path}.percentOfLine`, message: `${path}.percentOfLine: the parts come to the whole line or more.` });
    const other = byId.get(id);
    // In the record of a batch the portion stands as a line of its own.
    if (seen.has(id) || (other !== undefined && other.material !== whole?.material)) {
      faults.push({ path: `${path}.id`, message: `${path}.id: something else has the id "${id}".` });
    }
    seen.add(id);
    return faults;
  });
}

function choiceFaults({ choices = {} }: OwnProcess, lines: ReadonlySet<string>, prefix: string): readonly FieldFault[] {
  const { scentInto } = choices;
  if (scentInto === undefined || scentInto === "batch" || lines.has(scentInto)) return [];
  const path = `${prefix}process.choices.scentInto`;
  return [{ path, message: `${path}: there is no line "${scentInto}".` }];
}

/**
 * The maker's own steps of a formula, as a page sends them.
 * @throws Refusal with the path of every field that cannot be taken.
 */
export function readProcess(value: unknown, { lines, splits }: Formula): OwnProcess {
  const process = checked<OwnProcess>(processSchema.required(), value);
  const faults = processFaults({ process, lines, ...(splits === undefined ? {} : { splits }) }, "");
  if (faults.length > 0) throw refusalOf(faults);
  return process;
}

function phasesOfLines({ lines, splits }: WrittenFormula): readonly Phase[] {
  const ids = [...lines, ...(splits ?? []).flatMap((split) => split.lines)].map((line) => line.phase);
  return [...new Set(ids)].map((id) => ({ id }));
}

function lineFaults(written: WrittenFormula, prefix: string, materials: ReadonlyMap<string, Material>): readonly FieldFault[] {
  const faults: FieldFault[] = [];
  const say = (path: string, says: string) => faults.push({ path, message: `${path}: ${says}.` });
  const phases = phaseIds(written, prefix, say);
  const seen = new Set<string>();
  const check = (line: FormulaLine | SplitLine, path: string): void => {
    if (seen.has(line.id)) say(`${path}.id`, `"${line.id}" stands twice`);
    seen.add(line.id);
    if (phases !== null && !phases.has(line.phase)) say(`${path}.phase`, `there is no phase "${line.phase}"`);
    if (!materials.has(line.material)) say(`${path}.material`, `"${line.material}" is not in the library, nor in the file's own materials`);
  };
  let restAt: string | undefined;
  written.lines.forEach((line, index) => {
    const path = `${prefix}lines[${index}]`;
    check(line, path);
    if (line.qs !== true) return;
    if (restAt !== undefined) say(`${path}.qs`, `a second line is q.s., the first is ${restAt}`);
    restAt ??= path;
  });
  let shares = 0;
  written.splits?.forEach((split, index) => {
    shares += split.sharePercent;
    split.lines.forEach((line, i) => check(line, `${prefix}splits[${index}].lines[${i}]`));
  });
  if (shares > 100.005) say(`${prefix}splits`, `the shares come to ${Number(shares.toFixed(4))} %, more than the batch`);
  written.scales?.forEach((scale, index) => {
    if (scale.readabilityGrams > scale.capacityGrams) {
      say(`${prefix}scales[${index}].readabilityGrams`, "a scale cannot show less than it carries in one step");
    }
  });
  return faults;
}

function phaseIds({ phases }: WrittenFormula, prefix: string, say: (path: string, says: string) => void): ReadonlySet<string> | null {
  if (phases === undefined) return null;
  const ids = new Set<string>();
  phases.forEach((phase, index) => {
    if (ids.has(phase.id)) say(`${prefix}phases[${index}].id`, `"${phase.id}" stands twice`);
    ids.add(phase.id);
  });
  return ids;
}
