import type Joi from "joi";
import { massUnits } from "../../db/makers/schema";
import { choice, group, keyed, keyedById, list, text, type TypedOf } from "../frame/fields.server";

const MOST_ROWS = 12;
/** Things one owns: by their identifier, cell by cell. */
const rows = keyedById(keyed(text(200))).max(MOST_ROWS);
const two = list(text(20), 2);

/** The forms of the settings by their button. */
const forms = {
  units: group({ intent: choice(["units"]), currency: text(8), massUnit: choice(massUnits) }),
  codes: group({ intent: choice(["codes"]), batchCode: text(40) }),
  scales: group({ intent: choice(["scales"]), rows }),
  drops: group({ intent: choice(["drops"]), material: text(120), drops: text(20), grams: text(20) }),
  funnel: group({ intent: choice(["funnel"]), thickness: two, density: two, seconds: two }),
} as const;

export type TypedDrops = TypedOf<typeof forms.drops>;
export type TypedFunnel = TypedOf<typeof forms.funnel>;
export type TypedSettings = TypedOf<(typeof forms)[keyof typeof forms]>;

/** Which form of the settings was sent; one without a button of ours is read as that of the units, and refused there. */
export function settingsFormOf(form: FormData): Joi.ObjectSchema<TypedSettings> {
  const intent = Object.keys(forms).find((one) => one === form.get("intent")) as keyof typeof forms | undefined;
  return forms[intent ?? "units"] as unknown as Joi.ObjectSchema<TypedSettings>;
}
