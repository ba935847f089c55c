import { NativeSelect, UnstyledButton } from "@mantine/core";
import { type Formula } from "@tensidrum/core/formula";
import { newCleanser, type CornerCharge } from "@tensidrum/core/surfactants";
import { shownMaterial, type MaterialsBySlug } from "@tensidrum/core/library";
import { writtenPercent } from "@tensidrum/core/quantities";
import { useState } from "react";
import { ChargeTag } from "../../components/ChargeSign";
import type { FoundMaterial } from "@tensidrum/core/search";
import type { MaterialStore } from "../../frame/materialStore";
import { useSheetActs } from "../SheetState";
import { withChange } from "../typed/fixing";
import classes from "./AddOne.module.css";

interface AddOneProps {
  readonly charge: CornerCharge;
  readonly formula: Formula;
  readonly materials: MaterialsBySlug;
}

interface Offer {
  readonly store: MaterialStore;
  readonly found: readonly FoundMaterial[];
}

const articles: Readonly<Record<CornerCharge, string>> = { anionic: "an anionic", amphoteric: "an amphoteric", nonionic: "a nonionic" };

/** Offers a cleanser of a type that is missing, so that the field opens that way. */
export function AddOne({ charge, formula, materials }: AddOneProps) {
  const { fixWith, learn } = useSheetActs();
  const [offer, setOffer] = useState<Offer | "reading" | "away" | null>(null);
  const [chosen, setChosen] = useState("");
  const look = async () => {
    setOffer("reading");
    try {
      const { loadMaterialStore } = await import("../../frame/materialStore");
      const store = await loadMaterialStore();
      const found = store.all.filter(({ facts }) => facts.countsAsActive === true && facts.charge === charge);
      setOffer({ store, found });
      setChosen(found[0]?.id ?? "");
    } catch {
      setOffer("away");
    }
  };
  if (offer === null || offer === "reading" || offer === "away") {
    return (
      <p className={classes.offer}>
        <ChargeTag charge={charge} /> No {charge} in it.{" "}
        <UnstyledButton type="button" disabled={offer === "reading"} onClick={() => void look()}>
          Add {articles[charge]}
        </UnstyledButton>
        {offer === "away" && <span role="alert"> The library could not be read. Try again.</span>}
      </p>
    );
  }
  const { store, found } = offer;
  const one = found.find(({ id }) => id === chosen);
  const change = one === undefined ? null : newCleanser(formula, one.facts, new Map([...materials, [one.facts.slug, one.facts]]));
  return (
    <div className={classes.offer}>
      <ChargeTag charge={charge} />
      <NativeSelect autoFocus aria-label={`Which ${charge}`} value={chosen} onChange={(event) => setChosen(event.currentTarget.value)}>
        {found.map(({ id, facts }) => (
          <option key={id} value={id}>
            {shownMaterial(facts).name}
          </option>
        ))}
      </NativeSelect>
      {change === null || one === undefined ? (
        "No room is left for it."
      ) : (
        <UnstyledButton
          type="button"
          onClick={() => {
            learn([one], store);
            fixWith((sheet) => withChange(sheet, change, { id: crypto.randomUUID(), materialId: one.id }));
          }}
        >
          Add {writtenPercent(change.percent)} %
        </UnstyledButton>
      )}
    </div>
  );
}
