import Joi from "joi";
import { numberFields, numberKey, spanFields, spanKey, type TypedMaterial } from "./materialFields";
import { readForm } from "../../frame/readForm.server";

const words = (most: number) => Joi.string().allow("").trim().max(most).default("");

const number = words(40);

const schema = Joi.object<Record<string, string>>({
  name: words(200),
  slug: words(120),
  role: words(40),
  form: words(40),
  charge: words(40),
  inci: words(20_000),
  parts: words(20_000),
  activeLow: number,
  activeTypical: number,
  activeHigh: number,
  flags: words(1000),
  handling: words(2000),
  caution: words(2000),
  from: words(120),
  intent: Joi.string().valid("save", "take-away").default("save"),
  ...Object.fromEntries(numberFields.map(({ field }) => [numberKey(field), number])),
  ...Object.fromEntries(spanFields.flatMap(({ field }) => [spanKey(field, "low"), spanKey(field, "high")].map((key) => [key, number]))),
});

export interface MaterialForm {
  readonly typed: TypedMaterial;
  /** Slug of the material it begins from. */
  readonly from: string;
  readonly intent: "save" | "take-away";
}

/** Reads the form of a material. */
export function readMaterialForm(form: FormData): MaterialForm {
  const value = readForm(schema, form, { tellsOfMarks: true });
  const of = (key: string): string => value[key] ?? "";
  return {
    from: of("from"),
    intent: of("intent") as MaterialForm["intent"],
    typed: {
      name: of("name"),
      slug: of("slug"),
      role: of("role"),
      form: of("form"),
      charge: of("charge"),
      inci: of("inci"),
      parts: of("parts"),
      activeLow: of("activeLow"),
      activeTypical: of("activeTypical"),
      activeHigh: of("activeHigh"),
      numbers: Object.fromEntries(numberFields.map(({ field }) => [field, of(numberKey(field))])) as TypedMaterial["numbers"],
      spans: Object.fromEntries(
        spanFields.map(({ field }) => [field, { low: of(spanKey(field, "low")), high: of(spanKey(field, "high")) }]),
      ) as TypedMaterial["spans"],
      flags: of("flags"),
      handling: of("handling"),
      caution: of("caution"),
    },
  };
}
