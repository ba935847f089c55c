import type { LotField } from "../readLot";
import { numberFields, numberKey, spanFields, spanKey } from "../owning/materialFields";

/** What a column of a table can hold, and heads it may carry. */
export interface ColumnKind {
  readonly field: string;
  readonly name: string;
  readonly words: readonly string[];
}

/** Of a table of lots, in the order they are asked for. */
export const lotColumns = [
  { field: "material", name: "material", words: ["material", "ingredient", "name", "inci", "product", "slug", "article"] },
  { field: "code", name: "lot code", words: ["lot", "code", "batch", "charge", "lot no", "lot number"] },
  {
    field: "grams",
    name: "what came in the pack",
    words: ["grams", "g", "pack", "pack g", "size", "mass", "weight", "amount", "packgrams", "quantity"],
  },
  { field: "assay", name: "strength by its certificate, %", words: ["assay", "active", "strength", "assaypercent", "content"] },
  { field: "price", name: "price of the pack", words: ["price", "cost", "paid"] },
  { field: "endsOn", name: "expires on", words: ["ends", "expiry", "expires", "best before", "endson", "use by"] },
  { field: "openedOn", name: "opened on", words: ["opened", "openedon", "open"] },
  {
    field: "afterOpening",
    name: "days it keeps once open",
    words: ["afteropening", "days after opening", "pao", "after opening", "after opening days"],
  },
  { field: "supplier", name: "where it came from", words: ["supplier", "shop", "source", "vendor", "from"] },
  { field: "note", name: "note", words: ["note", "notes", "remark", "comment"] },
] as const satisfies readonly (ColumnKind & { field: LotField })[];

const column = (field: string, name: string, ...words: string[]): ColumnKind => ({ field, name, words: [field.toLowerCase(), ...words] });

/** Of a table of materials. */
export const materialColumns: readonly ColumnKind[] = [
  column("name", "name", "material", "ingredient"),
  column("slug", "slug"),
  column("role", "what it does", "function"),
  column("form", "form"),
  column("charge", "charge", "charge type"),
  column("inci", "INCI names with percent", "composition", "inci name"),
  column("parts", "made of", "made of"),
  column("activeTypical", "active matter, %", "active", "active matter", "strength"),
  column("activeLow", "active from, %", "active low"),
  column("activeHigh", "active to, %", "active high"),
  ...numberFields.map(({ field, name, unit, words }) => column(numberKey(field), `${name}, ${unit}`, field.toLowerCase(), ...words)),
  ...spanFields.flatMap(({ field, name, words }) => [
    column(spanKey(field, "low"), `${name}, from`, ...words.map((word) => `${word} low`), ...words.map((word) => `${word} from`)),
    column(spanKey(field, "high"), `${name}, to`, ...words.map((word) => `${word} high`), ...words.map((word) => `${word} to`)),
  ]),
  column("flags", "flags", "flag"),
  column("handling", "handling"),
  column("caution", "caution", "warning"),
];

/** Which column of the table holds what; a field without a column stays empty. */
export type ColumnChoice = Readonly<Record<string, number>>;

/** The words of a head alone. */
const plainHead = (head: string): string =>
  head
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, " ")
    .trim();

/** A guess from the heads of the columns: the same word first, then one that begins alike. Each column is used once. */
export function guessColumns(heads: readonly string[], columns: readonly ColumnKind[]): ColumnChoice {
  const plain = heads.map(plainHead);
  const taken = new Set<number>();
  const guess: Record<string, number> = {};
  const fits: readonly ((head: string, word: string) => boolean)[] = [
    (head, word) => head === plainHead(word),
    (head, word) => word.length > 1 && (head.startsWith(word) || head.split(" ").includes(word)),
  ];
  for (const fit of fits) {
    for (const { field, words } of columns) {
      if (guess[field] !== undefined) continue;
      const at = plain.findIndex((head, place) => !taken.has(place) && words.some((word) => fit(head, word)));
      if (at === -1) continue;
      guess[field] = at;
      taken.add(at);
    }
  }
  return guess;
}

/** Whether a table tells of materials rather than of lots: it says what they are made of, and no lot. */
export function looksLikeMaterials(heads: readonly string[]): boolean {
  const plain = heads.map(plainHead);
  const has = (...words: string[]): boolean => words.some((word) => plain.includes(word));
  return (
    has("inci", "inci name", "composition", "parts", "made of", "role") && !has("lot", "code", "batch", "lot no", "lot number", "grams")
  );
}
