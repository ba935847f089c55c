import { shownMaterial } from "@tensidrum/core/library";
import { MOST_PRICE, readMassGrams, readNumber, Refusal } from "@tensidrum/core/quantities";
import { findMaker } from "../../../db/makers/queries.server";
import { findMaterial } from "../../../db/materials/queries.server";
import { dropOffer, listOffers, saveOffer } from "../../../db/prices/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { writtenDay } from "../../frame/dates.server";
import type { FieldProblem } from "../../frame/formAnswer";
import { readPrice } from "../readPrice";
import type { TypedOffer } from "./outlookForms.server";

async function materialOf(slug: string) {
  const found = await findMaterial(database(), currentMakerId(), slug);
  if (found === undefined) throw new Refusal("not-found", "No material stands at this address.", "Go to the shelf and look for it there.");
  return found;
}

/** What suppliers ask for a material. */
export async function openOffers(slug: string) {
  const material = await materialOf(slug);
  const offers = await listOffers(database(), currentMakerId(), material.id);
  return {
    slug,
    newId: crypto.randomUUID(),
    name: shownMaterial(material.facts).name,
    offers: offers
      .map(({ seenAt, ...offer }) => ({ ...offer, seen: writtenDay(seenAt), perKilogram: (1000 * offer.price) / offer.packGrams }))
      .toSorted((a, b) => a.perKilogram - b.perKilogram),
  };
}

export type OpenOffers = Awaited<ReturnType<typeof openOffers>>;

/** Keeps or drops a price. Answers what is wrong. */
export async function changeOffers(slug: string, typed: TypedOffer): Promise<readonly FieldProblem[]> {
  const [db, makerId] = [database(), currentMakerId()];
  const material = await materialOf(slug);
  if (typed.intent === "drop") {
    await dropOffer(db, makerId, typed.id);
    return [];
  }
  const pack = readMassGrams(typed.pack);
  const price = readPrice(typed.price, (await findMaker(db, makerId))?.currency ?? "");
  const least = typed.least === "" ? { ok: true as const, value: 1 } : readNumber(typed.least);
  const isWhole = least.ok && Number.isInteger(least.value) && least.value >= 1 && least.value <= 1000;
  const problems = [
    ...(typed.supplier === "" ? [{ field: "supplier", message: "Say who sells it." }] : []),
    ...(pack.ok && pack.value > 0 ? [] : [{ field: "pack", message: "Give what is in a pack: 500, 1.2 kg." }]),
    ...("problem" in price
      ? [{ field: "price", message: price.problem }]
      : price.value > MOST_PRICE
        ? [{ field: "price", message: "No pack costs that much." }]
        : []),
    ...(isWhole ? [] : [{ field: "least", message: "Give a whole number of packs, 1 to 1000." }]),
  ];
  if (problems.length > 0 || !pack.ok || !least.ok || "problem" in price) return problems;
  const { id, supplier } = typed;
  await saveOffer(db, makerId, {
    id,
    supplier,
    materialId: material.id,
    packGrams: pack.value,
    price: price.value,
    leastPacks: least.value,
  });
  return [];
}
