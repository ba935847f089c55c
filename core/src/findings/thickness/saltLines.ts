import type { SettledLine } from "../../formula/types.ts";
import type { Judged } from "../judged.ts";

/** Lines that are there to thicken by salt. */
export function saltLines({ lines }: Judged): readonly SettledLine[] {
  return lines.filter(({ material }) => material.role === "salt");
}
