import { writtenShort } from "@tensidrum/core/quantities";
import type { DesignerWishes } from "./wishesOf";
import { irritationBands } from "@tensidrum/core/surfactants";

/** How much milder a fix is to be, how much weaker it may be, and how far the foam may fall without one surfactant. Ours. */
const [MILDER, WEAKER, LESS_FOAM] = [0.8, 0.9, 0.5];
const ENOUGH_ON_SHELF = 3;

/** A question that fixes the sheet as it is, in words and as an address of the designer. */
export interface SheetFix {
  readonly words: string;
  readonly query: string;
}

/** What of a sheet its fixes start from. */
export interface SheetToFix {
  readonly irritation: number;
  readonly flash: number;
  readonly activePercent: number;
  /** Slugs of its surfactants. */
  readonly present: readonly string[];
}

interface OpenSheetToFix extends Omit<Around, "shelf"> {
  readonly sheet: SheetToFix | null;
  readonly shelf: readonly (readonly [string, unknown])[];
}

interface Around {
  readonly usual: Pick<DesignerWishes, "activePercent">;
  readonly choices: readonly { readonly slug: string; readonly name: string }[];
  /** Slugs of what stands on the shelf. */
  readonly shelf: ReadonlySet<string>;
  /** Lots of surfactants that end soon. */
  readonly ending: readonly { readonly material: string; readonly code: string; readonly until: string }[];
}

/** The fixes of the sheet a designer is open for; none where it cannot be judged. */
export function fixesOfOpen({ sheet, shelf, ...around }: OpenSheetToFix): readonly SheetFix[] {
  return sheet === null ? [] : fixesOfSheet(sheet, { ...around, shelf: new Set(shelf.map(([slug]) => slug)) });
}

/** Milder, without one of its surfactants, the used-up ones first, or with a lot that ends soon; each with the least change. */
export function fixesOfSheet({ irritation, flash, activePercent, present }: SheetToFix, around: Around): readonly SheetFix[] {
  const { choices, shelf, ending, usual } = around;
  const onShelf = choices.filter(({ slug }) => shelf.has(slug)).length;
  // A shelf that holds a few answers from itself; a bare one looks in the library.
  const from = onShelf >= ENOUGH_ON_SHELF ? "only" : "all";
  // A little weaker may be, but no weaker than the aim has it where the sheet is not.
  const least = Math.max(WEAKER * activePercent, Math.min(activePercent, usual.activePercent.low));
  const query = (changes: Readonly<Record<string, string | number>>): string =>
    new URLSearchParams({
      ...{ against: "change", shelf: from, countHigh: "4", activeLow: writtenShort(least, 1) },
      ...Object.fromEntries(Object.entries(changes).map(([key, value]) => [key, String(value)])),
    }).toString();
  const nameOf = (slug: string): string => choices.find((one) => one.slug === slug)?.name ?? slug;
  const asMild = { mostIrritation: Math.ceil(irritation) };
  const isGone = (slug: string): boolean => shelf.size > 0 && !shelf.has(slug);
  const replaced = [...present.filter(isGone), ...present.filter((slug) => !isGone(slug))];
  const milder = {
    words: `irritation from ${Math.round(irritation)} to ${Math.floor(irritation * MILDER)}`,
    query: query({ mostIrritation: Math.floor(irritation * MILDER) }),
  };
  const others = [
    ...replaced.map((slug) => ({
      words: `without ${nameOf(slug)}${isGone(slug) ? ", of which nothing is left" : ""}, as mild and as foaming`,
      query: query({ ...asMild, not: slug, leastFlash: Math.max(0, Math.floor((flash - LESS_FOAM) * 10) / 10) }),
    })),
    ...ending.map(({ material, code, until }) => ({
      words: `use up ${nameOf(material)} ${code} before ${until}`,
      query: query({ ...asMild, must: material }),
    })),
  ];
  // What is very mild already is seldom to be milder still.
  return irritation < irritationBands[0].below ? [...others, milder] : [milder, ...others];
}
