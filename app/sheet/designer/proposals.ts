import type { DesignedBlend } from "@tensidrum/core/design";
import { written } from "@tensidrum/core/quantities";
import type { Designing } from "./useDesign";

type State = NonNullable<Designing["state"]>;

export interface Proposal {
  readonly name: string;
  readonly blend: DesignedBlend;
}

/** Three blends that fix a sheet: with the least change, the best bargain, and the mildest; fewer where they are the same. */
export function proposalsOf({ blends, corners }: Pick<State, "blends" | "corners">): readonly Proposal[] {
  if (corners === null) return [];
  const named = [
    { name: "least change", at: 0 },
    { name: "best bargain", at: corners.knee },
    { name: "mildest", at: corners.mildest },
  ];
  return named
    .filter(({ at }, k) => named.findIndex((other) => other.at === at) === k)
    .flatMap(({ name, at }) => {
      const blend = blends[at];
      return blend === undefined ? [] : [{ name, blend }];
    });
}

/** A surfactant before and after, % as supplied; null where it is not in. */
export interface LineChange {
  readonly material: string;
  readonly before: number | null;
  readonly after: number | null;
}

/** Changes smaller than this are none, % as supplied. */
const NOISE_PERCENT = 0.005;

/** What of the surfactants changes, those that go first, then the others as the blend has them. */
export function changesOf(
  present: readonly { readonly material: string; readonly percent: number }[],
  { lines }: Pick<DesignedBlend, "lines">,
): readonly LineChange[] {
  const gone = present.filter(({ material }) => !lines.some((line) => line.material === material));
  return [
    ...gone.map(({ material, percent }) => ({ material, before: percent, after: null })),
    ...lines.flatMap(({ material, percent }) => {
      const before = present.find((line) => line.material === material)?.percent ?? null;
      return before !== null && Math.abs(before - percent) < NOISE_PERCENT ? [] : [{ material, before, after: percent }];
    }),
  ];
}

/** "20.00 → 12.50 %", "new, 4.00 %", "goes". */
export function changeWords({ before, after }: LineChange): string {
  if (after === null) return "goes";
  return before === null ? `new, ${written(after, 2)} %` : `${written(before, 2)} → ${written(after, 2)} %`;
}
