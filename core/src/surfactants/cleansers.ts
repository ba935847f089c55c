import { leavesOf } from "../formula/leaves.ts";
import type { ResolvedSheet } from "../formula/types.ts";
import type { Charge, Material, MaterialFacts, PlainMaterial } from "../library/material.ts";
import { activeMatterOfLine } from "./activeMatter.ts";

/** A cleansing surfactant of the formula, from whichever lines and blends it comes. */
export interface Cleanser extends Pick<MaterialFacts, "molarMass" | "cmcMillimolar" | "zein" | "foam"> {
  readonly slug: string;
  readonly name: string;
  readonly charge: Charge;
  /** Active matter it brings, % w/w of the formula. */
  readonly percent: number;
  /** Ids of the lines it comes from. */
  readonly lines: readonly string[];
}

/** The cleansing actives of a sheet, one entry per surfactant; blends give theirs by their leaves. */
export function cleansersOf({ lines, materials }: ResolvedSheet): readonly Cleanser[] {
  const found = new Map<string, { cleanser: Cleanser; percent: number; lines: string[] }>();
  for (const resolved of lines) {
    const { percent } = activeMatterOfLine(resolved, materials);
    if (percent === 0) continue;
    const leaves = leavesOf(resolved.material, materials).filter(({ material }) => bringsActive(material));
    const typical = leaves.reduce((sum, { material, fraction }) => sum + fraction * material.active!.typical, 0);
    for (const { material, fraction } of leaves) {
      const share = (percent * fraction * material.active!.typical) / typical;
      const known = found.get(material.slug);
      if (known === undefined)
        found.set(material.slug, { cleanser: cleanser(material, resolved.material), percent: share, lines: [resolved.line.id] });
      else {
        known.percent += share;
        if (!known.lines.includes(resolved.line.id)) known.lines.push(resolved.line.id);
      }
    }
  }
  return [...found.values()].map(({ cleanser: facts, percent, lines: from }) => ({ ...facts, percent, lines: from }));
}

function bringsActive(material: PlainMaterial): boolean {
  return material.countsAsActive === true && material.active !== null && material.charge !== null;
}

/** Facts of a leaf; what was measured on the blend around it stands above its own. */
function cleanser(leaf: PlainMaterial, outer: Material): Cleanser {
  const spoken = <Fact extends keyof MaterialFacts>(fact: Fact): MaterialFacts[Fact] =>
    outer.measured?.includes(fact) === true ? outer[fact] : leaf[fact];
  return {
    slug: leaf.slug,
    name: leaf.name,
    charge: leaf.charge!,
    molarMass: spoken("molarMass"),
    cmcMillimolar: spoken("cmcMillimolar"),
    zein: spoken("zein"),
    foam: spoken("foam"),
    percent: 0,
    lines: [],
  };
}
