import { choice, group, id, idOrNone, text, type TypedOf } from "../../frame/fields.server";

/** Part of the name of the formulas that are offered to be planned. */
export const outlookQuestions = group({ called: text(120) });

/** A batch is planned, moved to another day, or dropped. */
export const planForm = group({
  intent: choice(["plan", "move", "drop"]),
  id: id(),
  version: idOrNone(),
  on: text(10),
  grams: text(40),
  note: text(200),
});
export type TypedPlan = TypedOf<typeof planForm>;

/** A price of a supplier is kept or dropped. */
export const offerForm = group({
  intent: choice(["keep", "drop"]),
  id: id(),
  supplier: text(120),
  pack: text(40),
  price: text(40),
  least: text(10),
});
export type TypedOffer = TypedOf<typeof offerForm>;
