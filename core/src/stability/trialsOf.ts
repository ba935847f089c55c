import { colourDifference, type Lab } from "../appearance/photoColour.ts";
import { standingEntries } from "../process/batch/batchState.ts";
import { clarityLooks, type BatchEntry } from "../process/batch/entries.ts";
import { MOST_COLOUR } from "./drift.ts";
import type { ScentTrial } from "./scentMemory.ts";

/** What colour and smell are told by, against the start. */
export const colourChanges = ["as at the start", "weaker", "stronger", "different"] as const;

/** What moves thickness by itself: readings on both sides of it say nothing of what else went in. */
const THICKENING: readonly BatchEntry["kind"][] = ["salted", "thickened", "dosed"];

/** What was seen of a batch in a check, as far as it tells something of its materials. */
export interface SeenLater {
  /** Against the start; empty where nobody looked. */
  readonly colour: string;
  readonly lab: Lab | null;
  readonly clarity: string;
}

/**
 * What a line did to a batch: the thickness read last before it was weighed and first after it, in one unit and with nothing
 * between that thickens by itself; pH likewise; whether it was less clear afterwards, at the bench or in a check, and whether
 * the colour of the batch changed while it was kept. Null what nobody read.
 * @param lines those that are asked about, with the slug of their material and their % w/w
 */
export function trialsOf(
  batch: string,
  lines: readonly { readonly id: string; readonly material: string; readonly percent: number }[],
  entries: readonly BatchEntry[],
  later: readonly SeenLater[] = [],
): readonly ScentTrial[] {
  const standing = standingEntries(entries);
  return lines.flatMap(({ id, material, percent }): readonly ScentTrial[] => {
    const at = standing.findIndex((entry) => entry.kind === "weighed" && entry.line === id);
    if (at === -1) return [];
    const before = upTo(standing.slice(0, at).toReversed());
    const after = upTo(standing.slice(at + 1));
    const [first, last] = [thicknessIn(before), thicknessIn(after)];
    const isPair = first !== null && last !== null && first.unit === last.unit;
    const [acidic, acid] = [phIn(before), phIn(after)];
    const [was, is] = [clarityIn(standing.slice(0, at).toReversed()), clarityIn(standing.slice(at + 1))];
    const atBench = was === -1 || is === -1 ? null : is > was;
    return [
      {
        ...{ batch, material, percent },
        viscosityBefore: isPair ? first.viscosity : null,
        viscosityAfter: isPair ? last.viscosity : null,
        phMoved: acidic === null || acid === null ? null : acid - acidic,
        clouded: atBench === true ? true : (cloudedLater(later) ?? atBench),
        colourChanged: colourChangedLater(later),
      },
    ];
  });
}

/** Entries as far as nothing thickens by itself. */
function upTo(entries: readonly BatchEntry[]): readonly BatchEntry[] {
  const end = entries.findIndex(({ kind }) => THICKENING.includes(kind));
  return end === -1 ? entries : entries.slice(0, end);
}

function thicknessIn(entries: readonly BatchEntry[]) {
  const found = entries.find((entry) => entry.kind === "thickness-read");
  return found?.kind === "thickness-read" ? found : null;
}

function phIn(entries: readonly BatchEntry[]): number | null {
  const found = entries.find((entry) => entry.kind === "ph-read");
  return found?.kind === "ph-read" ? found.ph : null;
}

/** Whether a later check found it less clear than the first one did; null where fewer than two looked. */
function cloudedLater(later: readonly SeenLater[]): boolean | null {
  const looks = later.map(({ clarity }) => clarityLooks.findIndex((look) => look === clarity)).filter((at) => at !== -1);
  const [first, ...others] = looks;
  return first === undefined || others.length === 0 ? null : others.some((one) => one > first);
}

/** Whether any check told another colour than at the start, by word or by photo; null where none told of it. */
function colourChangedLater(later: readonly SeenLater[]): boolean | null {
  const words = later.map(({ colour }) => colour).filter((word) => word !== "");
  const [first, ...others] = later.flatMap(({ lab }) => (lab === null ? [] : [lab]));
  if (words.length === 0 && (first === undefined || others.length === 0)) return null;
  const isFar = first !== undefined && others.some((lab) => colourDifference(first, lab) > MOST_COLOUR);
  return isFar || words.some((word) => word !== colourChanges[0]);
}

/** How far from clear it looked; -1 where nobody looked. */
function clarityIn(entries: readonly BatchEntry[]): number {
  const found = entries.find((entry) => entry.kind === "looked" && entry.clarity !== "");
  return found?.kind === "looked" ? clarityLooks.findIndex((look) => look === found.clarity) : -1;
}
