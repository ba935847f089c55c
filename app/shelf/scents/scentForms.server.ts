import { profiles } from "@tensidrum/core/formula";
import { Refusal } from "@tensidrum/core/quantities";
import { countedIn } from "../../../db/scents/schema";
import { choice, group, id, keyed, text, type TypedOf } from "../../frame/fields.server";
import { readAddress } from "../../frame/readForm.server";

/** `with` is an oil the scent is begun for. */
export const newScentForm = group({ id: id(), name: text(120), with: text(120) });
export const scentsQuestions = group({ with: text(120) });

/** Reads the identifier of a scent from an address. */
export function readScentId(scent: string | undefined): string {
  const nothing = () => new Refusal("not-found", "No scent stands at this address.", "Go to the scents and look for it there.");
  return readAddress(group({ scent: id() }), { scent }, nothing).scent;
}

/** In what the scent is to be, and how much of it, as typed. */
export const doseQuestions = group({
  profile: choice(
    profiles.map(({ slug }) => slug),
    "body-wash",
  ),
  percent: text(20, "0.5"),
  /** An oil that stands in its first row. */
  with: text(120),
});
export type ScentDose = TypedOf<typeof doseQuestions>;

/** The buttons of a scent: its next round with oils and counts row by row, keeping a round as a material, deleting it. */
export const scentForm = group({
  intent: choice(["round", "keep", "delete"]),
  /** Of the round. */
  id: id(),
  countedIn: choice(countedIn, "drops"),
  oils: keyed(group({ material: text(120), count: text(20) })),
  note: text(500),
  name: text(120),
});
export type TypedScent = TypedOf<typeof scentForm>;
