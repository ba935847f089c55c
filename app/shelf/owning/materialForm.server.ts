import { choice, group, text, type TypedOf } from "../../frame/fields.server";
import { numberFields, spanFields, type NumberFact, type SpanFact } from "./materialFields";

const number = text(40);
const ends = group({ low: number, high: number });
const each = <Fact extends string, Field>(facts: readonly { readonly field: Fact }[], field: Field) =>
  Object.fromEntries(facts.map((fact) => [fact.field, field])) as Record<Fact, Field>;

/** From which material a new one begins, or which one is thinned with oil to which strength, %. */
export const newMaterialQuestions = group({ from: text(120), thinned: text(120), strength: number });

/** The form of a material of one's own, or of the facts one holds against the library; every field text. */
export const materialForm = group({
  intent: choice(["save", "take-away"], "save"),
  /** Slug of the material it begins from. */
  from: text(120),
  name: text(200),
  slug: text(120),
  role: text(40),
  form: text(40),
  charge: text(40),
  inci: text(20_000),
  parts: text(20_000),
  active: group({ typical: number, low: number, high: number }),
  numbers: group(each<NumberFact, typeof number>(numberFields, number)),
  spans: group(each<SpanFact, typeof ends>(spanFields, ends)),
  flags: text(1000),
  handling: text(2000),
  caution: text(2000),
});
export type MaterialForm = TypedOf<typeof materialForm>;
