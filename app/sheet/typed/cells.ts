import { readMassGrams, readNumber, readPercent, type ReadNumber } from "@tensidrum/core/quantities";
import { inLetterOrder, type TypedAim, type TypedLine, type TypedPart, type TypedPhase, type TypedSheet } from "./typedSheet";

/**
 * A place of the sheet that changes by itself: "name", "profile", "batch", "method", "aim:look", "measured:ph", "rest", "order",
 * "phase:A" and "line:<id>" (whether it is there), "phase:A:title", "line:<id>:percent".
 */
export type CellKey = string;

/** Stands for a line or a phase that is not there. */
const ABSENT = null;

const aimKeys = ["school", "eyeArea", "look", "leftOn", "forWhom", "thickness", "without", "closeTo"] as const satisfies (keyof TypedAim)[];
const phaseFields = ["title", "temperature", "part"] as const satisfies (keyof TypedPhase)[];
const lineFields = ["phase", "materialId", "percent", "assay", "asWritten", "lots"] as const;

type LineField = (typeof lineFields)[number];

const headCells: readonly CellKey[] = [
  ...["name", "profile", "batch", "method"],
  ...aimKeys.map((key) => `aim:${key}`),
  ...["measured:ph", "measured:density"],
];

/** Every cell that one of the sheets has, the head first, then phases, lines and their order. */
export function cellsOf(...sheets: readonly TypedSheet[]): readonly CellKey[] {
  const letters = new Set(sheets.flatMap(({ phases }) => phases.map(({ letter }) => letter)));
  const ids = new Set(sheets.flatMap(({ lines }) => lines.map(({ id }) => id)));
  return [
    ...headCells,
    ...[...letters].flatMap((letter) => [`phase:${letter}`, ...phaseFields.map((field) => `phase:${letter}:${field}`)]),
    ...[...ids].flatMap((id) => [`line:${id}`, ...lineFields.map((field) => `line:${id}:${field}`)]),
    ...["rest", "order"],
  ];
}

/** What stands in a cell, as text to compare; null where the line or phase it belongs to is not there. */
export function cellText(sheet: TypedSheet, key: CellKey): string | null {
  const [kind, of = "", field] = key.split(":");
  switch (kind) {
    case "name":
    case "profile":
    case "batch":
      return sheet[kind];
    case "method":
      return sheet.method ?? "";
    case "aim":
      return String(sheet.aim[of as keyof TypedAim]);
    case "measured":
      return sheet.measured[of as "ph" | "density"];
    case "rest":
      return sheet.restLineId ?? "";
    case "order":
      return sheet.lines.map(({ id }) => id).join(" ");
    case "phase": {
      const phase = sheet.phases.find(({ letter }) => letter === of);
      if (phase === undefined) return ABSENT;
      return field === undefined ? "there" : phaseText(phase, field as (typeof phaseFields)[number]);
    }
    default: {
      const line = sheet.lines.find(({ id }) => id === of);
      if (line === undefined) return ABSENT;
      return field === undefined ? "there" : lineText(line, field as LineField);
    }
  }
}

function phaseText(phase: TypedPhase, field: (typeof phaseFields)[number]): string {
  if (field !== "part") return phase[field];
  return phase.part === undefined ? "" : partText(phase.part);
}

/** A part in one line, as two windows tell it apart. */
export function partText({ share, addUpTo, mayAdd }: TypedPart): string {
  const open = addUpTo.trim() === "" ? "" : `, others add up to ${addUpTo.trim()}: ${mayAdd.trim()}`;
  return `part of ${share.trim()}${open}`;
}

function lineText(line: TypedLine, field: LineField): string {
  if (field !== "lots") return line[field] ?? "";
  return (line.lots ?? []).map(({ lotId, grams }) => `${lotId}=${grams.trim()}`).join(" ");
}

const numberCells: readonly (readonly [RegExp, (text: string) => ReadNumber])[] = [
  [/^line:[^:]+:(?:percent|assay)$/, readPercent],
  [/^batch$/, readMassGrams],
  [/^measured:/, readNumber],
  [/^phase:[^:]+:temperature$/, (text) => readNumber(text.replace(/\s*°?\s*C$/i, ""))],
];

/** Whether two texts of a cell say the same: 4.250 and 4.25 do, and so do 0.5 kg and 500 g. */
export function saysTheSame(key: CellKey, one: string | null, other: string | null): boolean {
  if (one === other) return true;
  if (one === ABSENT || other === ABSENT) return false;
  const read = numberCells.find(([pattern]) => pattern.test(key))?.[1];
  if (read === undefined) return one.trim() === other.trim();
  const [a, b] = [read(one), read(other)];
  return a.ok && b.ok ? a.value === b.value : one.trim() === other.trim();
}

/** Whether two sheets say the same in every cell. Asked at every key, so lines that are the same object are not looked into. */
export function isSameSheet(one: TypedSheet, other: TypedSheet): boolean {
  if (one === other) return true;
  const isSame = (key: CellKey): boolean => saysTheSame(key, cellText(one, key), cellText(other, key));
  return (
    headCells.every(isSame) &&
    one.restLineId === other.restLineId &&
    one.phases.length === other.phases.length &&
    one.phases.every(({ letter }) => isSame(`phase:${letter}`) && phaseFields.every((field) => isSame(`phase:${letter}:${field}`))) &&
    one.lines.length === other.lines.length &&
    one.lines.every((line, at) => isSameLine(line, other.lines[at]))
  );
}

function isSameLine(one: TypedLine, other: TypedLine | undefined): boolean {
  if (one === other) return true;
  if (one.id !== other?.id) return false;
  return lineFields.every((field) => saysTheSame(`line:${one.id}:${field}`, lineText(one, field), lineText(other, field)));
}

/** The cells of two sheets that say different things; what is inside a line or phase that only one of them has is told by it. */
export function differingCells(one: TypedSheet, other: TypedSheet): readonly CellKey[] {
  return cellsOf(one, other).filter((key) => {
    const [a, b] = [cellText(one, key), cellText(other, key)];
    const isInside = /^(?:line|phase):[^:]+:/.test(key);
    return !saysTheSame(key, a, b) && key !== "order" && !(isInside && (a === null || b === null));
  });
}

/** The sheet with one cell as another sheet has it; a line or phase that is missing there goes, one that is there comes whole. */
export function withCellFrom(sheet: TypedSheet, source: TypedSheet, key: CellKey): TypedSheet {
  const [kind, of = "", field] = key.split(":");
  switch (kind) {
    case "name":
    case "profile":
    case "batch":
      return { ...sheet, [kind]: source[kind] };
    case "method":
      return { ...sheet, method: source.method ?? "" };
    case "aim":
      return { ...sheet, aim: { ...sheet.aim, [of]: source.aim[of as keyof TypedAim] } };
    case "measured":
      return { ...sheet, measured: { ...sheet.measured, [of]: source.measured[of as "ph" | "density"] } };
    case "rest":
      return { ...sheet, restLineId: source.restLineId };
    case "order":
      return { ...sheet, lines: ordered(sheet.lines, source.lines, sheet.phases) };
    case "phase":
      return withPhaseFrom(sheet, source, of, field as keyof TypedPhase | undefined);
    default:
      return withLineFrom(sheet, source, of, field as LineField | undefined);
  }
}

function withPhaseFrom(sheet: TypedSheet, source: TypedSheet, letter: string, field: keyof TypedPhase | undefined): TypedSheet {
  const theirs = source.phases.find((phase) => phase.letter === letter);
  if (field !== undefined && theirs !== undefined) {
    const phases = sheet.phases.map((phase): TypedPhase => {
      if (phase.letter !== letter) return phase;
      if (field !== "part") return { ...phase, [field]: theirs[field] };
      const { part: _, ...bare } = phase;
      return theirs.part === undefined ? bare : { ...bare, part: theirs.part };
    });
    return { ...sheet, phases: inLetterOrder(phases) };
  }
  const others = sheet.phases.filter((phase) => phase.letter !== letter);
  const phases = theirs === undefined ? others : inLetterOrder([...others, theirs]);
  return { ...sheet, phases };
}

function withLineFrom(sheet: TypedSheet, source: TypedSheet, id: string, field: LineField | undefined): TypedSheet {
  const theirs = source.lines.find((line) => line.id === id);
  if (field !== undefined && theirs !== undefined) {
    const lines = sheet.lines.map((line): TypedLine => {
      if (line.id !== id) return line;
      if (field !== "lots") return { ...line, [field]: theirs[field] };
      const { lots: _, ...bare } = line;
      return theirs.lots === undefined ? bare : { ...bare, lots: theirs.lots };
    });
    return { ...sheet, lines: inPhases(lines, sheet.phases) };
  }
  const others = sheet.lines.filter((line) => line.id !== id);
  const lines = theirs === undefined ? others : ordered([...others, theirs], source.lines, sheet.phases);
  return { ...sheet, lines, restLineId: theirs === undefined && sheet.restLineId === id ? null : sheet.restLineId };
}

/** Lines in the order of a model; those it does not have stay behind the line they followed. */
export function ordered(lines: readonly TypedLine[], model: readonly TypedLine[], phases: readonly TypedPhase[]): readonly TypedLine[] {
  const place = new Map(model.map(({ id }, at) => [id, at]));
  const known = lines.filter(({ id }) => place.has(id)).toSorted((a, b) => (place.get(a.id) ?? 0) - (place.get(b.id) ?? 0));
  const result = [...known];
  lines.forEach((line, at) => {
    if (place.has(line.id)) return;
    const before = lines[at - 1];
    const behind = before === undefined ? -1 : result.findIndex(({ id }) => id === before.id);
    result.splice(behind + 1, 0, line);
  });
  return inPhases(result, phases);
}

function inPhases(lines: readonly TypedLine[], phases: readonly TypedPhase[]): readonly TypedLine[] {
  const place = new Map(phases.map(({ letter }, at) => [letter, at]));
  return lines.toSorted((a, b) => (place.get(a.phase) ?? 0) - (place.get(b.phase) ?? 0));
}
