import type { FieldProblem } from "../frame/formAnswer";
import { isBlank, isCalendarDay, MOST_PRICE, readMassGrams, readPercent, textProblem } from "@tensidrum/core/quantities";
import { readPrice } from "./readPrice";

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
  /** Days it keeps once it is open. */
  readonly afterOpening: string;
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
  readonly afterOpeningDays: number | null;
  readonly note: string;
}

/** The ledger counts in milligrams. */
export const LEAST_GRAMS = 0.001;
const MOST_DAYS = 3650;
const LONGEST = { code: 60, supplier: 120, note: 500 } as const;

type DateField = "openedOn" | "endsOn" | "afterOpening";

/** Reads when a lot was opened and how long it keeps; what is wrong is said at its field. */
export function readDates(
  typed: Pick<TypedLot, DateField>,
  say: (field: DateField, message: string) => null,
): Pick<ReadLot, "openedOn" | "endsOn" | "afterOpeningDays"> {
  const day = (field: "openedOn" | "endsOn"): string | null => {
    const text = typed[field].trim();
    if (text === "") return null;
    return isCalendarDay(text) ? text : say(field, "Write the date as year, month, day: 2027-03-31.");
  };
  const [openedOn, endsOn] = [day("openedOn"), day("endsOn")];
  const text = typed.afterOpening.trim();
  const days = text === "" ? null : Number(text.replace(/\s*d(?:ays?)?$/i, ""));
  const isWrong = days !== null && !(Number.isInteger(days) && days >= 1 && days <= MOST_DAYS);
  if (isWrong) say("afterOpening", "Give whole days, at most 3650: 6 months are 183.");
  return { openedOn, endsOn, afterOpeningDays: isWrong ? null : days };
}

/** Reads a lot, with its price in the maker's currency. What the maker can fix comes back field by field; the material is for the library to know. */
export function readLot(typed: TypedLot, currency: string): { readonly lot: ReadLot; readonly problems: readonly FieldProblem[] } {
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
  const assay = typed.assay.trim() === "" ? null : readPercent(typed.assay);
  if (assay !== null && (!assay.ok || assay.value === 0)) say("assay", "A certificate says more than 0 and at most 100 %.");
  const price = typed.price.trim() === "" ? null : readPrice(typed.price, currency);
  if (price !== null && "problem" in price) say("price", price.problem);
  else if (price !== null && price.value > MOST_PRICE) say("price", "No pack costs that much.");
  return {
    lot: {
      code: typed.code.trim(),
      packGrams: grams.ok ? grams.value : 0,
      assayPercent: assay?.ok === true ? assay.value : null,
      price: price !== null && "value" in price ? price.value : null,
      supplier: typed.supplier.trim(),
      ...readDates(typed, say),
      note: typed.note.trim(),
    },
    problems,
  };
}
