import type { Material, OwnFacts } from "@tensidrum/core/library";
import type { WayOfMaking } from "../../../db/materials/schema";
import type { ReadLot } from "../readLot";

/** What is brought in: a table of lots, a table of materials, or a file that holds both. */
export type ImportKind = "lots" | "materials" | "file";

/** What a row makes once it is stored. */
export type ImportItem =
  | { readonly kind: "material"; readonly facts: Material; readonly madeAs: WayOfMaking | null }
  /** Facts held against a reference material. */
  | { readonly kind: "facts"; readonly materialId: string; readonly facts: OwnFacts }
  | {
      readonly kind: "lot";
      /** Slug of its material, of the library or of the same file. */
      readonly material: string;
      readonly lot: ReadLot;
      /** What is left of the pack, g. */
      readonly leftGrams: number;
    };

export interface ImportRow {
  /** Its place, from 0. */
  readonly row: number;
  /** What the preview shows of it, one text for each of its heads. */
  readonly shown: readonly string[];
  /** A note that something was guessed. */
  readonly guess: string | null;
  readonly problems: readonly string[];
  readonly item: ImportItem | null;
}

/** A list as it was read, before anything is stored. */
export interface ReadList {
  readonly kind: ImportKind;
  /** The text it was read from, as it is sent again. */
  readonly text: string;
  /** Heads of the table, and which column was taken for what; a file has neither. */
  readonly heads: readonly string[];
  readonly columns: ColumnsOfList;
  readonly shownHeads: readonly string[];
  readonly rows: readonly ImportRow[];
}

export type ColumnsOfList = Readonly<Record<string, number>>;
