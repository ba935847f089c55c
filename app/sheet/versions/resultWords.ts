import { written } from "@tensidrum/core/quantities";
import type { MadeBatch } from "./madeBatches.server";

type Told = Pick<MadeBatch, "ph" | "thickness" | "clarity" | "yieldPercent">;

/** What came of a batch, in words: pH, thickness, clarity, yield; what was not read is left out. */
export function resultWords({ ph, thickness, clarity, yieldPercent }: Told): string {
  const parts = [
    ph === null ? "" : `pH ${written(ph, 2)}`,
    thickness === null ? "" : thickness.gauge === "word" ? thickness.said : `${written(thickness.viscosity, 2)} ${thickness.unit}`,
    clarity ?? "",
    yieldPercent === null ? "" : `yield ${written(yieldPercent, 1)} %`,
  ];
  return parts.filter((part) => part !== "").join(", ");
}
