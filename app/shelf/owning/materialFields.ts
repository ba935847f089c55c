import type { Material } from "@tensidrum/core/library";
import { toDecimals } from "@tensidrum/core/quantities";

/** How a fact is typed: a number, the ends of a span, or words. */
interface FieldOf {
  readonly field: string;
  readonly name: string;
  readonly unit: string;
  /** Heads a column of a table may carry for it, beside its own name. */
  readonly words: readonly string[];
}

/** Facts that are one number. */
export const numberFields = [
  { field: "saltPercent", name: "salt brought in", unit: "% NaCl", words: ["salt", "nacl"] },
  { field: "electrolytePercent", name: "other salts", unit: "%", words: ["electrolyte"] },
  { field: "densityGramsPerMl", name: "density as supplied", unit: "g/mL", words: ["density"] },
  { field: "trueDensityGramsPerMl", name: "density once dissolved", unit: "g/mL", words: ["true density"] },
  { field: "dropMilligrams", name: "one drop", unit: "mg", words: ["drop", "drop mass"] },
  { field: "molarMass", name: "molar mass", unit: "g/mol", words: ["mw", "molecular weight"] },
  { field: "cmcMillimolar", name: "critical micelle concentration", unit: "mmol/L", words: ["cmc"] },
  { field: "maxTemperatureC", name: "heat stability", unit: "°C", words: ["max temperature", "heat"] },
] as const satisfies readonly FieldOf[];

/** Facts that run from a low to a high end. */
export const spanFields = [
  { field: "phSupplied", name: "pH as supplied", unit: "", words: ["ph"] },
  { field: "phStable", name: "pH stability", unit: "", words: ["ph stable"] },
  { field: "use", name: "usual dose", unit: "%", words: ["use", "dose", "dosage"] },
  { field: "zein", name: "irritation index, alone", unit: "", words: ["irritation"] },
] as const satisfies readonly FieldOf[];

export type NumberFact = (typeof numberFields)[number]["field"];
export type SpanFact = (typeof spanFields)[number]["field"];

/** A material as typed, every field text. */
export interface TypedMaterial {
  readonly name: string;
  readonly slug: string;
  readonly role: string;
  readonly form: string;
  readonly charge: string;
  /** Names with percents, line by line or parted by semicolons. */
  readonly inci: string;
  /** Materials with percents, in the same way; instead of `inci`. */
  readonly parts: string;
  readonly active: { readonly typical: string; readonly low: string; readonly high: string };
  readonly numbers: Readonly<Record<NumberFact, string>>;
  readonly spans: Readonly<Record<SpanFact, { readonly low: string; readonly high: string }>>;
  readonly flags: string;
  readonly handling: string;
  readonly caution: string;
}

const text = (value: number | null | undefined): string => (value == null ? "" : String(toDecimals(value, 6)));

const entries = <Entry>(list: readonly Entry[] | undefined, write: (entry: Entry) => string): string => (list ?? []).map(write).join("\n");

/** A material in its fields; `null` for one that is yet to be written. */
export function typedMaterial(material: Material | null): TypedMaterial {
  return {
    name: material?.name ?? "",
    slug: material?.slug ?? "",
    role: material?.role ?? "",
    form: material?.form ?? "",
    charge: material?.charge ?? "",
    inci: entries(material?.inci, ({ name, percent }) => `${name} ${text(percent)}`),
    parts: entries(material?.parts, (part) => `${part.material} ${text(part.percent)}`),
    active: { typical: text(material?.active?.typical), low: text(material?.active?.low), high: text(material?.active?.high) },
    numbers: Object.fromEntries(numberFields.map(({ field }) => [field, text(material?.[field])])) as TypedMaterial["numbers"],
    spans: Object.fromEntries(
      spanFields.map(({ field }) => [field, { low: text(material?.[field]?.low), high: text(material?.[field]?.high) }]),
    ) as TypedMaterial["spans"],
    flags: (material?.flags ?? []).join(", "),
    handling: material?.handling ?? "",
    caution: material?.caution ?? "",
  };
}

/** Where a fact stands in the form: "numbers.saltPercent", "spans.use"; other fields by their own name. */
export function factPath(fact: string): string {
  if (numberFields.some(({ field }) => field === fact)) return `numbers.${fact}`;
  return spanFields.some(({ field }) => field === fact) ? `spans.${fact}` : fact;
}

/** Keys of a table's columns. */
export const numberKey = (field: NumberFact): string => `number-${field}`;
export const spanKey = (field: SpanFact, end: "low" | "high"): string => `span-${field}-${end}`;
