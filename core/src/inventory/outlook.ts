/** A lot that may be taken for what is planned. */
export interface OutlookLot {
  readonly id: string;
  /** Slug. */
  readonly material: string;
  readonly freeGrams: number;
  /** The last day it is used, written 2026-11-26; null where it does not say. */
  readonly endsOn: string | null;
}

/** A batch that is to be made. */
export interface PlannedBatch {
  readonly id: string;
  /** Written 2026-11-26. */
  readonly on: string;
  /** Grams by slug of the material; water is there. */
  readonly needs: ReadonlyMap<string, number>;
}

export interface Shortage {
  readonly material: string;
  readonly grams: number;
}

export interface Outlook {
  /** What each batch lacks, those that lack nothing left out, by its id. */
  readonly lacks: ReadonlyMap<string, readonly Shortage[]>;
  /** What is to be bought: all of each material that is lacking, and by when. */
  readonly toBuy: readonly (Shortage & { readonly neededOn: string })[];
  /** What of a lot nobody uses before it ends. */
  readonly expiring: readonly { readonly lot: string; readonly grams: number; readonly endsOn: string }[];
}

/** Less than this is no shortage but the rounding of a scale, g. */
const NOTHING_GRAMS = 0.0005;

/**
 * What planned batches take of the shelf: they are made in the order of their days, each takes what it needs of the lots that
 * are good on that day, the one that ends first before the others. A lot of 100 g that ends in May serves a batch of 60 g in
 * April; its other 40 g are told as lost, and a batch in June lacks them.
 * @param until lots that end after this day are not told of, written 2026-11-26
 */
export function outlookOf(plans: readonly PlannedBatch[], lots: readonly OutlookLot[], until: string): Outlook {
  const left = new Map(lots.map(({ id, freeGrams }) => [id, Math.max(0, freeGrams)]));
  const inOrder = lots.toSorted((a, b) => (a.endsOn ?? "9999").localeCompare(b.endsOn ?? "9999"));
  const lacks = new Map<string, Shortage[]>();
  const toBuy = new Map<string, Shortage & { readonly neededOn: string }>();
  for (const { id, on, needs } of plans.toSorted((a, b) => a.on.localeCompare(b.on))) {
    for (const [material, wanted] of needs) {
      let grams = wanted;
      for (const lot of inOrder) {
        if (lot.material !== material || (lot.endsOn !== null && lot.endsOn < on)) continue;
        const taken = Math.min(grams, left.get(lot.id) ?? 0);
        left.set(lot.id, (left.get(lot.id) ?? 0) - taken);
        grams -= taken;
      }
      if (grams <= NOTHING_GRAMS) continue;
      lacks.set(id, [...(lacks.get(id) ?? []), { material, grams }]);
      const before = toBuy.get(material);
      toBuy.set(material, { material, grams: (before?.grams ?? 0) + grams, neededOn: before?.neededOn ?? on });
    }
  }
  const expiring = inOrder.flatMap(({ id, endsOn }) => {
    const grams = left.get(id) ?? 0;
    return endsOn === null || endsOn > until || grams <= NOTHING_GRAMS ? [] : [{ lot: id, grams, endsOn }];
  });
  return { lacks, toBuy: [...toBuy.values()], expiring };
}
