import { Refusal } from "@tensidrum/core/formula";
import { charges, type Charge } from "@tensidrum/core/library";
import { readMassGrams, readNumber, readPercent } from "@tensidrum/core/quantities";
import Joi from "joi";
import { boards } from "./boards";

export const shelfStates = ["any", "liquid", "solid"] as const;
export const places = ["shelf", "library"] as const;

/** What of the shelf is to be shown. */
export interface ShelfFilter {
  readonly board: string;
  readonly charge: Charge | "any";
  readonly form: (typeof shelfStates)[number];
  readonly where: (typeof places)[number];
  readonly find: string;
}

/** Reads the sentence of the shelf from its address; what it does not know counts as not asked. */
export function readShelfFilter(address: URL): ShelfFilter {
  const ask = (key: string): string => address.searchParams.get(key) ?? "";
  return {
    board: boards.find(({ slug }) => slug === ask("board"))?.slug ?? "all",
    charge: charges.find((charge) => charge === ask("charge")) ?? "any",
    form: shelfStates.find((form) => form === ask("form")) ?? "any",
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

/** The form of a new lot, as typed. */
export interface TypedLot {
  readonly id: string;
  readonly movementId: string;
  readonly material: string;
  readonly code: string;
  readonly grams: string;
  readonly assay: string;
  readonly price: string;
  readonly supplier: string;
  readonly openedOn: string;
  readonly endsOn: string;
  readonly note: string;
}

export type LotField = "material" | "code" | "grams" | "assay" | "price" | "openedOn" | "endsOn";

export interface FieldProblem<Field extends string> {
  readonly field: Field;
  readonly message: string;
}

const lotSchema = Joi.object<TypedLot>({
  id: Joi.string().guid().required(),
  movementId: Joi.string().guid().required(),
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

export interface ReadLot {
  readonly code: string;
  readonly packGrams: number;
  readonly assayPercent: number | null;
  readonly price: number | null;
  readonly supplier: string;
  readonly openedOn: string | null;
  readonly endsOn: string | null;
  readonly note: string;
}

const MOST_PRICE = 1_000_000;
const DAY = /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;

function formOf<Typed>(form: FormData, schema: Joi.ObjectSchema<Typed>): Typed {
  const { value, error } = schema.validate(Object.fromEntries(form), { abortEarly: true });
  if (error !== undefined)
    throw new Refusal("not-possible", "The form is not as this page sends it.", "Load the page again and repeat it.");
  return value;
}

/** Reads the form of a lot. What the maker can mend comes back field by field. */
export function readLotForm(form: FormData): {
  readonly typed: TypedLot;
  readonly lot: ReadLot;
  readonly problems: readonly FieldProblem<LotField>[];
} {
  const typed = formOf(form, lotSchema);
  const problems: FieldProblem<LotField>[] = [];
  const say = (field: LotField, message: string): null => {
    problems.push({ field, message });
    return null;
  };
  const grams = readMassGrams(typed.grams);
  if (!grams.ok) say("grams", "Give what came in the pack, in g or kg: 500, 1.2 kg.");
  if (typed.code === "") say("code", "Give the lot a code: what is written on it, or a name of your own.");
  const day = (field: "openedOn" | "endsOn"): string | null => {
    if (typed[field] === "") return null;
    return DAY.test(typed[field]) ? typed[field] : say(field, "Write the date as year, month, day: 2027-03-31.");
  };
  const assay = typed.assay === "" ? null : readPercent(typed.assay);
  if (assay !== null && (!assay.ok || assay.value === 0)) say("assay", "A certificate says more than 0 and at most 100 %.");
  const price = typed.price === "" ? null : readNumber(typed.price);
  if (price !== null && (!price.ok || price.value < 0 || price.value > MOST_PRICE))
    say("price", "Give the price of the whole pack, or leave it empty.");
  return {
    typed,
    problems,
    lot: {
      code: typed.code,
      packGrams: grams.ok ? grams.value : 0,
      assayPercent: assay?.ok === true ? assay.value : null,
      price: price?.ok === true ? price.value : null,
      supplier: typed.supplier,
      openedOn: day("openedOn"),
      endsOn: day("endsOn"),
      note: typed.note,
    },
  };
}

export const handKinds = ["use", "weigh", "discard", "remove"] as const;

/** What a maker does to a lot by hand: takes some, corrects to a weighing, pours away, or takes out a lot typed by mistake. */
export interface TypedMovement {
  readonly id: string;
  readonly lotId: string;
  readonly kind: (typeof handKinds)[number];
  readonly grams: string;
  readonly note: string;
}

const movementSchema = Joi.object<TypedMovement>({
  id: Joi.string().guid().required(),
  lotId: Joi.string().guid().required(),
  kind: Joi.string()
    .valid(...handKinds)
    .required(),
  grams: words(40),
  note: words(200),
});

export function readMovementForm(form: FormData): TypedMovement {
  return formOf(form, movementSchema);
}
