import { UnstyledButton } from "@mantine/core";
import type { FormulaChange } from "@tensidrum/core/formula";
import { writtenMass, writtenPercent, writtenShort } from "@tensidrum/core/quantities";
import { useState } from "react";
import { useSheetActs } from "../SheetState";
import { withChange } from "../typed/fixing";
import classes from "./Findings.module.css";

/** One click that does what the finding advises; undo takes it back. */
export function ApplyCure({ change }: { readonly change: FormulaChange }) {
  const { fixWith, learn } = useSheetActs();
  const [isAway, setAway] = useState(false);
  const apply = async () => {
    if (change.kind !== "add") {
      fixWith((sheet) => withChange(sheet, change, null));
      return;
    }
    const material = await findMaterial(change.material);
    setAway(material === undefined);
    if (material === undefined) return;
    learn([material.found], material.store);
    const added = { id: crypto.randomUUID(), materialId: material.found.id };
    fixWith((sheet) => withChange(sheet, change, added));
  };
  return (
    <>
      <UnstyledButton
        type="button"
        className={classes.apply}
        data-act={`Fix: ${wordsOf(change)}`}
        data-key="."
        onClick={() => void apply()}
      >
        {wordsOf(change)}
      </UnstyledButton>{" "}
      {isAway && <span role="alert">The library could not be read. Add it by hand.</span>}
    </>
  );
}

async function findMaterial(slug: string) {
  try {
    const { loadMaterialStore } = await import("../../frame/materialStore");
    const store = await loadMaterialStore();
    const found = store.all.find(({ facts }) => facts.slug === slug);
    return found === undefined ? undefined : { found, store };
  } catch {
    return undefined;
  }
}

function wordsOf(change: FormulaChange): string {
  switch (change.kind) {
    case "percents":
      return change.percents.length === 1
        ? `Set ${writtenPercent(change.percents[0]?.percent ?? 0)} %`
        : `Set all ${change.percents.length} lines`;
    case "add":
      return `Add ${writtenPercent(change.percent)} %`;
    case "rest":
      return "Make the water q.s. to 100 %";
    case "batch":
      return `Make ${writtenMass(change.batchGrams)}`;
    case "temperature":
      return `Set ${writtenShort(change.temperatureC, 1)} °C`;
    case "first":
      return "Put it first";
  }
}
