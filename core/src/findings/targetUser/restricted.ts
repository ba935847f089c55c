import type { ResolvedLine } from "../../formula/types.ts";
import type { Rule } from "../finding.ts";
import { idsOf, slugsOf } from "../judged.ts";

/** RESTRICTED: notes of law that materials carry, each note once with everyone it speaks of. */
export const restricted: Rule = {
  codes: ["RESTRICTED"],
  check({ lines }) {
    const byNote = new Map<string, ResolvedLine[]>();
    for (const resolved of lines) {
      for (const note of resolved.material.restrictions) {
        const known = byNote.get(note);
        if (known === undefined) byNote.set(note, [resolved]);
        else known.push(resolved);
      }
    }
    return [...byNote].map(([note, carriers]) => ({
      code: "RESTRICTED" as const,
      severity: "consider" as const,
      lines: idsOf(carriers),
      facts: { materials: slugsOf(carriers), note },
    }));
  },
};
