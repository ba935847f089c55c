import type { Charge, MaterialsBySlug } from "../../library/material.ts";
import { leavesOf } from "../../formula/leaves.ts";
import type { ResolvedLine } from "../../formula/types.ts";
import type { Rule } from "../finding.ts";
import { idsOf, slugsOf } from "../judged.ts";

const MADE_FOR_ANIONICS = "anionic-compatible-cationic";

/** CHARGE_CLASH: a cationic that is not made for anionics, beside any anionic. */
export const chargeClash: Rule = {
  codes: ["CHARGE_CLASH"],
  check({ sheet }) {
    const carriers = (charge: Charge) =>
      sheet.lines.filter((resolved) => resolved.percent > 0 && carries(resolved, charge, sheet.materials));
    const cationics = carriers("cationic");
    if (cationics.length === 0) return [];
    const anionics = carriers("anionic");
    if (anionics.length === 0) return [];
    return [
      {
        code: "CHARGE_CLASH",
        severity: "stop",
        lines: [...new Set([...cationics, ...anionics].map((resolved) => resolved.line.id))],
        facts: { cationics: slugsOf(cationics), anionics: slugsOf(anionics) },
      },
    ];
  },
  notJudged({ lines }) {
    const silent = lines.filter(
      ({ material }) => material.role === "surfactant" && material.parts === undefined && material.charge === null,
    );
    return silent.length === 0 ? [] : [{ what: "CHARGE_CLASH", lacks: "charge", lines: idsOf(silent) }];
  },
};

function carries(resolved: ResolvedLine, charge: Charge, materials: MaterialsBySlug): boolean {
  if (resolved.material.parts === undefined) return clashes(resolved.material, charge);
  return leavesOf(resolved.material, materials).some((leaf) => leaf.fraction > 0 && clashes(leaf.material, charge));
}

function clashes(material: { readonly charge: Charge | null; readonly flags: readonly string[] }, charge: Charge): boolean {
  return material.charge === charge && !(charge === "cationic" && material.flags.includes(MADE_FOR_ANIONICS));
}
