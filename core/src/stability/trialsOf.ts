import { standingEntries } from "../process/batch/batchState.ts";
import { clarityLooks, type BatchEntry } from "../process/batch/entries.ts";
import type { ScentTrial } from "./scentMemory.ts";

/** What moves thickness by itself: readings on both sides of it say nothing of what else went in. */
const THICKENING: readonly BatchEntry["kind"][] = ["salted", "thickened", "dosed"];

/**
 * What a line did to a batch: the thickness read last before it was weighed and first after it, in one unit and with nothing
 * between that thickens by itself; and whether it was less clear afterwards. Null what nobody read.
 * @param lines those that are asked about, with the slug of their material and their % w/w
 */
export function trialsOf(
  batch: string,
  lines: readonly { readonly id: string; readonly material: string; readonly percent: number }[],
  entries: readonly BatchEntry[],
): readonly ScentTrial[] {
  const standing = standingEntries(entries);
  return lines.flatMap(({ id, material, percent }): readonly ScentTrial[] => {
    const at = standing.findIndex((entry) => entry.kind === "weighed" && entry.line === id);
    if (at === -1) return [];
    const before = upTo(standing.slice(0, at).toReversed());
    const after = upTo(standing.slice(at + 1));
    const [first, last] = [thicknessIn(before), thicknessIn(after)];
    const isPair = first !== null && last !== null && first.unit === last.unit;
    const [was, is] = [clarityIn(standing.slice(0, at).toReversed()), clarityIn(standing.slice(at + 1))];
    return [
      {
        ...{ batch, material, percent },
        viscosityBefore: isPair ? first.viscosity : null,
        viscosityAfter: isPair ? last.viscosity : null,
        clouded: was === -1 || is === -1 ? null : is > was,
        colourChanged: null,
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

/** How far from clear it looked; -1 where nobody looked. */
function clarityIn(entries: readonly BatchEntry[]): number {
  const found = entries.find((entry) => entry.kind === "looked" && entry.clarity !== "");
  return found?.kind === "looked" ? clarityLooks.findIndex((look) => look === found.clarity) : -1;
}
