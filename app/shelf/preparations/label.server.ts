import { Refusal } from "@tensidrum/core/quantities";
import { shownInci, shownMaterial } from "@tensidrum/core/library";
import { writtenMass, writtenPercent } from "@tensidrum/core/quantities";
import { currentMakerId, database } from "../../../db/workplace.server";
import { materialsBySlug } from "../../../db/materials/queries.server";
import { findLotWithMaterial } from "../../../db/inventory/queries.server";
import { writtenDay } from "../../frame/dates.server";

/** What the label of a lot says. */
export async function openLabel(lotId: string) {
  const db = database();
  const makerId = currentMakerId();
  const lot = await findLotWithMaterial(db, makerId, lotId);
  if (lot === undefined) throw new Refusal("not-found", "This lot is not on your shelf.", "Go to the shelf and look for it there.");
  const { facts } = lot;
  const parts = await materialsBySlug(
    db,
    makerId,
    (facts.parts ?? []).map(({ material }) => material),
  );
  const nameOf = new Map(parts.map((part) => [part.facts.slug, shownMaterial(part.facts).name]));
  const day = (text: string | null) => (text === null ? null : writtenDay(text));
  return {
    slug: facts.slug,
    name: facts.name,
    contents:
      facts.parts === undefined
        ? shownInci(facts)
        : facts.parts.map(({ material, percent }) => `${nameOf.get(material) ?? material} ${writtenPercent(percent)} %`).join(", "),
    code: lot.code,
    mass: writtenMass(lot.packGrams),
    note: lot.note,
    made: lot.madeAs === null ? null : day(lot.openedOn),
    opened: lot.madeAs === null ? day(lot.openedOn) : null,
    ends: day(lot.endsOn),
    isMadeHere: lot.madeAs !== null,
    caution: facts.caution,
  };
}

export type OpenLabel = Awaited<ReturnType<typeof openLabel>>;
