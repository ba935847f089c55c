import { calibrationOf } from "@tensidrum/core/acidity";
import { standingEntries, type BatchEntry, type ReadOff } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import type { BatchView } from "../batch/batchView";

export interface LogRow {
  readonly id: string;
  readonly at: string;
  readonly what: string;
  /** It was taken back later. */
  readonly isBack: boolean;
  readonly isSimulated: boolean;
}

/** Everything that was entered, in order and in words, also what was taken back. */
export function logOf(view: BatchView, entries: readonly BatchEntry[]): readonly LogRow[] {
  const standing = new Set(standingEntries(entries).map(({ id }) => id));
  const byId = new Map(entries.map((entry) => [entry.id, entry]));
  return [...byId.values()].map((entry) => ({
    id: entry.id,
    at: entry.at,
    what: entryWords(entry, view, byId) + (entry.because === undefined ? "" : `; reason: ${entry.because}`),
    isBack: entry.kind !== "taken-back" && !standing.has(entry.id),
    isSimulated: "readOff" in entry && (entry.readOff?.startsWith("simulated") ?? false),
  }));
}

/** An entry in words, for the record and for what waits to be sent. */
export function entryWords(
  entry: BatchEntry,
  view: Pick<BatchView, "steps" | "lines" | "vessels" | "decimals">,
  byId?: ReadonlyMap<string, BatchEntry>,
): string {
  const step = (id: string | null): string => view.steps.find((one) => one.step.id === id)?.step.title ?? "a step";
  const line = (id: string) => view.lines.find((one) => one.line === id);
  const name = (id: string): string => line(id)?.name ?? "a line";
  switch (entry.kind) {
    case "weighed":
      return `${name(entry.line)}: ${written(entry.grams, line(entry.line)?.decimals ?? 2)} g${readOffWords(entry.readOff)}`;
    case "measured":
      return `${step(entry.step)}: ${written(entry.grams, view.decimals)} g${readOffWords(entry.readOff)}`;
    case "calibrated": {
      const [first, second] = entry.buffers;
      return `Meter: ${first.bufferPh} read as ${first.readingPh}, ${second.bufferPh} as ${second.readingPh}${readOffWords(entry.readOff)}. ${calibrationOf(first, second)?.text ?? ""}`;
    }
    case "ph-read":
      return `pH ${written(entry.ph, 2)}, ${phWords[entry.way]}${entry.sampleGrams > 0 ? `, ${written(entry.sampleGrams, 1)} g taken` : ""}${entry.temperatureC === undefined ? "" : `, at ${entry.temperatureC} °C`}${readOffWords(entry.readOff)}`;
    case "ph-target":
      return `pH wanted: ${written(entry.low, 2)} to ${written(entry.high, 2)}`;
    case "temperature-read":
      return `${step(entry.step)}: ${written(entry.temperatureC, 1)} °C${readOffWords(entry.readOff)}`;
    case "topped-up":
      return `${step(entry.step)}: ${written(entry.grams, 1)} g of water put back${readOffWords(entry.readOff)}`;
    case "filled":
      return filledWords(entry);
    case "fill-planned":
      return `Filling planned: ${entry.filling.map(({ count, name }) => `${count} × ${name}`).join(", ")}`;
    case "fill-checked":
      return fillCheckWords[entry.check];
    case "container-tried":
      return entry.works ? "A container was tried: it works" : `A container was tried: ${entry.text}`;
    case "container-filled":
      return `${containerName(entry.row, byId)} ${entry.number} filled: ${written(entry.grams, 1)} g${readOffWords(entry.readOff)}`;
    case "fill-lost":
      return `${written(entry.grams, 1)} g lost while filling: ${entry.text}`;
    case "looked":
      return lookedWords(entry);
    case "thickness-read":
      return `Thickness ${written(entry.viscosity, 2)} ${entry.unit}${entry.said === "" ? "" : `, ${entry.said}`}${readOffWords(entry.readOff)}`;
    case "drops-weighed":
      return `${entry.drops} drops of ${entry.agent}: ${written(entry.grams, 2)} g${readOffWords(entry.readOff)}`;
    case "thickened":
      return `${written(entry.grams, 2)} g ${name(entry.line)} folded in${readOffWords(entry.readOff)}`;
    case "salted":
      return `${written(entry.grams, 2)} g ${entry.salt.name} added${readOffWords(entry.readOff)}`;
    case "dosed":
      return `${written(entry.grams, 2)} g ${entry.agent.name} dosed${readOffWords(entry.readOff)}`;
    case "sample-taken":
      return `Sample of ${written(entry.grams, 1)} g taken aside${readOffWords(entry.readOff)}`;
    case "sample-read":
      return `Sample: pH ${written(entry.ph, 2)}, ${phWords[entry.way]}${entry.sampleGrams > 0 ? `, ${written(entry.sampleGrams, 1)} g of it used` : ""}${readOffWords(entry.readOff)}`;
    case "sample-dosed":
      return `Sample: ${written(entry.grams, 2)} g ${entry.agent.name} dosed${readOffWords(entry.readOff)}`;
    case "sample-back":
      return `Sample: ${written(entry.grams, 1)} g poured back${readOffWords(entry.readOff)}`;
    case "sample-lost":
      return `Sample not poured back: ${entry.reason}`;
    case "tared":
      return `Tare weight of the ${view.vessels.find(({ id }) => id === entry.vessel)?.name ?? entry.vessel}: ${written(entry.grams, view.decimals)} g`;
    case "accepted":
      return `${name(entry.line)}: kept as weighed`;
    case "corrected":
      return `${name(entry.line)}: the others follow it`;
    case "done":
      return `${step(entry.step)}: done`;
    case "skipped":
      return `${step(entry.step)}: skipped, reason: ${entry.reason}`;
    case "noted":
      return `Note: ${entry.text}`;
    case "photographed":
      return "Photo";
    case "timer":
      return `Clock of ${written(entry.minutes, 0)} min: ${entry.text}`;
    case "wait-ended": {
      const wait = byId?.get(entry.wait);
      return `Clock ended${wait === undefined ? "" : `: ${wait.kind === "timer" ? wait.text : wait.kind === "done" ? step(wait.step) : ""}`}`;
    }
    case "paused":
      return "Paused";
    case "resumed":
      return "Gone on";
    case "taken-back": {
      const back = byId?.get(entry.entry);
      return back === undefined ? "An entry taken back" : `Taken back: ${entryWords(back, view, byId)}`;
    }
    case "discarded":
      return "Discarded before anything was weighed";
    case "finished":
      return `Closed: yield ${written(entry.yieldGrams, 1)} g`;
  }
}

/** What was seen to before filling. */
const fillCheckWords = {
  clean: "Containers are clean and dry",
  refill: "Refilled containers: the old rest is out, the same formula goes in, the date is new",
} as const;

/** The container of a row of a filling plan. */
function containerName(row: string, byId: ReadonlyMap<string, BatchEntry> | undefined): string {
  const plans = [...(byId?.values() ?? [])].flatMap((entry) => (entry.kind === "fill-planned" ? entry.filling : []));
  return plans.find(({ id }) => id === row)?.name ?? "Container";
}

/** What was filled, in words. */
export function filledWords({ count, container }: Pick<BatchEntry & { readonly kind: "filled" }, "count" | "container">): string {
  return `Filled: ${count} × ${container}`;
}

/** How it looked and felt, in words. */
export function lookedWords({ when, thickness, clarity, words, text }: BatchEntry & { readonly kind: "looked" }): string {
  const head = { now: "Looked", before: "Before", after: "After" }[when];
  return `${head}: ${[thickness, clarity, ...words, text].filter((one) => one !== "").join(", ")}`;
}

const phWords = { dilution: "in a 10 % dilution", neat: "neat", strip: "by a strip" } as const;

function readOffWords(readOff: ReadOff | undefined): string {
  return readOff === undefined ? "" : `, off the ${readOff}`;
}
