import { limitsFor } from "../../preservation/limits.ts";
import type { Rule } from "../finding.ts";
import { idsOf } from "../judged.ts";

/** RESTRICTED: notes of law that materials carry and limits with a number they fall under, a row for each material. */
export const restricted: Rule = {
  codes: ["RESTRICTED"],
  check({ contents, lines, profile }) {
    const leftOn = profile.leftOn === true;
    const limited = contents.filter(({ material }) => limitsFor(material).length > 0);
    const carriers = lines.filter(
      (resolved) => resolved.material.restrictions.length > 0 || limited.some((content) => content.resolved === resolved),
    );
    if (carriers.length === 0) return [];
    const rows = new Map(
      carriers.map((resolved) => {
        const limits = new Set(limited.filter((content) => content.resolved === resolved).flatMap(({ material }) => limitsFor(material)));
        const told = [...limits].map(({ name, calculatedAs, leftOnPercent, rinsedPercent }) => ({
          ...{ name, calculatedAs },
          mostPercent: leftOn ? leftOnPercent : rinsedPercent,
        }));
        const { slug, restrictions } = resolved.material;
        return [slug, { material: slug, notes: restrictions, limits: told }] as const;
      }),
    );
    return [{ code: "RESTRICTED", severity: "consider", lines: idsOf(carriers), facts: { rows: [...rows.values()], leftOn } }];
  },
};
