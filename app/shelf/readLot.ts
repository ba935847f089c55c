import type { FieldProblem } from "../frame/formAnswer";
import { isBlank, isCalendarDay, MOST_PRICE, readMassGrams, readNumber, readPercent, textProblem } from "@tensidrum/core/quantities";

/** A lot as typed, or as it stands in the cells of a table. */
export interface TypedLot {
  /** Slug of its material. */
  readonly material: string;
  readonly code: string;
  readonly grams: string;
  readonly assay: string;
  readonly price: string;
  readonly supplier: string;
  readonly openedOn: string;
  readonly endsOn: string;
  readonly note: string;
}

export type LotField = keyof TypedLot;

export interface ReadLot {
  readonly code: string;
  readonly packGrams: number;
  readonly assayPercent: number | null;
  readonly price: number | null;
  readonly supplier: string;
  readonly openedOn: string | null;
  readonly endsOn: string | null;
  readonly note: string;
}

/** The ledger counts in milligrams. */
export const LEAST_GRAMS = 0.001;
const LONGEST = { code: 60, supplier: 120, note: 500 } as const;

/** Reads a lot. What the maker can fix comes back field by field; the material is for the library to know. */
export function readLot(typed: TypedLot): { readonly lot: ReadLot; readonly problems: readonly FieldProblem[] } {
  const problems: FieldProblem[] = [];
  const say = (field: LotField, message: string): null => {
    problems.push({ field, message });
    return null;
  };
  const grams = readMassGrams(typed.grams);
  if (!grams.ok || grams.value < LEAST_GRAMS) say("grams", "Give what came in the pack, in g or kg: 500, 1.2 kg.");
  if (isBlank(typed.code)) say("code", "Give the lot a code: what is written on it, or a name of your own.");
  for (const field of ["code", "supplier", "note"] as const) {
    if (typed[field].trim().length > LONGEST[field]) say(field, `At most ${LONGEST[field]} characters.`);
    const problem = textProblem(typed[field]);
    if (problem !== null) say(field, problem);
  }
  const day = (field: "openedOn" | "endsOn"): string | null => {
    const text = typed[field].trim();
    if (text === "") return null;
    return isCalendarDay(text) ? text : say(field, "Write the date as year, month, day: 2027-03-31.");
  };
  const assay = typed.assay.trim() === "" ? null : readPercent(typed.assay);
  if (assay !== null && (!assay.ok || assay.value === 0)) say("assay", "A certificate says more than 0 and at most 100 %.");
  const price = typed.price.trim() === "" ? null : readNumber(typed.price);
  if (price !== null && (!price.ok || price.value < 0 || price.value > MOST_PRICE)) {
    say("price", "Give the price of the whole pack as a number, or leave it empty.");
  }
  return {
    lot: {
      code: typed.code.trim(),
      packGrams: grams.ok ? grams.value : 0,
      assayPercent: assay?.ok === true ? assay.value : null,
      price: price?.ok === true ? price.value : null,
      supplier: typed.supplier.trim(),
      openedOn: day("openedOn"),
      endsOn: day("endsOn"),
      note: typed.note.trim(),
    },
    problems,
  };
}
