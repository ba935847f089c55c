import { isKind } from "../../library/ingredientKinds.ts";
import type { PlainMaterial } from "../../library/material.ts";
import {
  yieldEstimate,
  holdingYieldPascal,
  sedimentationHeightMetres,
  sedimentationOf,
  xanthanForYield,
} from "../../rheology/sedimentation.ts";
import type { ProfileSlug } from "../../formula/profiles.ts";
import type { Finding, Rule } from "../finding.ts";
import { idsOf, linesOf, sumPercent, type Content, type Judged } from "../judged.ts";
import { isParticle } from "./particles.ts";

/** Grains packed this densely hold each other, % w/w. */
const PACKED_PERCENT = 30;
/** Products that are dry, stiff, or shaken before use. */
const NOT_ASKED: ReadonlySet<ProfileSlug> = new Set<ProfileSlug>(["powder-cleanser", "whipped-cleanser", "shake-remover"]);
/** Height of a bottle, m: what its own motion carries so high stays up. */
const BOTTLE_METRES = 0.1;

/** PARTICLES_SINK: grains that nothing in the wash holds up, or down. */
export const particlesSink: Rule = {
  codes: ["PARTICLES_SINK"],
  check(judged) {
    const { densityGramsPerMl } = judged;
    const { yieldPascal } = yieldEstimate(judged.sheet);
    if (densityGramsPerMl === null || yieldPascal === null) return [];
    return grains(judged).flatMap(({ resolved, material }): Finding[] => {
      if (material.dispersed === null) return [];
      const { medianDiameterMicrometre: diameterMicrometre, densityGramsPerMl: particleDensity } = material.dispersed;
      const grain = { diameterMicrometre, particleDensity, liquidDensity: densityGramsPerMl };
      if (sedimentationHeightMetres(grain) >= BOTTLE_METRES || sedimentationOf({ ...grain, pascalSeconds: 1, yieldPascal }).held) return [];
      const needed = holdingYieldPascal(grain);
      return [
        {
          code: "PARTICLES_SINK",
          severity: "fix",
          lines: [resolved.line.id],
          facts: {
            material: material.slug,
            diameterMicrometre,
            sinks: particleDensity > densityGramsPerMl,
            neededPascal: needed,
            yieldPascal,
            xanthanPercent: Math.ceil(xanthanForYield(needed) * 100) / 100,
          },
        },
      ];
    });
  },
  notJudged(judged) {
    const particles = grains(judged);
    if (particles.length === 0) return [];
    const unmeasured = particles.filter(({ material }) => material.dispersed === null);
    const { unknown } = yieldEstimate(judged.sheet);
    const about = { what: "PARTICLES_SINK", lines: idsOf(linesOf(particles)) } as const;
    return [
      ...(unknown.length > 0 ? [{ ...about, lacks: "yield-stress" as const, materials: unknown }] : []),
      ...(judged.densityGramsPerMl === null ? [{ ...about, lacks: "wash-density" as const }] : []),
      ...(unmeasured.length > 0 ? [{ ...about, lacks: "grains" as const }] : []),
    ];
  },
};

function grains({ contents, profile, wetPercent }: Judged): readonly Content[] {
  if (NOT_ASKED.has(profile.slug) || (wetPercent === 0 && !profile.dry)) return [];
  const particles = contents.filter(isParticle).filter(({ material }) => !isThickenerItself(material));
  return sumPercent(particles) >= PACKED_PERCENT ? [] : particles;
}

/** Pearl that grows in place, and clay that swells. */
function isThickenerItself(material: PlainMaterial): boolean {
  return isKind(material, "pearl") || isKind(material, "swelling-clay");
}
