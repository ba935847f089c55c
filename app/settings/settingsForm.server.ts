import Joi from "joi";
import { massUnits, type MassUnit } from "../../db/makers/schema";
import { containerColumns, scaleColumns, type TypedRow } from "./rows";
import { readRows } from "./rowsForm.server";
import type { TypedDrops } from "./drops.server";
import type { TypedFunnel } from "./funnel.server";
import { readForm } from "../frame/readForm.server";

export type SettingsForm =
  | { readonly intent: "units"; readonly currency: string; readonly massUnit: MassUnit }
  | { readonly intent: "codes"; readonly batchCode: string }
  | { readonly intent: "scales" | "containers"; readonly rows: readonly TypedRow[] }
  | { readonly intent: "drops"; readonly drops: TypedDrops }
  | { readonly intent: "funnel"; readonly funnel: TypedFunnel };

const text = (most: number) => Joi.string().allow("").trim().max(most).default("");

const units = Joi.object<{ currency: string; massUnit: MassUnit }>({
  currency: text(8),
  massUnit: Joi.string()
    .valid(...massUnits)
    .required(),
});

const codes = Joi.object<{ batchCode: string }>({ batchCode: text(40) });

const drops = Joi.object<TypedDrops>({ material: text(120), drops: text(20), grams: text(20) });

const two = Joi.array().items(text(20)).max(2);

const funnel = Joi.object<TypedFunnel>({ thickness: two, density: two, seconds: two });

/** Reads one of the forms of the settings. */
export function readSettingsForm(form: FormData): SettingsForm {
  const intent = form.get("intent");
  if (intent === "scales") return { intent, rows: readRows(form, scaleColumns) };
  if (intent === "containers") return { intent, rows: readRows(form, containerColumns) };
  if (intent === "drops") return { intent, drops: readForm(drops, form) };
  if (intent === "funnel") {
    const [thickness, density, seconds] = ["thickness", "density", "seconds"].map((name) => form.getAll(name));
    return { intent, funnel: readForm(funnel, { thickness, density, seconds }) };
  }
  if (intent === "codes") return { intent, ...readForm(codes, form, { stripUnknown: true, tellsOfMarks: true }) };
  return { intent: "units", ...readForm(units, form, { stripUnknown: true, tellsOfMarks: true }) };
}
