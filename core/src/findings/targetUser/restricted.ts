import type { ResolvedLine } from "../../formula/types.ts";
import type { Rule } from "../finding.ts";
import { idsOf } from "../judged.ts";
import { namesOf } from "../wording.ts";

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
    return [...byNote].map(([note, bearers]) => ({
      code: "RESTRICTED" as const,
      severity: "consider" as const,
      lines: idsOf(bearers),
      what: `Rules may limit ${namesOf(bearers)}.`,
      why: note.endsWith(".") ? note : `${note}.`,
      cure: "Check the rules where you live and sell.",
    }));
  },
};
