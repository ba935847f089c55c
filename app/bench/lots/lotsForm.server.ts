import Joi from "joi";
import { choice, group, id, idOrNone, text, type TypedOf } from "../../frame/fields.server";

/** How a lot that gave more than it held is corrected, as typed. */
export const lotsForm = group({
  intent: choice(["balance", "other"]),
  lotId: id(),
  movementId: id(),
  line: Joi.string().max(80).required(),
  /** What is left in the lot. */
  grams: text(40),
  /** The lot it was weighed from instead; empty while none is chosen. */
  to: idOrNone(),
});
export type TypedLots = TypedOf<typeof lotsForm>;
