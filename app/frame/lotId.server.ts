import { Refusal } from "@tensidrum/core/quantities";
import { group, id } from "./fields.server";
import { readAddress } from "./readForm.server";

/** Reads the identifier of a lot from an address. */
export function readLotId(lot: string | undefined): string {
  const nothing = () => new Refusal("not-found", "No lot stands at this address.", "Go to the shelf and look for it there.");
  return readAddress(group({ lot: id() }), { lot }, nothing).lot;
}
