import type { SampleLook, SpoilSign } from "@tensidrum/core/stability";
import type { checks } from "./schema";

const MILLISECONDS_PER_DAY = 86_400_000;

type Look = Pick<
  typeof checks.$inferSelect,
  "storage" | "lookedAt" | "ph" | "viscosity" | "labL" | "labA" | "labB" | "sedimentMm" | "signs"
>;

/** What was noted of a sample as what is followed over the days since it was made. */
export function sampleLook({ storage, lookedAt, ph, viscosity, labL, labA, labB, sedimentMm, signs }: Look, made: Date): SampleLook {
  const day = Math.max(0, (lookedAt.getTime() - made.getTime()) / MILLISECONDS_PER_DAY);
  const lab = labL === null || labA === null || labB === null ? null : { l: labL, a: labA, b: labB };
  return { storage, day, ph, viscosity, lab, sedimentMm, signs: signs as SpoilSign[] };
}
