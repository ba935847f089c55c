import { containerTypes } from "@tensidrum/core/process";
import { choice, group, id, idOrNone, text, type TypedOf } from "../../frame/fields.server";

const number = text(40);

/** One kind of container as typed. */
export const containerForm = group({
  intent: choice(["save", "delete"], "save"),
  id: id(),
  name: text(200),
  type: choice(containerTypes, "bottle"),
  nominal: number,
  brimful: number,
  headspace: number,
  dipTube: number,
  tare: number,
  labelWidth: number,
  labelHeight: number,
  pieces: number,
  price: number,
  note: text(200),
});
export type TypedContainer = TypedOf<typeof containerForm>;

/** The container that is to be changed; none for a new one. */
export const containerQuestions = group({ change: idOrNone() });
