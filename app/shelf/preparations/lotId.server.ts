import { Refusal } from "@tensidrum/core/quantities";
import { idField } from "../../frame/readForm.server";

/** Reads the identifier of a lot from an address. */
export function readLotId(text: string | undefined): string {
  const { value, error } = idField.required().validate(text);
  if (error !== undefined) throw new Refusal("not-found", "No lot stands at this address.", "Go to the shelf and look for it there.");
  return value as string;
}
