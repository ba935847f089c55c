import { Refusal } from "@tensidrum/core/quantities";
import { charges, type Charge } from "@tensidrum/core/library";
import Joi from "joi";
import { allShelfGroups } from "./shelfGroups";
import type { TypedLot } from "./readLot";
import { idField, readForm } from "../frame/readForm.server";

export const consistencies = ["any", "liquid", "solid"] as const;
export const places = ["shelf", "library"] as const;

/** Flags worth looking for, those that warn first. */
export const soughtFlags = [
  "dusty-respirator",
  "corrosive",
  "eye-irritant",
  "nut-allergen",
  "gluten-allergen",
  "soy-allergen",
  "microbe-food",
  "sulfate",
  "ethoxylated",
  "petro-derived",
  "natural-derived",
  "soap",
  "salt-thickens",
  "hard-to-thicken",
  "needs-slurry",
  "needs-heat",
  "add-late",
  "suspends",
  "opacifies",
  "tints",
  "electrolyte-sensitive",
  "anionic-incompatible",
] as const;

/** What of the shelf is to be shown. */
export interface ShelfFilter {
  readonly board: string;
  readonly charge: Charge | "any";
  readonly form: (typeof consistencies)[number];
  readonly where: (typeof places)[number];
  readonly flag: (typeof soughtFlags)[number] | "any";
  readonly find: string;
}

/** Reads the sentence of the shelf from its address; what it does not know counts as not asked. */
export function readShelfFilter(address: URL): ShelfFilter {
  const ask = (key: string): string => address.searchParams.get(key) ?? "";
  return {
    board: allShelfGroups.find(({ slug }) => slug === ask("board"))?.slug ?? "all",
    charge: charges.find((charge) => charge === ask("charge")) ?? "any",
    form: consistencies.find((form) => form === ask("form")) ?? "any",
    flag: soughtFlags.find((flag) => flag === ask("flag")) ?? "any",
    where: places.find((place) => place === ask("where")) ?? "shelf",
    find: ask("find").slice(0, 200),
  };
}

const slug = Joi.string()
  .pattern(/^[a-z0-9]+(-[a-z0-9]+)*$/)
  .max(120);

/** Reads the slug of a material from an address. */
export function readMaterialSlug(text: string | undefined): string {
  const { value, error } = slug.required().validate(text);
  if (error !== undefined) throw new Refusal("not-found", "No material stands at this address.", "Go to the shelf and look for it there.");
  return value as string;
}

const words = (most: number) => Joi.string().allow("").trim().max(most).default("");

const lotSchema = Joi.object<TypedLot & TypedLotIds>({
  id: idField.required(),
  movementId: idField.required(),
  material: words(200),
  code: words(60),
  grams: words(40),
  assay: words(40),
  price: words(40),
  supplier: words(120),
  openedOn: words(10),
  endsOn: words(10),
  note: words(500),
});

/** Identifiers the page made for a lot and for what came in it. */
export interface TypedLotIds {
  readonly id: string;
  readonly movementId: string;
}

/** Reads the form of a lot. */
export function readLotForm(form: FormData): TypedLot & TypedLotIds {
  return readForm(lotSchema, form, { tellsOfMarks: true });
}

/** "none": Enter was pressed in a field, and no button. */
export const handKinds = ["use", "weigh", "discard", "remove", "none"] as const;

/** What a maker does to a lot by hand: takes some, corrects to a weighing, pours away, or takes out a lot typed by mistake. */
export interface TypedMovement {
  readonly id: string;
  readonly lotId: string;
  readonly kind: (typeof handKinds)[number];
  readonly grams: string;
  readonly note: string;
}

const movementSchema = Joi.object<TypedMovement>({
  id: idField.required(),
  lotId: idField.required(),
  kind: Joi.string()
    .valid(...handKinds)
    .required(),
  grams: words(40),
  note: words(200),
});

export function readMovementForm(form: FormData): TypedMovement {
  return readForm(movementSchema, form, { tellsOfMarks: true });
}
