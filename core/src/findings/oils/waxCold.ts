import { isKind } from "../../library/ingredientKinds.ts";
import type { Material } from "../../library/material.ts";
import type { Finding, Rule } from "../finding.ts";
import { MELTS_WAX_C } from "./oilParts.ts";

/** Butters are liquid from here on, °C. */
const MELTS_BUTTER_C = 40;
const HEAT_TO_C = 72;
const SOLID_ROLES: ReadonlySet<string> = new Set(["fatty-solid", "emulsifier", "thickener", "conditioner"]);
const SOLID_FORMS: ReadonlySet<string | null> = new Set(["flake", "wax", "granule", "paste"]);

/** WAX_COLD: a solid fat in a phase that does not melt it. Dry powders are blended as they are. */
export const waxCold: Rule = {
  codes: ["WAX_COLD"],
  check({ lines, temperatures, profile }) {
    if (profile.slug === "powder-cleanser") return [];
    return lines.flatMap(({ line, material }): Finding[] => {
      const melts = meltsAt(material);
      const temperature = temperatures.get(line.phase) ?? 0;
      if (melts === null || temperature >= melts) return [];
      return [
        {
          code: "WAX_COLD",
          severity: "fix",
          lines: [line.id],
          facts: { material: material.slug, phase: line.phase, temperatureC: temperature, heatToC: HEAT_TO_C },
          change: { kind: "temperature", phases: [line.phase], temperatureC: HEAT_TO_C },
        },
      ];
    });
  },
};

/** Temperature a solid fat needs, °C; null for what is none. */
function meltsAt(material: Material): number | null {
  const { role, form, flags } = material;
  if (material.parts !== undefined || !flags.includes("needs-heat") || !SOLID_ROLES.has(role) || !SOLID_FORMS.has(form)) return null;
  return isKind(material, "butter") ? MELTS_BUTTER_C : MELTS_WAX_C;
}
