import { choice, group, id, text, type TypedOf } from "../../frame/fields.server";

const wish = {
  name: text(100),
  /** INCI name of what comes out of the plant. */
  inci: text(200),
  plant: text(20),
  water: text(20),
  /** What was left after straining; empty where it is not made yet. */
  yield: text(20),
  days: text(10, "7"),
  tested: choice(["on", ""], ""),
};

/** A water to be cooked from a plant, as typed. */
export const waterQuestions = group(wish);
export type TypedWater = TypedOf<typeof waterQuestions>;

/** A water that was cooked, with the identifiers of its lot and of what came in it. */
export const waterForm = group({ ...wish, id: id(), movementId: id() });
