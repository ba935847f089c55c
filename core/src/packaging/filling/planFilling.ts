import { fillUses, type ContainerType, type FillUse, type PlannedContainer } from "../../process/batch/fillPlan.ts";
import type { FillingRow } from "../../process/batch/filling.ts";
import { bestMix } from "./bestMix.ts";
import { fillMassGrams, type Container } from "./fillMass.ts";

/** A container the maker has, with what is chosen of it. */
export interface FillChoice extends Container {
  /** The maker's container. */
  readonly container: string;
  readonly type: ContainerType;
  readonly tareGrams: number | null;
  /** Pieces on the shelf; null where they are not counted. */
  readonly pieces: number | null;
}

/** So many of a container, taken before the rest is filled. */
export interface FixedChoice {
  readonly container: string;
  readonly use: FillUse;
  readonly count: number;
}

export interface FillPlan {
  readonly rows: readonly PlannedContainer[];
  /** What stays in the beaker, g. */
  readonly leftGrams: number;
  /** What the fixed ones lack, g; 0 where there is enough. */
  readonly lackGrams: number;
}

export interface FillWish {
  readonly choices: readonly FillChoice[];
  readonly fixed: readonly FixedChoice[];
  /** Containers the rest goes into. */
  readonly rest: readonly string[];
  /** Of the batch; null where it is filled whole. */
  readonly part?: string | null;
  /** Rows there are already, with what was filled into them. */
  readonly rows?: readonly FillingRow[];
}

/**
 * Fills a batch: first what is fixed (testers, a retained sample, a wanted number), then the rest into the mix of the chosen
 * containers that leaves the least over, with no more than there are on the shelf. 581 g in bottles of 103 g after one
 * retained jar of 31 g: five bottles, 35 g left. Containers that are filled already stay in the plan and count as wanted
 * ones, but for a kind that failed its trial: what is in those is gone from the beaker, and no more of them are planned.
 * @param openGrams what is still in the beaker
 * @throws Refusal when nothing fits into a chosen container.
 */
export function planFilling(
  openGrams: number,
  densityGramsPerMl: number,
  { choices, fixed, rest, part = null, rows = [] }: FillWish,
): FillPlan {
  const byId = new Map(choices.map((choice) => [choice.container, choice]));
  const idOf = (container: string, use: FillUse): string => [container, use, ...(part === null ? [] : [part])].join("-");
  const hasFailed = (container: string): boolean => rows.some((row) => row.container === container && row.tried?.works === false);
  const rowOf = (id: string, use: FillUse, count: number): readonly PlannedContainer[] => {
    const choice = byId.get(id);
    if (choice === undefined || count < 1 || hasFailed(id)) return [];
    const { container, name, type, tareGrams } = choice;
    const grams = fillMassGrams(choice, densityGramsPerMl);
    return [{ id: idOf(container, use), container, name, type, use, count, grams, tareGrams, ...(part === null ? {} : { part }) }];
  };
  const filledOf = (id: string): number => rows.find((row) => row.id === id)?.filled.length ?? 0;
  const first = fixed.flatMap(({ container, use, count }) => rowOf(container, use, count - filledOf(idOf(container, use))));
  const kept = rows.flatMap(({ filled, tried, ...row }): readonly PlannedContainer[] =>
    filled.length === 0 || tried?.works === false ? [] : [{ ...row, count: filled.length }],
  );
  const open = openGrams - first.reduce((sum, { count, grams }) => sum + count * grams, 0);
  const taken = (id: string): number => first.reduce((sum, row) => sum + (row.container === id ? row.count : 0), 0);
  const free = rest.flatMap((id) => (hasFailed(id) ? [] : (byId.get(id) ?? [])));
  if (open <= 0 || free.length === 0)
    return { rows: inOrder([...first, ...kept], choices), leftGrams: Math.max(0, open), lackGrams: Math.max(0, -open) };
  const mix = bestMix(
    open,
    free.map((choice) => ({
      name: choice.name,
      fillGrams: fillMassGrams(choice, densityGramsPerMl),
      ...(choice.pieces === null ? {} : { available: Math.max(0, choice.pieces - taken(choice.container)) }),
    })),
  );
  const others = free.flatMap(({ container }, at) => rowOf(container, "use", mix.counts[at] ?? 0));
  return { rows: inOrder([...others, ...first, ...kept], choices), leftGrams: mix.leftoverGrams, lackGrams: 0 };
}

/** One row for each container and use: what is used first, as the containers stand on the shelf; testers and what is kept last. */
function inOrder(rows: readonly PlannedContainer[], choices: readonly FillChoice[]): readonly PlannedContainer[] {
  const byId = new Map<string, PlannedContainer>();
  for (const row of rows) byId.set(row.id, { ...row, count: row.count + (byId.get(row.id)?.count ?? 0) });
  const place = (row: PlannedContainer): number =>
    fillUses.indexOf(row.use) * choices.length + choices.findIndex(({ container }) => container === row.container);
  return [...byId.values()].sort((a, b) => place(a) - place(b));
}

/** Density of what holds air, by the volume that 100 g of it take up, g/mL: 100 g of whip in 180 mL are 0.556 g/mL. */
export function densityByVolume(mlOf100Grams: number): number {
  return 100 / mlOf100Grams;
}
