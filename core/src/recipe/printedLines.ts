import type { Material, MaterialsBySlug } from "../library/material.ts";
import { plainName } from "../library/plainName.ts";
import { nearestName } from "../library/nearestName.ts";
import { partsOf } from "../stability/unmix/usualAmounts.ts";

/** A name of a list with its percentage, of what is printed and not of a bottle. */
export interface PrintedShare {
  readonly name: string;
  /** % w/w */
  readonly percent: number;
}

/** A line for a sheet, of a material as supplied. */
export interface PrintedLine {
  readonly name: string;
  /** Slug; null where nothing on the shelf or in the library brings it. */
  readonly material: string | null;
  /** % w/w as supplied; null on the q.s. line. */
  readonly percent: number | null;
  readonly takesTheRest: boolean;
  /** What other lines bring of it already, % w/w. */
  readonly broughtPercent: number;
  /** How much of the material holds 1 % of what is printed, %; 0 where nothing brings it. */
  readonly forOnePercent: number;
}

interface Bringer {
  readonly material: Material;
  /** Of the name, % of the material. */
  readonly percent: number;
  readonly others: readonly { readonly plain: string; readonly percent: number }[];
}

const LEAST = 1e-6;

/**
 * Lines of a sheet from the percentages of a printed list: each name by a material whose main part it is, what stands on the
 * shelf first; what such a material brings of other names, as salt and water, is taken off theirs. Water is q.s. 6 %
 * sulfonate by one of 40 % that brings 1 % salt and water are 15 % of it; of 1.5 % salt 1.35 remain to be weighed.
 * @param onShelf slugs of which a lot stands there
 */
export function printedLines(
  shares: readonly PrintedShare[],
  materials: readonly Material[],
  onShelf: ReadonlySet<string>,
): readonly PrintedLine[] {
  const library: MaterialsBySlug = new Map(materials.map((material) => [material.slug, material]));
  const bringers = bringersOf(materials, library);
  const near = nearestName([...bringers.keys()]);
  const plainOf = (name: string): string => {
    const plain = plainName(name);
    return bringers.has(plain) ? plain : (near(plain) ?? plain);
  };
  const chosen = shares.map(({ name, percent }) => ({
    name,
    percent,
    plain: plainOf(name),
    by: best(bringers.get(plainOf(name)) ?? [], onShelf),
  }));
  // A material that brings others goes first; what it brings is taken off them.
  const order = chosen.map((_, at) => at).sort((a, b) => (chosen[b]?.by?.others.length ?? 0) - (chosen[a]?.by?.others.length ?? 0));
  const brought = new Map<string, number>();
  const lines: PrintedLine[] = [];
  for (const at of order) {
    const one = chosen[at];
    if (one === undefined) continue;
    const { name, percent, plain, by } = one;
    const has = brought.get(plain) ?? 0;
    if (by === undefined) {
      lines[at] = { name, material: null, percent, takesTheRest: false, broughtPercent: has, forOnePercent: 0 };
      continue;
    }
    const forOnePercent = 100 / by.percent;
    if (by.material.role === "water") {
      lines[at] = { name, material: by.material.slug, percent: null, takesTheRest: true, broughtPercent: has, forOnePercent };
      continue;
    }
    const supplied = (Math.max(0, percent - has) * 100) / by.percent;
    for (const other of by.others) brought.set(other.plain, (brought.get(other.plain) ?? 0) + (supplied * other.percent) / 100);
    lines[at] = { name, material: by.material.slug, percent: supplied, takesTheRest: false, broughtPercent: has, forOnePercent };
  }
  return lines.map((line) => (line.takesTheRest ? { ...line, broughtPercent: brought.get(plainOf(line.name)) ?? 0 } : line));
}

/**
 * Water that a material which brings a name brings with it, parts of the name: 1.54 of one of 39 % in 60 % water. 0 where nothing
 * brings it, or water itself.
 */
export function broughtWater(names: readonly string[], materials: readonly Material[], onShelf: ReadonlySet<string>): readonly number[] {
  const library: MaterialsBySlug = new Map(materials.map((material) => [material.slug, material]));
  const bringers = bringersOf(materials, library);
  return names.map((name) => {
    const by = best(bringers.get(plainName(name)) ?? [], onShelf);
    if (by === undefined || by.material.role === "water") return 0;
    return (by.others.find(({ plain }) => plain === "aqua")?.percent ?? 0) / by.percent;
  });
}

/** Every name with the materials whose main part it is: the greatest beside water. */
function bringersOf(materials: readonly Material[], library: MaterialsBySlug): ReadonlyMap<string, readonly Bringer[]> {
  const found = new Map<string, Bringer[]>();
  for (const material of materials) {
    if (material.role === "base") continue;
    const inci = partsOf(material, library).filter(({ percent }) => percent > LEAST);
    const parts = inci.map(({ name, percent }) => ({ plain: plainName(name), percent }));
    const main =
      material.role === "water" ? parts[0] : parts.filter(({ plain }) => plain !== "aqua").sort((a, b) => b.percent - a.percent)[0];
    if (main === undefined) continue;
    const others = parts.filter((part) => part !== main);
    found.set(main.plain, [...(found.get(main.plain) ?? []), { material, percent: main.percent, others }]);
  }
  return found;
}

/** What stands on the shelf, else a liquid cleanser, else what brings least beside it, else what is strongest. */
function best(bringers: readonly Bringer[], onShelf: ReadonlySet<string>): Bringer | undefined {
  const rank = ({ material, others, percent }: Bringer): readonly number[] => [
    onShelf.has(material.slug) ? 0 : 1,
    material.role === "surfactant" && material.form !== "liquid" ? 1 : 0,
    others.filter(({ plain }) => plain !== "aqua").length,
    -percent,
  ];
  return bringers.toSorted((a, b) => {
    const [left, right] = [rank(a), rank(b)];
    const at = left.findIndex((value, place) => value !== right[place]);
    return at === -1 ? 0 : (left[at] ?? 0) - (right[at] ?? 0);
  })[0];
}
