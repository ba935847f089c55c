import type { FoundMaterial } from "@tensidrum/core/search";
import type { MaterialStore } from "../../frame/materialStore";

export interface StartLine {
  readonly phase: string;
  readonly materialId: string;
  readonly percent: string;
  readonly takesTheRest: boolean;
  readonly assay: string;
  readonly asWritten?: string;
}

export interface StartPhase {
  readonly letter: string;
  readonly title: string;
  readonly temperature: string;
}

/** Puts the first lines onto the sheet, with the materials they name. */
export type TakeStart = (
  lines: readonly StartLine[],
  phases: readonly StartPhase[],
  found: readonly FoundMaterial[],
  store: MaterialStore,
  head: { readonly batch: string | null; readonly name: string | null; readonly method?: string },
) => void;
