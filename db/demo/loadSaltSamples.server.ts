import type { Formula } from "@tensidrum/core/formula";
import type { MaterialsBySlug } from "@tensidrum/core/library";
import { surfactantBaseOf } from "@tensidrum/core/process";
import type { Executor } from "../client.server";
import { addSaltSample } from "../saltSamples/queries.server";
import { demoSaltSamples } from "./saltSamples";
import { stableUuid } from "./stableUuid";
import { workshop } from "./workshop";

/** Lays in the jars of a demo formula's base. */
export async function loadSaltSamples(db: Executor, formula: Formula, materials: MaterialsBySlug): Promise<void> {
  const base = surfactantBaseOf({ formula, materials });
  if (base === null) throw new Error(`${formula.name} has no surfactant to make samples of`);
  for (const [saltPercent, viscosity] of demoSaltSamples.saltSamples) {
    const id = stableUuid(`jar ${formula.name} ${saltPercent}`);
    await addSaltSample(db, workshop.id, base.hash, { id, saltPercent, viscosity, unit: "Pa·s", said: "" });
  }
}
