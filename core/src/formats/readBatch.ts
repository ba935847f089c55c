import Joi from "joi";
import { wholeLines } from "../formula/resolveLines.ts";
import type { FieldFault } from "../quantities/refusal.ts";
import type { Formula } from "../formula/types.ts";
import type { MaterialsBySlug } from "../library/material.ts";
import type { BatchEntry } from "../process/batch/entries.ts";
import type { Storage } from "../stability/checkCalendar.ts";
import type { SpoilSign } from "../stability/drift.ts";
import type { BubbleSize, LatherTest } from "../stability/lather.ts";
import { checked, refusalOf } from "./checked.ts";
import { batchSchema, entriesSchema, entryFields } from "./files/batchFile.ts";
import { wholeFormula } from "./readFormula.ts";

/** The record of a batch as a file tells it. */
export interface BatchFile {
  readonly code: string;
  readonly coreVersion?: string;
  /** ISO moments. */
  readonly startedAt: string;
  readonly finishedAt?: string | null;
  /** Of the size that was made. */
  readonly formula: Formula;
  readonly lots: readonly { readonly line: string; readonly code: string; readonly grams: number }[];
  readonly entries: readonly BatchEntry[];
  /** Looks at its samples, in order. */
  readonly checks?: readonly CheckOfFile[];
  /** Its shake tests, in order. */
  readonly lather?: readonly (LatherTest & { readonly at: string; readonly bubbles: BubbleSize; readonly note?: string })[];
}

/** A look at a sample as a file tells it; null is not looked at. */
export interface CheckOfFile {
  readonly storage: Storage;
  /** ISO moment. */
  readonly at: string;
  readonly ph?: number | null;
  /** Pa·s. */
  readonly viscosity?: number | null;
  readonly said?: string;
  readonly clarity?: string;
  readonly colour?: string;
  readonly smell?: string;
  readonly sedimentMm?: number | null;
  readonly signs?: readonly SpoilSign[];
  readonly note?: string;
}

/** What an entry must tell, by its kind. */
const NEEDS: Readonly<Record<BatchEntry["kind"], readonly string[]>> = {
  tared: ["vessel", "grams"],
  weighed: ["step", "line", "grams"],
  measured: ["step", "grams"],
  "topped-up": ["step", "grams"],
  filled: ["step", "count", "container"],
  "fill-planned": ["filling", "density"],
  "fill-checked": ["check"],
  "container-tried": ["row", "works", "text"],
  "container-filled": ["row", "number", "grams"],
  "fill-lost": ["grams", "text"],
  calibrated: ["buffers"],
  "ph-read": ["step", "ph", "way", "sampleGrams"],
  "ph-target": ["step", "low", "high"],
  "temperature-read": ["step", "temperatureC"],
  looked: ["when", "thickness", "clarity", "words", "text"],
  dosed: ["step", "agent", "grams"],
  "sample-taken": ["step", "grams"],
  "sample-read": ["step", "ph", "way", "sampleGrams"],
  "sample-dosed": ["step", "agent", "grams"],
  "sample-back": ["step", "grams"],
  "sample-lost": ["step", "reason"],
  "thickness-read": ["step", "viscosity", "unit", "said"],
  salted: ["step", "salt", "grams"],
  "drops-weighed": ["agent", "drops", "grams"],
  thickened: ["step", "line", "grams"],
  accepted: ["line"],
  corrected: ["line"],
  done: ["step"],
  skipped: ["step", "reason"],
  noted: ["text"],
  photographed: ["photo"],
  timer: ["text", "minutes"],
  "wait-ended": ["wait"],
  paused: [],
  resumed: [],
  "taken-back": ["entry"],
  finished: ["yieldGrams"],
  discarded: [],
};

/** What an entry may tell beside that. */
const MAY: Partial<Readonly<Record<BatchEntry["kind"], readonly string[]>>> = {
  weighed: ["readOff"],
  measured: ["readOff"],
  "container-filled": ["readOff"],
  "topped-up": ["readOff"],
  "ph-read": ["readOff", "temperatureC"],
  "temperature-read": ["readOff"],
  looked: ["step"],
  "sample-taken": ["readOff"],
  "sample-read": ["readOff", "temperatureC"],
  "sample-dosed": ["readOff"],
  "sample-back": ["readOff"],
  "thickness-read": ["readOff", "gauge"],
  calibrated: ["readOff"],
  "drops-weighed": ["readOff"],
  thickened: ["readOff"],
  dosed: ["readOff"],
  salted: ["readOff"],
  noted: ["step"],
  photographed: ["step"],
};

/** The shape of an entry of one kind, with what that kind must and may tell and nothing else. */
const entrySchemas: ReadonlyMap<string, Joi.Schema> = new Map(
  Object.entries(NEEDS).map(([kind, needs]) => {
    const may = ["because", ...(MAY[kind as BatchEntry["kind"]] ?? [])];
    const fields = [
      ...["id", "at", "kind", ...needs].map((field) => [field, entryFields[field]?.required().invalid(null)]),
      ...may.map((field) => [field, entryFields[field]]),
    ];
    return [kind, Joi.object(Object.fromEntries(fields) as Joi.SchemaMap)];
  }),
);

/**
 * Reads one entry that was stored before, quicker than `readEntries` and by the same rules.
 * @throws Refusal with the path of every field that cannot be taken.
 */
export function readStoredEntry(value: unknown): BatchEntry {
  const kind = (value as { readonly kind?: unknown } | null)?.kind;
  return checked<BatchEntry>((typeof kind === "string" ? entrySchemas.get(kind) : undefined) ?? Joi.object(entryFields), value);
}

/**
 * Reads entries of a batch as a device sends them.
 * @throws Refusal with the path of every field that cannot be taken.
 */
export function readEntries(value: unknown): readonly BatchEntry[] {
  const entries = checked<readonly BatchEntry[]>(entriesSchema, value);
  const faults = entryFaults(entries, null);
  if (faults.length > 0) throw refusalOf(faults);
  return entries;
}

/**
 * Reads the record of a batch, format tensidrum-batch/1.
 * @throws Refusal with the path of every field that cannot be taken.
 */
export function readBatch(value: unknown, library: MaterialsBySlug): BatchFile {
  type Written = Omit<BatchFile, "formula" | "lots"> & {
    readonly formula: Parameters<typeof wholeFormula>[0];
    readonly lots?: BatchFile["lots"];
  };
  const written = checked<Written & { readonly format: string }>(batchSchema, value);
  const formula = wholeFormula(written.formula, library, "formula");
  const { lots = [], entries, format: _, ...rest } = written;
  const lines = new Set(wholeLines(formula).map(({ id }) => id));
  const faults = [
    ...lots.flatMap(({ line }, at) => (lines.has(line) ? [] : [fault(`lots[${at}].line`, `"${line}" is no line of the formula`)])),
    ...entryFaults(entries, lines),
    ...latherFaults(rest.lather ?? []),
  ];
  if (faults.length > 0) throw refusalOf(faults);
  return { ...rest, formula, lots, entries };
}

/** Foam only falls. */
function latherFaults(tests: NonNullable<BatchFile["lather"]>): readonly FieldFault[] {
  return tests.flatMap(({ atOnceMm, afterOneMinuteMm, afterFiveMinutesMm }, at) => {
    const rises = afterOneMinuteMm > atOnceMm ? "afterOneMinuteMm" : afterFiveMinutesMm > afterOneMinuteMm ? "afterFiveMinutesMm" : null;
    return rises === null ? [] : [fault(`lather[${at}].${rises}`, "foam only falls")];
  });
}

/** @param lines those of the formula; null where it is not at hand */
function entryFaults(entries: readonly BatchEntry[], lines: ReadonlySet<string> | null): readonly FieldFault[] {
  const seen = new Set<string>();
  return entries.flatMap((entry, at) => {
    const path = `entries[${at}]`;
    const told = entry as unknown as Readonly<Record<string, unknown>>;
    const faults = NEEDS[entry.kind]
      .filter((field) => told[field] === undefined || told[field] === null)
      .map((field) => fault(`${path}.${field}`, `"${entry.kind}" needs it`));
    if (seen.has(entry.id)) faults.push(fault(`${path}.id`, `"${entry.id}" stands twice`));
    seen.add(entry.id);
    const known = new Set(["id", "at", "kind", "because", ...NEEDS[entry.kind], ...(MAY[entry.kind] ?? [])]);
    faults.push(
      ...Object.keys(told).flatMap((field) => (known.has(field) ? [] : [fault(`${path}.${field}`, `"${entry.kind}" has no such field`)])),
    );
    if (lines !== null && "line" in entry && !lines.has(entry.line))
      faults.push(fault(`${path}.line`, `"${entry.line}" is no line of the formula`));
    return faults;
  });
}

function fault(path: string, says: string): FieldFault {
  return { path, message: `${path}: ${says}.` };
}
