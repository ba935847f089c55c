import type { BatchEntry } from "@tensidrum/core/process";
import { lookedWords } from "./logOf";
import type { BatchView } from "../batch/batchView";

type Looked = BatchEntry & { readonly kind: "looked" };

/** How it looked before something went in and after it, with what went in between and the photos of that time. */
export interface Pair {
  readonly id: string;
  /** What was weighed, dosed or done between the two; empty where nothing was. */
  readonly between: readonly string[];
  readonly before: string;
  /** Null while nobody has said. */
  readonly after: string | null;
  readonly photos: readonly string[];
}

/** Looks before and after an addition as pairs, in the order they were begun; an "after" belongs to the "before" nearest to it. */
export function pairsOf(view: Pick<BatchView, "standing" | "lines">): readonly Pair[] {
  const { standing, lines } = view;
  const looks = standing.filter((entry): entry is Looked => entry.kind === "looked" && entry.when !== "now");
  return looks.flatMap((before, at): readonly Pair[] => {
    if (before.when !== "before") return [];
    const next = looks[at + 1];
    const after = next?.when === "after" ? next : null;
    const from = standing.indexOf(before);
    const to = after === null ? standing.length : standing.indexOf(after) + 1;
    const there = standing.slice(from, to);
    return [
      {
        id: before.id,
        between: there.flatMap((entry) => (after === null ? [] : wentIn(entry, lines))),
        before: said(before),
        after: after === null ? null : said(after),
        photos: there.flatMap((entry) => (entry.kind === "photographed" ? [entry.photo] : [])),
      },
    ];
  });
}

const said = (entry: Looked): string => lookedWords({ ...entry, when: "now" }).replace(/^Looked: /, "");

function wentIn(entry: BatchEntry, lines: BatchView["lines"]): readonly string[] {
  const name = (line: string): string => lines.find((one) => one.line === line)?.name ?? line;
  switch (entry.kind) {
    case "weighed":
    case "thickened":
      return [name(entry.line)];
    case "salted":
      return [entry.salt.name];
    case "dosed":
      return [entry.agent.name];
    default:
      return [];
  }
}
