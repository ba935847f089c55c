import { readShare } from "./readTyped";
import { massBalance } from "@tensidrum/core/formula";
import { percentText, readMassGrams, readPercent, toDecimals } from "@tensidrum/core/quantities";
import {
  inLetterOrder,
  nextPhaseLetter,
  type TypedPart,
  type TypedAim,
  type TypedLine,
  type TypedLineLot,
  type TypedMeasured,
  type TypedSheet,
} from "./typedSheet";

/** Every change a maker can make to a sheet, as a pure step from one sheet to the next. */

export function withPercent(sheet: TypedSheet, lineId: string, percent: string): TypedSheet {
  return withLine(sheet, lineId, (line) => ({ ...line, percent }));
}

export function withAssay(sheet: TypedSheet, lineId: string, assay: string): TypedSheet {
  return withLine(sheet, lineId, (line) => ({ ...line, assay }));
}

export function withMeasured(sheet: TypedSheet, of: keyof TypedMeasured, text: string): TypedSheet {
  return { ...sheet, measured: { ...sheet.measured, [of]: text } };
}

function withLine(sheet: TypedSheet, lineId: string, change: (line: TypedLine) => TypedLine): TypedSheet {
  return { ...sheet, lines: sheet.lines.map((line) => (line.id === lineId ? change(line) : line)) };
}

/** From which lots a line is weighed. */
export function withLots(sheet: TypedSheet, lineId: string, lots: readonly TypedLineLot[]): TypedSheet {
  return withLine(sheet, lineId, ({ lots: _, ...line }) => (lots.length === 0 ? line : { ...line, lots }));
}

/** A line that waited for its material has it now; its number stays. */
export function withMaterial(sheet: TypedSheet, lineId: string, materialId: string): TypedSheet {
  return withLine(sheet, lineId, ({ lots: _, ...line }) => ({ ...line, materialId, assay: "" }));
}

/** Another material on a line; what the certificate and the lots of the old one said is gone. */
export function withExchange(
  sheet: TypedSheet,
  lineId: string,
  { materialId, percent }: Pick<TypedLine, "materialId" | "percent">,
): TypedSheet {
  return withLine(sheet, lineId, ({ lots: _, ...line }) => ({ ...line, materialId, percent, assay: "" }));
}

/** A new line at the end of its phase. */
export function withNewLine(sheet: TypedSheet, line: TypedLine): TypedSheet {
  return inPhaseOrder({ ...sheet, lines: [...sheet.lines, line] });
}

/**
 * The sheet with other cleansers: a line whose material is in the new blend keeps its place and its lots, the others go, and what is
 * new stands behind the last of them with the lots it comes with.
 */
export function withCleansers(
  sheet: TypedSheet,
  blend: readonly Pick<TypedLine, "materialId" | "percent" | "lots">[],
  isCleanser: (materialId: string) => boolean,
): TypedSheet {
  const old = sheet.lines.filter(({ id, materialId }) => id !== sheet.restLineId && isCleanser(materialId));
  const kept = new Map(
    blend.flatMap((one) => {
      const line = old.find(({ materialId }) => materialId === one.materialId);
      return line === undefined ? [] : [[line.id, one.percent] as const];
    }),
  );
  const phase = old.at(-1)?.phase ?? sheet.phases.at(-1)?.letter ?? "A";
  const added = blend
    .filter(({ materialId }) => !old.some((line) => line.materialId === materialId))
    .map((one): TypedLine => ({ id: crypto.randomUUID(), phase, ...one, assay: "" }));
  const gone = new Set(old.filter(({ id }) => !kept.has(id)).map(({ id }) => id));
  const at = sheet.lines.findIndex(({ id }) => id === old.at(-1)?.id);
  const place = at < 0 ? sheet.lines.length : at + 1;
  const lines = [...sheet.lines.slice(0, place), ...added, ...sheet.lines.slice(place)]
    .filter(({ id }) => !gone.has(id))
    .map((line) => ({ ...line, percent: kept.get(line.id) ?? line.percent }));
  return inPhaseOrder({ ...sheet, lines });
}

export function withoutLine(sheet: TypedSheet, lineId: string): TypedSheet {
  return {
    ...sheet,
    lines: sheet.lines.filter((line) => line.id !== lineId),
    restLineId: sheet.restLineId === lineId ? null : sheet.restLineId,
  };
}

/** Digits the former line of the rest keeps: more than any scale shows, and they hide the noise of the sum. */
const KEPT_DECIMALS = 6;

/** That line becomes q.s.; the former one keeps the percent it had got. */
export function withRestLine(sheet: TypedSheet, lineId: string): TypedSheet {
  const former = sheet.restLineId;
  if (former === lineId) return sheet;
  if (former === null) return { ...sheet, restLineId: lineId };
  const left = massBalance(percentsOf(sheet)).qsPercent;
  return { ...withPercent(sheet, former, percentText(toDecimals(left, KEPT_DECIMALS))), restLineId: lineId };
}

/** Shares of the batch: a line of a part counts with the share of its part. */
function percentsOf(sheet: TypedSheet): { percent?: number; qs?: true }[] {
  const batch = readMassGrams(sheet.batch);
  const shareOf = new Map(
    sheet.phases.flatMap(({ letter, part }) => {
      const share = part === undefined ? null : readShare(part.share, batch.ok ? batch.value : 0);
      return share?.ok === true ? [[letter, share.value / 100] as const] : [];
    }),
  );
  return sheet.lines.map((line) => {
    if (line.id === sheet.restLineId) return { qs: true };
    const read = readPercent(line.percent);
    return read.ok ? { percent: read.value * (shareOf.get(line.phase) ?? 1) } : {};
  });
}

/** One place up (−1) or down (1); past the edge of its phase a line moves into the next one. */
export function withLineStepped(sheet: TypedSheet, lineId: string, step: -1 | 1): TypedSheet {
  const from = sheet.lines.findIndex((line) => line.id === lineId);
  const line = sheet.lines[from];
  if (line === undefined) return sheet;
  const neighbour = sheet.lines[from + step];
  if (neighbour !== undefined && neighbour.phase === line.phase) {
    const lines = [...sheet.lines];
    lines[from] = neighbour;
    lines[from + step] = line;
    return { ...sheet, lines };
  }
  const phaseIndex = sheet.phases.findIndex((phase) => phase.letter === line.phase);
  const phase = sheet.phases[phaseIndex + step]?.letter;
  if (phase === undefined) return sheet;
  const others = sheet.lines.filter((other) => other.id !== lineId);
  const moved = { ...line, phase };
  return inPhaseOrder({ ...sheet, lines: step === 1 ? [moved, ...others] : [...others, moved] });
}

/** Puts a line where another stands, in that one's phase. */
export function withLineAt(sheet: TypedSheet, lineId: string, overLineId: string): TypedSheet {
  const from = sheet.lines.findIndex((line) => line.id === lineId);
  const to = sheet.lines.findIndex((line) => line.id === overLineId);
  const line = sheet.lines[from];
  const over = sheet.lines[to];
  if (line === undefined || over === undefined || from === to) return sheet;
  const lines = sheet.lines.filter((other) => other.id !== lineId);
  lines.splice(to, 0, { ...line, phase: over.phase });
  return inPhaseOrder({ ...sheet, lines });
}

export function withLineInPhase(sheet: TypedSheet, lineId: string, phase: string): TypedSheet {
  const line = sheet.lines.find((candidate) => candidate.id === lineId);
  if (line === undefined || line.phase === phase) return sheet;
  const others = sheet.lines.filter((other) => other.id !== lineId);
  return inPhaseOrder({ ...sheet, lines: [...others, { ...line, phase }] });
}

/** A hundredth of a gram in a kilogram. */
const PART_DECIMALS = 3;

/** A new phase at the end with the next free letter; nothing changes when all are taken. */
export function withNewPhase(sheet: TypedSheet): TypedSheet {
  const letter = nextPhaseLetter(sheet.phases);
  if (letter === null) return sheet;
  return { ...sheet, phases: inLetterOrder([...sheet.phases, { letter, title: "", temperature: "" }]) };
}

/** A new part behind the others, with what they leave of the batch; the first takes half. */
export function withNewPart(sheet: TypedSheet): TypedSheet {
  const letter = nextPhaseLetter(sheet.phases);
  if (letter === null) return sheet;
  const shares = sheet.phases.flatMap(({ part }) => (part === undefined ? [] : [readPercent(part.share)]));
  const left = shares.reduce((sum, read) => sum - (read.ok ? read.value : 0), 100);
  const share = shares.length === 0 ? "50" : left > 0 ? percentText(toDecimals(left, PART_DECIMALS)) : "";
  return {
    ...sheet,
    phases: inLetterOrder([...sheet.phases, { letter, title: "", temperature: "", part: { share, addUpTo: "", mayAdd: "" } }]),
  };
}

export function withPart(sheet: TypedSheet, letter: string, change: Partial<TypedPart>): TypedSheet {
  return {
    ...sheet,
    phases: sheet.phases.map((phase) =>
      phase.letter === letter && phase.part !== undefined ? { ...phase, part: { ...phase.part, ...change } } : phase,
    ),
  };
}

export function withPhaseTitle(sheet: TypedSheet, letter: string, title: string): TypedSheet {
  return { ...sheet, phases: sheet.phases.map((phase) => (phase.letter === letter ? { ...phase, title } : phase)) };
}

export function withPhaseTemperature(sheet: TypedSheet, letter: string, temperature: string): TypedSheet {
  return { ...sheet, phases: sheet.phases.map((phase) => (phase.letter === letter ? { ...phase, temperature } : phase)) };
}

export function withAim(sheet: TypedSheet, change: Partial<TypedAim>): TypedSheet {
  return { ...sheet, aim: { ...sheet.aim, ...change } };
}

/** Takes a phase away; only an empty one goes, and never the last. */
export function withoutPhase(sheet: TypedSheet, letter: string): TypedSheet {
  if (sheet.phases.length === 1 || sheet.lines.some((line) => line.phase === letter)) return sheet;
  return { ...sheet, phases: sheet.phases.filter((phase) => phase.letter !== letter) };
}

/** Lines sorted by their phase, keeping the order inside each. */
function inPhaseOrder(sheet: TypedSheet): TypedSheet {
  const lines = sheet.phases.flatMap((phase) => sheet.lines.filter((line) => line.phase === phase.letter));
  return { ...sheet, lines };
}
