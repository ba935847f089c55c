import { activeWindow } from "./actives/activeWindow.ts";
import { chargeClash } from "./actives/chargeClash.ts";
import type { Finding, Judged, NotJudged, Rule, Severity } from "./finding.ts";
import { massNoQs } from "./mass/massNoQs.ts";
import { massOpen } from "./mass/massOpen.ts";
import { massOver } from "./mass/massOver.ts";
import { tooSmallToWeigh } from "./weighing/tooSmallToWeigh.ts";

/** Every rule, by family. A new rule is one file and one line here. */
export const rules: readonly Rule[] = [
  // mass
  massOver,
  massOpen,
  massNoQs,
  // actives
  activeWindow,
  chargeClash,
  // weighing
  tooSmallToWeigh,
];

const urgency: Readonly<Record<Severity, number>> = { stop: 0, fix: 1, consider: 2 };

/** Runs every rule: findings with the most urgent first, and what could not be judged. */
export function judge(judged: Judged): { findings: readonly Finding[]; notJudged: readonly NotJudged[] } {
  const findings = rules.flatMap((rule) => rule.check(judged));
  const notJudged = rules.flatMap((rule) => rule.notJudged?.(judged) ?? []);
  return { findings: findings.sort((a, b) => urgency[a.severity] - urgency[b.severity]), notJudged };
}
