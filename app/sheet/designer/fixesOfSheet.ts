import { writtenShort } from "@tensidrum/core/quantities";

/** How much milder a fix is to be, and how far the foam may fall where one surfactant is done without. Ours. */
const [MILDER, LESS_FOAM] = [0.8, 0.5];
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
  readonly choices: readonly { readonly slug: string; readonly name: string }[];
  /** Slugs of what stands on the shelf. */
  readonly shelf: ReadonlySet<string>;
  /** Lots of surfactants that end soon. */
  readonly ending: readonly { readonly material: string; readonly code: string; readonly until: string }[];
}

/** The fixes of the sheet a designer is open for; none where it cannot be judged. */
export function fixesOfOpen({ sheet, choices, shelf, ending }: OpenSheetToFix): readonly SheetFix[] {
  return sheet === null ? [] : fixesOfSheet(sheet, { choices, shelf: new Set(shelf.map(([slug]) => slug)), ending });
}

/** Milder, without one of its surfactants, the used-up ones first, or with a lot that ends soon; each with the least change. */
export function fixesOfSheet({ irritation, flash, activePercent, present }: SheetToFix, around: Around): readonly SheetFix[] {
  const { choices, shelf, ending } = around;
  const onShelf = choices.filter(({ slug }) => shelf.has(slug)).length;
  // A shelf that holds a few answers from itself; a bare one looks in the library.
  const from = onShelf >= ENOUGH_ON_SHELF ? "only" : "all";
  const query = (changes: Readonly<Record<string, string | number>>): string =>
    new URLSearchParams({
      ...{ against: "change", shelf: from, countHigh: "4", activeLow: writtenShort(activePercent * 0.9, 1) },
      ...Object.fromEntries(Object.entries(changes).map(([key, value]) => [key, String(value)])),
    }).toString();
  const nameOf = (slug: string): string => choices.find((one) => one.slug === slug)?.name ?? slug;
  const asMild = { mostIrritation: Math.ceil(irritation) };
  const isGone = (slug: string): boolean => shelf.size > 0 && !shelf.has(slug);
  const replaced = [...present.filter(isGone), ...present.filter((slug) => !isGone(slug))];
  return [
    {
      words: `irritation from ${Math.round(irritation)} to ${Math.floor(irritation * MILDER)}`,
      query: query({ mostIrritation: Math.floor(irritation * MILDER) }),
    },
    ...replaced.map((slug) => ({
      words: `without ${nameOf(slug)}${isGone(slug) ? ", of which nothing is left" : ""}, as mild and as foaming`,
      query: query({ ...asMild, not: slug, leastFlash: Math.max(0, Math.floor((flash - LESS_FOAM) * 10) / 10) }),
    })),
    ...ending.map(({ material, code, until }) => ({
      words: `use up ${nameOf(material)} ${code} before ${until}`,
      query: query({ ...asMild, must: material }),
    })),
  ];
}
