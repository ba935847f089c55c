import { Refusal } from "@tensidrum/core/quantities";
import { choice, group, id, idOrNone, text, type TypedOf } from "../../frame/fields.server";
import { readAddress } from "../../frame/readForm.server";
import { readingForm } from "../readings/readingForm.server";

/** What was measured of a round, a suggested change that is taken, or a trial that is brought back. */
export const roundsForm = group({
  intent: choice(["readings", "take", "bring"]),
  version: idOrNone(),
  ...readingForm,
  learned: text(500),
  material: text(120),
  to: text(20),
});
export type TypedRounds = TypedOf<typeof roundsForm>;

/** @throws Refusal where no formula can lie at the address */
export function readFormula(params: object): string {
  const nothing = () => new Refusal("not-found", "This formula is not here.", "Go to Compare and look for it there.");
  return readAddress(group({ formula: id() }), params, nothing).formula;
}
