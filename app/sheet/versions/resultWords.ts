import { written } from "@tensidrum/core/quantities";
import type { MadeBatch } from "./madeBatches.server";

type Told = Pick<MadeBatch, "ph" | "thickness" | "yieldPercent">;

/** What came of a batch, in words: pH, thickness, yield; what was not read is left out. */
export function resultWords({ ph, thickness, yieldPercent }: Told): string {
  const parts = [
    ph === null ? "" : `pH ${written(ph, 2)}`,
    thickness === null ? "" : thickness.gauge === "word" ? thickness.said : `${written(thickness.viscosity, 2)} ${thickness.unit}`,
    yieldPercent === null ? "" : `yield ${written(yieldPercent, 1)} %`,
  ];
  return parts.filter((part) => part !== "").join(", ");
}
