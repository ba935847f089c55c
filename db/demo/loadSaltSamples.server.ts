import type { Formula } from "@tensidrum/core/formula";
import type { MaterialsBySlug } from "@tensidrum/core/library";
import { saltPeaksOf, surfactantBaseOf } from "@tensidrum/core/process";
import type { Executor } from "../client.server";
import { addSaltSample } from "../saltSamples/queries.server";
import { demoSaltSamples } from "./saltSamples";
import { stableUuid } from "./stableUuid";
import { workshop } from "./workshop";

/** Samples of a demo formula's base; none where the workshop made none of it. */
function samplesOf(formula: Formula, materials: MaterialsBySlug) {
  if (formula.name !== demoSaltSamples.formula) return [];
  const base = surfactantBaseOf({ formula, materials })?.hash;
  if (base === undefined) throw new Error(`${formula.name} has no surfactant to make samples of`);
  return demoSaltSamples.saltSamples.map(([saltPercent, viscosity]) => {
    const id = stableUuid(`jar ${formula.name} ${saltPercent}`);
    return { base, id, saltPercent, viscosity, unit: "Pa·s", said: "" } as const;
  });
}

/** What the samples say of a demo formula's own base before it becomes final. */
export function demoSaltPeaks(formula: Formula, materials: MaterialsBySlug): Readonly<Record<string, number>> {
  return saltPeaksOf(samplesOf(formula, materials));
}

/** Lays in the samples of a demo formula's base. */
export async function loadSaltSamples(db: Executor, formula: Formula, materials: MaterialsBySlug): Promise<void> {
  for (const { base, ...sample } of samplesOf(formula, materials)) await addSaltSample(db, workshop.id, base, sample);
}
