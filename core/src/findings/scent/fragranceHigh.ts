import type { ResolvedLine } from "../../formula/types.ts";
import { lineSetTo, offering, scaledLines } from "../changes.ts";
import type { Finding, Rule } from "../finding.ts";
import { idsOf, linesOf, type Judged } from "../judged.ts";

const NOISE_PERCENT = 1e-9;

/** FRAGRANCE_HIGH: scent over the profile's cap, in the whole or in a named part, or one over its own safe use. */
export const fragranceHigh: Rule = {
  codes: ["FRAGRANCE_HIGH"],
  check(judged) {
    const whole = overCap(judged);
    return [...(whole === null ? [] : [whole]), ...overOwnLimit(judged)];
  },
  notJudged({ contents }) {
    const silent = contents.filter(({ material }) => material.role === "fragrance" && material.use === null);
    if (silent.length === 0) return [];
    return [{ what: "FRAGRANCE_HIGH", lacks: "scent-limit", lines: idsOf(linesOf(silent)) }];
  },
};

/** Share of scent where it is most: the whole batch, or the named part that has the most. */
function mostScented(judged: Judged): { readonly percent: number; readonly part: string | null } {
  const { sheet, contents } = judged;
  const base = new Set(sheet.formula.lines.map(({ id }) => id));
  const scentOf = (ids: ReadonlySet<string>): number =>
    contents
      .filter(({ resolved, material }) => material.role === "fragrance" && ids.has(resolved.line.id))
      .reduce((sum, { percent }) => sum + percent, 0);
  const shared = scentOf(base);
  let most: { percent: number; part: string | null } = { percent: shared, part: null };
  for (const { name, sharePercent, lines } of sheet.formula.splits ?? []) {
    const percent = sharePercent > 0 ? shared + (scentOf(new Set(lines.map(({ id }) => id))) * 100) / sharePercent : 0;
    if (percent > most.percent + NOISE_PERCENT) most = { percent, part: name };
  }
  return most;
}

function overCap(judged: Judged): Finding | null {
  const { profile, contents } = judged;
  const cap = profile.scentCapPercent;
  const { percent, part } = mostScented(judged);
  if (percent <= cap + NOISE_PERCENT || onlyScentsLimit(judged) < cap) return null;
  const lines = linesOf(contents.filter(({ material }) => material.role === "fragrance"));
  const pure = lines.every(({ material }) => material.role === "fragrance");
  return {
    code: "FRAGRANCE_HIGH",
    severity: "fix",
    lines: idsOf(lines),
    facts: { percent, limitPercent: cap, profile: profile.slug, part, material: null },
    ...offering(pure && part === null ? scaledLines(judged, lines, cap / percent) : undefined),
  };
}

/** Where there is one scent only, its own limit speaks in place of a cap that is higher. */
function onlyScentsLimit({ contents }: Judged): number {
  const scents = contents.filter(({ material }) => material.role === "fragrance");
  const first = scents[0]?.material;
  const isOnly = scents.every(({ material }) => material.slug === first?.slug);
  return isOnly ? (first?.use?.high ?? Infinity) : Infinity;
}

function overOwnLimit(judged: Judged): readonly Finding[] {
  const amounts = new Map<string, { limit: number; percent: number; lines: ResolvedLine[] }>();
  for (const { resolved, material, percent } of judged.contents) {
    if (material.role !== "fragrance" || material.use === null) continue;
    const known = amounts.get(material.slug);
    if (known === undefined) amounts.set(material.slug, { limit: material.use.high, percent, lines: [resolved] });
    else {
      known.percent += percent;
      known.lines.push(resolved);
    }
  }
  return [...amounts].flatMap(([slug, { limit, percent, lines }]): Finding[] => {
    const first = lines[0];
    if (percent <= limit + NOISE_PERCENT || limit >= judged.profile.scentCapPercent || first === undefined) return [];
    const only = lines.length === 1 && first.material.slug === slug ? first : undefined;
    return [
      {
        code: "FRAGRANCE_HIGH",
        severity: "fix",
        lines: idsOf(lines),
        facts: { percent, limitPercent: limit, profile: judged.profile.slug, part: null, material: slug },
        ...offering(only === undefined ? undefined : lineSetTo(judged, only, limit)),
      },
    ];
  });
}
