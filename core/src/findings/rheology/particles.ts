import type { Content } from "../judged.ts";

/** Solid in the finished wash: it has a grain, and water does not dissolve it. */
export function isParticle({ material }: Content): boolean {
  if (material.solubleIn.includes("water")) return false;
  return material.dispersed !== null || material.flags.includes("sinks");
}
