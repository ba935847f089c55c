import { group, id, idOrNone, text, type TypedOf } from "../../frame/fields.server";

const wish = {
  /** Slug of what is dissolved. */
  of: text(120),
  strength: text(20, "10"),
  grams: text(20, "100"),
  months: text(10, "3"),
  /** The lot the solute is taken from; empty for none. */
  lot: idOrNone(),
};

/** What a solution is to be, as typed. */
export const solutionQuestions = group(wish);
export type TypedSolution = TypedOf<typeof solutionQuestions>;

/** A solution that was made, with the identifiers of its lot and of what came in it. */
export const solutionForm = group({ ...wish, id: id(), movementId: id() });
