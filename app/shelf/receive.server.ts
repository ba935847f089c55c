import { shownMaterial } from "@tensidrum/core/library";
import { currentMakerId, database } from "../../db/workplace.server";
import { listChoosable } from "../../db/materials/queries.server";

/** What the form of a new lot needs: the materials there are, and identifiers for what it makes. */
export async function openReceive({
  material,
  ...known
}: {
  readonly material: string;
  readonly grams: string;
  readonly supplier: string;
  readonly price: string;
}) {
  const all = await listChoosable(database(), currentMakerId());
  return {
    material: all.find(({ facts }) => facts.slug === material)?.facts.slug ?? "",
    materials: all.map(({ facts: { slug, form, charge, role }, facts }) => ({
      ...{ slug, form, charge, isScent: role === "fragrance" },
      name: shownMaterial(facts).name,
    })),
    known,
    ids: { id: crypto.randomUUID(), movementId: crypto.randomUUID() },
  };
}

export type OpenReceive = Awaited<ReturnType<typeof openReceive>>;
