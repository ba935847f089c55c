import type { Rule } from "../finding.ts";
import { idsOf } from "../judged.ts";

/** RESTRICTED: notes of law that materials carry, a row for each material. */
export const restricted: Rule = {
  codes: ["RESTRICTED"],
  check({ lines }) {
    const carriers = lines.filter(({ material }) => material.restrictions.length > 0);
    if (carriers.length === 0) return [];
    const notes = new Map(carriers.map(({ material }) => [material.slug, material.restrictions]));
    return [
      {
        code: "RESTRICTED",
        severity: "consider",
        lines: idsOf(carriers),
        facts: { rows: [...notes].map(([material, told]) => ({ material, notes: told })) },
      },
    ];
  },
};
