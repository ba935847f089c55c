import { clarityLooks } from "@tensidrum/core/process";
import { Refusal } from "@tensidrum/core/quantities";
import { choice, file, group, id, text, verbatim, type TypedOf } from "../../frame/fields.server";
import { readAddress } from "../../frame/readForm.server";
import { readingForm } from "../readings/readingForm.server";

const MOST_PRINTED = 20_000;

/** A product to come close to, kept or taken away. */
export const productForm = group({
  intent: choice(["save", "delete"], "save"),
  id: id(),
  name: text(120),
  printed: verbatim(MOST_PRINTED),
  price: text(20),
  content: text(20),
  container: text(120),
  ...readingForm,
  dryMatter: text(20),
  clarity: choice(["", ...clarityLooks], ""),
  note: text(2_000),
  photo: file(),
});
export type TypedProduct = TypedOf<typeof productForm>;

/** A list that was pasted elsewhere. */
export const productQuestions = group({ printed: verbatim(MOST_PRINTED) });

/** @throws Refusal where no product can lie at the address */
export function readProduct(params: object): string {
  const nothing = () => new Refusal("not-found", "This product is not here.", "Go to Compare and look for it there.");
  return readAddress(group({ product: id() }), params, nothing).product;
}
