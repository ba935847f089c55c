import { charges } from "@tensidrum/core/library";
import { Refusal } from "@tensidrum/core/quantities";
import { choice, group, id, slug, text, type TypedOf } from "../frame/fields.server";
import { readAddress } from "../frame/readForm.server";
import { allShelfGroups } from "./shelfGroups";

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

/** The sentence of the shelf: what of it is to be shown. */
export const shelfQuestions = group({
  board: choice(["all", ...allShelfGroups.map((board) => board.slug)], "all"),
  charge: choice(["any", ...charges], "any"),
  form: choice(consistencies, "any"),
  where: choice(places, "shelf"),
  flag: choice(["any", ...soughtFlags], "any"),
  find: text(200),
});
export type ShelfFilter = TypedOf<typeof shelfQuestions>;

/** Reads the slug of a material from an address. */
export function readMaterialSlug(material: string | undefined): string {
  const nothing = () => new Refusal("not-found", "No material stands at this address.", "Go to the shelf and look for it there.");
  return readAddress(group({ material: slug() }), { material }, nothing).material;
}

/** For which material a lot is received, and what is known of its pack. */
export const receiveQuestions = group({ material: text(120), grams: text(40), supplier: text(120), price: text(40) });

/** Two materials laid side by side. */
export const compareQuestions = group({ one: text(200), other: text(200) });

/** A lot as typed, with the identifiers the page made for it and for what came in it. */
export const lotForm = group({
  id: id(),
  movementId: id(),
  material: text(200),
  code: text(60),
  grams: text(40),
  assay: text(40),
  price: text(40),
  supplier: text(120),
  openedOn: text(10),
  endsOn: text(10),
  afterOpening: text(12),
  note: text(500),
});

/** "none": Enter was pressed in a field, and no button. */
export const handKinds = ["use", "weigh", "discard", "remove", "none", "hold", "release", "dates"] as const;

/** What a maker does to a lot by hand: takes some, corrects to a weighing, discards some, or deletes a lot typed by mistake. */
export const movementForm = group({
  ...{ id: id(), lotId: id(), kind: choice(handKinds), grams: text(40), note: text(200) },
  ...{ openedOn: text(10), endsOn: text(10), afterOpening: text(12) },
});
export type TypedMovement = TypedOf<typeof movementForm>;
