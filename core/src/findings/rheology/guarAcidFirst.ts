import type { Rule } from "../finding.ts";
import { idsOf, type Judged, slugsOf } from "../judged.ts";
import type { ResolvedLine } from "../../formula/types.ts";
import { isCationicGuar } from "../../rheology/routes.ts";
import { offering } from "../changes.ts";

/** GUAR_ACID_FIRST: cationic guar comes after an acid or a surfactant. */
export const guarAcidFirst: Rule = {
  codes: ["GUAR_ACID_FIRST"],
  check(judged) {
    const order = inOrder(judged);
    const guarAt = order.findIndex(({ material }) => material.parts === undefined && isCationicGuar(material));
    const guar = order[guarAt];
    if (guar === undefined) return [];
    const before = order.slice(0, guarAt).filter(({ material }) => comesLater(material));
    if (before.length === 0) return [];
    const isOfSheet = judged.sheet.formula.lines.some(({ id }) => id === guar.line.id);
    return [
      {
        code: "GUAR_ACID_FIRST",
        severity: "fix",
        lines: idsOf([guar, ...before]),
        facts: { guar: guar.material.slug, before: slugsOf(before) },
        ...offering(isOfSheet ? { kind: "first", line: guar.line.id } : undefined),
      },
    ];
  },
};

/** Lines in the order in which they are handled: phase by phase. */
function inOrder({ lines, sheet }: Judged): readonly ResolvedLine[] {
  const place = new Map(sheet.formula.phases.map(({ id }, index) => [id, index]));
  return [...lines].sort((a, b) => (place.get(a.line.phase) ?? 0) - (place.get(b.line.phase) ?? 0));
}

function comesLater({ role, countsAsActive, acidBase }: ResolvedLine["material"]): boolean {
  return countsAsActive === true || role === "surfactant" || (role === "ph-adjuster" && acidBase?.equivalentsModel === "acid");
}
