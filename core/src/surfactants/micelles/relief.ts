import type { Surfactant } from "./blend.ts";
import { mixedMicelles, type MixedMicelles } from "./mixedMicelles.ts";

/** Anionic monomer, the part that gets into skin, mmol/L. */
export function freeAnionicMillimolar(surfactants: readonly Surfactant[], { monomerMillimolar }: MixedMicelles): number {
  return surfactants.reduce((sum, { charge }, k) => (charge === "anionic" ? sum + monomerMillimolar[k]! : sum), 0);
}

/**
 * How much less anionic stays single than if the same anionics made up all of the surfactant: 1 − free anionic monomer ⁄
 * free monomer of those anionics alone at the same total. Null without anionics: there is nothing to be relieved.
 */
export function reliefOf(totalMillimolar: number, surfactants: readonly Surfactant[], freeAnionic: number): number | null {
  const anionics = surfactants.filter(({ charge, moleFraction }) => charge === "anionic" && moleFraction > 0);
  if (anionics.length === 0) return null;
  const alone = mixedMicelles(totalMillimolar, anionics);
  if (!alone.found) return null;
  return 1 - freeAnionic / freeAnionicMillimolar(anionics, alone.value);
}
