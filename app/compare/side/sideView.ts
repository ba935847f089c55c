import { measuredKinds, nearTo, toldApart, type Measurements } from "@tensidrum/core/comparison";
import type { WatchedKind } from "@tensidrum/core/stability";
import { changedWords, didWords, togetherWords, type Moved } from "../roundWords";

/** A subject as far as its view needs it. */
export interface SideSubject {
  readonly address: string;
  readonly title: string;
  readonly when: string;
  readonly isProduct: boolean;
  /** What a batch was to be: no round, and nothing was measured of it. */
  readonly isPlan: boolean;
  readonly lines: ReadonlyMap<string, number>;
  readonly fromLines: Readonly<Record<"activePercent" | "irritation" | "flash" | "saltPercent", number | null>>;
  readonly measured: Measurements;
  readonly clarity: string;
  readonly moved: Readonly<Partial<Record<WatchedKind, number>>>;
  readonly per100Grams: number | null;
}

export interface SideRow {
  readonly key: string;
  readonly name: string;
  readonly unit: string;
  readonly decimals: number;
  readonly isEstimate: boolean;
  /** One for each subject; null what is not known, or not in it. */
  readonly values: readonly (number | null)[];
}

const DIFFERS = 0.005;
const FROM_LINES = [
  { key: "activePercent", name: "active matter", unit: "%", decimals: 2, isEstimate: false },
  { key: "irritation", name: "irritation index", unit: "", decimals: 0, isEstimate: true },
  { key: "flash", name: "initial foam", unit: "of 10", decimals: 1, isEstimate: true },
  { key: "saltPercent", name: "salt in all", unit: "%", decimals: 2, isEstimate: false },
] as const;

/** What has moved since it was made, of the sample at room temperature. */
const MOVED = [
  { of: "ph", name: "pH has moved since", unit: "", decimals: 2 },
  { of: "viscosity", name: "thickness has moved since", unit: "%", decimals: 0 },
  { of: "colour", name: "colour has moved since", unit: "ΔE", decimals: 1 },
  { of: "sediment", name: "has settled since", unit: "mm", decimals: 1 },
] as const;

/**
 * Subjects side by side: only lines that differ, what follows from them, what was measured, and what it costs; what changed from
 * one to the next and what that did; and what cannot be told apart.
 */
export function sideView(subjects: readonly SideSubject[], nameOf: (slug: string) => string) {
  const made = subjects.filter(({ isProduct }) => !isProduct);
  const slugs = [...new Set(made.flatMap(({ lines }) => [...lines.keys()]))];
  const differing = slugs.filter((slug) => {
    const shares = made.map(({ lines }) => lines.get(slug) ?? 0);
    return Math.max(...shares) - Math.min(...shares) > DIFFERS;
  });
  const rowOf = (row: Omit<SideRow, "values">, value: (subject: SideSubject) => number | null): readonly SideRow[] => {
    const values = subjects.map(value);
    return values.every((one) => one === null) ? [] : [{ ...row, values }];
  };
  const pairs = made.slice(1).map((now, at) => ({ before: made[at] ?? now, now }));
  const rounds = pairs.filter(({ before, now }) => !before.isPlan && !now.isPlan);
  const changes = rounds.map(({ before, now }) => differing.map((slug) => (now.lines.get(slug) ?? 0) - (before.lines.get(slug) ?? 0)));
  const { together } = toldApart(changes.map((row) => row.map((step) => (Math.abs(step) > DIFFERS ? step : 0))));
  return {
    heads: subjects.map(({ address, title, when, isProduct }) => ({ address, title, when, isProduct })),
    lineCount: slugs.length,
    lines: differing.flatMap((slug) =>
      rowOf({ key: slug, name: nameOf(slug), unit: "", decimals: 2, isEstimate: false }, ({ lines, isProduct }) =>
        isProduct ? null : (lines.get(slug) ?? 0),
      ),
    ),
    fromLines: FROM_LINES.flatMap((row) => rowOf(row, ({ fromLines }) => fromLines[row.key])),
    measured: [
      ...measuredKinds.flatMap(({ kind, what, unit, decimals }) =>
        rowOf({ key: kind, name: what, unit, decimals, isEstimate: false }, ({ measured }) => measured[kind] ?? null),
      ),
      ...MOVED.flatMap(({ of, ...row }) => rowOf({ ...row, key: `moved-${of}`, isEstimate: false }, ({ moved }) => moved[of] ?? null)),
    ],
    looks: subjects.some(({ clarity }) => clarity !== "") ? subjects.map(({ clarity }) => clarity) : [],
    costs: rowOf({ key: "cost", name: "contents of 100 g", unit: "", decimals: 2, isEstimate: false }, ({ per100Grams }) => per100Grams),
    steps: pairs.map(({ before, now }) => ({
      title: `${before.title} to ${now.title}`,
      changed: changedWords(movesOf(before, now, differing, nameOf)),
      did:
        before.isPlan || now.isPlan
          ? ""
          : didWords(
              { measured: before.measured, irritation: before.fromLines.irritation },
              { measured: now.measured, irritation: now.fromLines.irritation },
            ),
    })),
    together: together.map((columns) => togetherWords(columns.map((column) => nameOf(differing[column] ?? "")))),
    near: nearOf(subjects),
  };
}

export type SideView = ReturnType<typeof sideView>;

function movesOf(before: SideSubject, now: SideSubject, slugs: readonly string[], nameOf: (slug: string) => string): readonly Moved[] {
  return slugs.flatMap((slug) => {
    const [from, to] = [before.lines.get(slug) ?? 0, now.lines.get(slug) ?? 0];
    return Math.abs(to - from) > DIFFERS ? [{ name: nameOf(slug), from, to }] : [];
  });
}

/** How near each round comes to the first product among them; null where there is none, or nothing was measured of both. */
function nearOf(subjects: readonly SideSubject[]) {
  const product = subjects.find(({ isProduct }) => isProduct);
  const rounds = subjects.filter(({ isProduct }) => !isProduct);
  if (product === undefined || rounds.length === 0) return null;
  const offs = rounds.map(({ measured }) => new Map(nearTo(measured, product.measured).map(({ kind, off }) => [kind, off])));
  const rows = measuredKinds.flatMap(({ kind, what }) => {
    const all = offs.map((off) => off.get(kind) ?? null);
    return all.every((one) => one === null) ? [] : [{ what, offs: all }];
  });
  return rows.length === 0 ? null : { wanted: product.title, rounds: rounds.map(({ title }) => title), rows };
}
