import { UnstyledButton } from "@mantine/core";
import { percentAsSolution } from "@tensidrum/core/acidity";
import { percentText, readPercent, writtenPercent } from "@tensidrum/core/quantities";
import type { ShelfLot } from "@tensidrum/core/inventory";
import { useState } from "react";
import { useShelfLots } from "../shelfLots";
import { useSheetActs } from "../SheetState";
import { withExchange, withLots } from "../typed/editing";
import type { TypedLine } from "../typed/typedSheet";
import classes from "./Exchange.module.css";
import { FormError } from "../../components/FormError";

const KEPT_DECIMALS = 4;

interface AsSolutionProps {
  readonly line: TypedLine;
  /** Slug of the line's material. */
  readonly material: string;
}

/** Stock solutions of a line's material that stand on the shelf: the line can be weighed as one, its water comes off the rest. */
export function AsSolution({ line, material }: AsSolutionProps) {
  const lots = useShelfLots();
  const { fixWith, learn } = useSheetActs();
  const [isAway, setAway] = useState(false);
  const percent = readPercent(line.percent);
  if (lots === null || !percent.ok || percent.value === 0) return null;
  const solutions = lots.flatMap((lot) => {
    const as = lot.solutionOf === null ? null : percentAsSolution(percent.value, lot.solutionOf, material);
    return as === null || as > 100 ? [] : [{ lot, as }];
  });
  const weighAs = async (lot: ShelfLot, as: number) => {
    const found = await solutionOf(lot.material);
    setAway(found === undefined);
    if (found === undefined) return;
    learn([found.material], found.store);
    const taken = { lotId: lot.id, code: lot.code, grams: "", assayPercent: null, pricePerGram: null };
    fixWith((sheet) =>
      withLots(
        withExchange(sheet, line.id, { materialId: found.material.id, percent: percentText(Number(as.toFixed(KEPT_DECIMALS))) }),
        line.id,
        [taken],
      ),
    );
  };
  return (
    <>
      {solutions.map(({ lot, as }) => (
        <p key={lot.id}>
          <UnstyledButton type="button" className={classes.door} onClick={() => void weighAs(lot, as)}>
            Weigh it as {writtenPercent(as)} % of the solution {lot.code}
          </UnstyledButton>
        </p>
      ))}
      {isAway && <FormError>The library could not be read. Add the solution by hand.</FormError>}
    </>
  );
}

async function solutionOf(slug: string) {
  try {
    const { loadMaterialStore } = await import("../../frame/materialStore");
    const store = await loadMaterialStore();
    const material = store.all.find(({ facts }) => facts.slug === slug);
    return material === undefined ? undefined : { material, store };
  } catch {
    return undefined;
  }
}
