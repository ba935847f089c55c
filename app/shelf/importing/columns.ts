import type { LotField } from "../readLot";

/** What a column of a table can hold, in the order it is asked for. */
export const lotColumns: readonly { readonly field: LotField; readonly name: string; readonly words: readonly string[] }[] = [
  { field: "material", name: "material", words: ["material", "ingredient", "name", "inci", "product", "slug", "article"] },
  { field: "code", name: "lot code", words: ["lot", "code", "batch", "charge", "lot no", "lot number"] },
  {
    field: "grams",
    name: "what came in the pack",
    words: ["grams", "g", "pack", "size", "mass", "weight", "amount", "packgrams", "quantity"],
  },
  { field: "assay", name: "strength by its certificate, %", words: ["assay", "active", "strength", "assaypercent", "content"] },
  { field: "price", name: "price of the pack", words: ["price", "cost", "paid"] },
  { field: "endsOn", name: "ends on", words: ["ends", "expiry", "expires", "best before", "endson", "use by"] },
  { field: "openedOn", name: "opened on", words: ["opened", "openedon", "open"] },
  { field: "supplier", name: "where it came from", words: ["supplier", "shop", "source", "vendor", "from"] },
  { field: "note", name: "note", words: ["note", "notes", "remark", "comment"] },
];

/** Which column of the table holds what; a field without a column stays empty. */
export type ColumnChoice = Readonly<Partial<Record<LotField, number>>>;

/** A guess from the heads of the columns: the same word first, then one that begins alike. Each column is used once. */
export function guessColumns(heads: readonly string[]): ColumnChoice {
  const plain = heads.map((head) =>
    head
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, " ")
      .trim(),
  );
  const taken = new Set<number>();
  const guess: Partial<Record<LotField, number>> = {};
  const fits: readonly ((head: string, word: string) => boolean)[] = [
    (head, word) => head === word,
    (head, word) => word.length > 1 && (head.startsWith(word) || head.split(" ").includes(word)),
  ];
  for (const fit of fits) {
    for (const { field, words } of lotColumns) {
      if (guess[field] !== undefined) continue;
      const at = plain.findIndex((head, column) => !taken.has(column) && words.some((word) => fit(head, word)));
      if (at === -1) continue;
      guess[field] = at;
      taken.add(at);
    }
  }
  return guess;
}
