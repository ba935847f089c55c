import { UnstyledButton } from "@mantine/core";
import { substitutesFor, type Substitute } from "@tensidrum/core/assessment";
import { shownMaterial } from "@tensidrum/core/library";
import { percentText, written, writtenPercent } from "@tensidrum/core/quantities";
import { useState } from "react";
import { useSheet } from "../SheetState";
import { withExchange } from "../typed/editing";
import { readingWords } from "../versions/readingWords";
import classes from "./Exchange.module.css";
import type { MaterialStore } from "../../frame/materialStore";
import { FormError } from "../../components/FormError";
import { DataTable } from "../../components/DataTable";

interface Candidates {
  readonly store: MaterialStore;
  readonly found: readonly Substitute[];
}

const SHOWN = 8;
const TOLD = 4;
/** Readings that say in two numbers what one of them says, or that move with every exchange. */
const LEFT_OUT = new Set([
  "linePercent",
  "restPercent",
  "irritationIndex",
  "freeAnionicMillimolar",
  "relief",
  "densityGramsPerMl",
  "waterActivity",
  "electrolytePercent",
]);
const KEPT_DECIMALS = 3;

/** What could stand in for a cleanser at equal active matter, the least change first, with what each would change. */
export function Exchange({ lineId }: { readonly lineId: string }) {
  const { readings, known, editor } = useSheet();
  const [candidates, setCandidates] = useState<Candidates | "away" | "reading" | null>(null);
  const look = async () => {
    setCandidates("reading");
    try {
      const { loadMaterialStore } = await import("../../frame/materialStore");
      const store = await loadMaterialStore();
      const library = new Map([...store.all.map(({ facts }) => [facts.slug, facts] as const), ...known.materials.bySlug]);
      setCandidates({ store, found: substitutesFor(readings.formula, lineId, library).slice(0, SHOWN) });
    } catch {
      setCandidates("away");
    }
  };
  const take = ({ store }: Candidates, { material, percent }: Substitute) => {
    const found = store.all.find(({ facts }) => facts.slug === material);
    if (found === undefined) return;
    known.learn([found], store);
    editor.fixWith((sheet) =>
      withExchange(sheet, lineId, { materialId: found.id, percent: percentText(Number(percent.toFixed(KEPT_DECIMALS))) }),
    );
  };
  if (candidates === null) {
    return (
      <UnstyledButton type="button" className={classes.door} onClick={() => void look()}>
        What could stand in for it?
      </UnstyledButton>
    );
  }
  if (candidates === "reading") return <p>Looking through the library …</p>;
  if (candidates === "away")
    return <FormError>The library could not be read, or this line cannot be exchanged at equal active matter.</FormError>;
  const nameOf = (slug: string): string => {
    const material = candidates.store.all.find(({ facts }) => facts.slug === slug)?.facts;
    return material === undefined ? slug : shownMaterial(material).name;
  };
  return (
    <DataTable className={classes.candidates}>
      <caption>At equal active matter, the least change first</caption>
      <tbody>
        {candidates.found.map((candidate) => (
          <tr key={candidate.material}>
            <th scope="row">
              <UnstyledButton type="button" className={classes.door} onClick={() => take(candidates, candidate)}>
                {nameOf(candidate.material)}
              </UnstyledButton>
            </th>
            <td>{writtenPercent(candidate.percent)} %</td>
            <td>{changeWords(candidate)}</td>
          </tr>
        ))}
      </tbody>
    </DataTable>
  );
}

function changeWords({ changes, findingsNew, findingsGone }: Substitute): string {
  const told = changes
    .filter(({ reading, before, after }) => !LEFT_OUT.has(reading) && before !== null && after !== null)
    .slice(0, TOLD)
    .map(({ reading, before, after }) => {
      const { name, decimals } = readingWords[reading];
      return `${name} ${written(before ?? 0, decimals)} to ${written(after ?? 0, decimals)}`;
    });
  const words = (code: string) => code.toLowerCase().replaceAll("_", " ");
  return [
    ...told,
    ...(findingsNew.length > 0 ? [`new: ${findingsNew.map(words).join(", ")}`] : []),
    ...(findingsGone.length > 0 ? [`settled: ${findingsGone.map(words).join(", ")}`] : []),
  ].join("; ");
}
