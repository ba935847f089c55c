import { partText, type CellKey } from "./cells";
import type { TypedAim, TypedLine, TypedPhase, TypedSheet } from "./typedSheet";

export interface Difference {
  readonly key: CellKey;
  readonly what: string;
  readonly mine: string;
  readonly theirs: string;
}

const ABSENT = "not there";

const aimNames: Readonly<Record<keyof TypedAim, string>> = {
  school: "Formulation style",
  eyeArea: "Near the eye",
  look: "Look",
  leftOn: "Left on or rinsed",
  forWhom: "For whom",
  thickness: "Thickness",
  without: "Without",
  closeTo: "Close to",
};

function shownChoice(choice: string | boolean): string {
  if (typeof choice === "boolean") return choice ? "yes" : "no";
  return choice === "" ? "empty" : choice;
}

function shownPercent(sheet: TypedSheet, line: TypedLine | undefined): string {
  if (line === undefined) return ABSENT;
  if (line.id === sheet.restLineId) return "is q.s.";
  return line.percent === "" ? "empty" : `${line.percent} %`;
}

function shownPart({ part }: TypedPhase): string {
  return part === undefined ? "a phase" : partText(part);
}

function shownLots({ lots = [] }: TypedLine): string {
  return lots.length === 0 ? "none" : lots.map(({ code, grams }) => (grams === "" ? code : `${code} ${grams} g`)).join(", ");
}

/** Where two readings of the same sheet differ, head first, then line by line. */
export function differencesOf(mine: TypedSheet, theirs: TypedSheet, nameOf: (materialId: string) => string): readonly Difference[] {
  const found: Difference[] = [];
  const compare = (key: CellKey, what: string, a: string, b: string) => {
    if (a !== b) found.push({ key, what, mine: a, theirs: b });
  };
  compare("name", "Name", mine.name, theirs.name);
  compare("profile", "Profile", mine.profile, theirs.profile);
  compare("batch", "Batch", mine.batch, theirs.batch);
  compare("method", "Method", shownChoice(mine.method ?? ""), shownChoice(theirs.method ?? ""));
  for (const key of Object.keys(aimNames) as (keyof TypedAim)[]) {
    compare(`aim:${key}`, aimNames[key], shownChoice(mine.aim[key]), shownChoice(theirs.aim[key]));
  }
  compare("measured:ph", "Measured pH", shownChoice(mine.measured.ph), shownChoice(theirs.measured.ph));
  compare("measured:density", "Measured density, g/mL", shownChoice(mine.measured.density), shownChoice(theirs.measured.density));
  for (const phase of mine.phases) {
    const other = theirs.phases.find(({ letter }) => letter === phase.letter);
    if (other === undefined) continue;
    const at = `phase:${phase.letter}`;
    compare(`${at}:title`, `Phase ${phase.letter}, title`, shownChoice(phase.title), shownChoice(other.title));
    compare(`${at}:part`, `Part ${phase.letter}`, shownPart(phase), shownPart(other));
    compare(`${at}:temperature`, `Phase ${phase.letter}, °C`, shownChoice(phase.temperature), shownChoice(other.temperature));
  }
  const ids = new Set([...mine.lines, ...theirs.lines].map((line) => line.id));
  for (const id of ids) {
    const a = mine.lines.find((line) => line.id === id);
    const b = theirs.lines.find((line) => line.id === id);
    const name = nameOf((a ?? b)?.materialId ?? "");
    const at = `line:${id}`;
    const isBoth = a !== undefined && b !== undefined;
    compare(isBoth ? `${at}:percent` : at, name, shownPercent(mine, a), shownPercent(theirs, b));
    if (isBoth) {
      compare(`${at}:materialId`, `${name}, material`, nameOf(a.materialId), nameOf(b.materialId));
      compare(`${at}:phase`, `${name}, phase`, a.phase, b.phase);
      compare(`${at}:assay`, `${name}, certificate`, shownChoice(a.assay), shownChoice(b.assay));
      compare(`${at}:lots`, `${name}, lots`, shownLots(a), shownLots(b));
    }
  }
  const restOf = (sheet: TypedSheet): string => {
    const line = sheet.lines.find(({ id }) => id === sheet.restLineId);
    return line === undefined ? "none" : nameOf(line.materialId);
  };
  compare("rest", "q.s. line", restOf(mine), restOf(theirs));
  const order = (sheet: TypedSheet) => sheet.lines.map((line) => line.id).join();
  if (found.length === 0 && order(mine) !== order(theirs)) compare("order", "Order of the lines", "mine", "the other window's");
  return found;
}
