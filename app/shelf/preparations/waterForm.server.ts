import Joi from "joi";
import { idField, readForm } from "../../frame/readForm.server";

/** A water to be cooked from a plant, as typed. */
export interface WaterForm {
  readonly name: string;
  /** INCI name of what comes out of the plant. */
  readonly inci: string;
  readonly plant: string;
  readonly water: string;
  /** What was left after straining; empty where it is not made yet. */
  readonly yield: string;
  readonly days: string;
  readonly tested: "on" | "";
}

const words = (most: number, usual = "") => Joi.string().allow("").trim().max(most).empty("").default(usual);

const wish = {
  name: words(100),
  inci: words(200),
  plant: words(20),
  water: words(20),
  yield: words(20),
  days: words(10, "7"),
  tested: Joi.string().valid("on", "").default(""),
};

const asked = Joi.object<WaterForm>(wish);

const made = Joi.object<WaterForm & { id: string; movementId: string }>({
  ...wish,
  id: idField.required(),
  movementId: idField.required(),
});

const nothingAsked: WaterForm = { name: "", inci: "", plant: "", water: "", yield: "", days: "7", tested: "" };

/** Reads a plan from the address; what it does not say stands at its usual value. */
export function readWaterWish(address: URL): WaterForm {
  const { value, error } = asked.validate(Object.fromEntries(address.searchParams), { stripUnknown: true });
  return error === undefined ? value : nothingAsked;
}

export function readWaterForm(form: FormData): WaterForm & { readonly id: string; readonly movementId: string } {
  return readForm(made, form, { stripUnknown: true, tellsOfMarks: true });
}
