import { UnstyledButton } from "@mantine/core";
import { type ProfileSlug } from "@tensidrum/core/formula";
import { startingFormulaOf, type StartingFormula } from "@tensidrum/core/surfactants";
import { shownMaterial } from "@tensidrum/core/library";
import { percentText, written, writtenPercent, writtenShort } from "@tensidrum/core/quantities";
import { useEffect, useMemo, useState } from "react";
import { useFetcher } from "react-router";
import type { MaterialStore } from "../../frame/materialStore";
import { readAim } from "../typed/readAim";
import type { TypedAim } from "../typed/typedSheet";
import { FromRecipe } from "./FromRecipe";
import type { StartLine, StartPhase, TakeStart } from "./startLines";
import { DataTable } from "../../components/DataTable";
import classes from "./Start.module.css";

interface StartProps {
  readonly profile: ProfileSlug;
  readonly profileName: string;
  readonly aim: TypedAim;
  readonly earlier: readonly { readonly id: string; readonly name: string; readonly number: number; readonly activePercent: number }[];
  readonly onTake: TakeStart;
}

/** Three ways to begin: from the aim, from a recipe, from an earlier formula. */
export function Start(props: StartProps) {
  const store = useStore();
  return (
    <section className={classes.start} aria-label="Ways to begin">
      <FromAim {...props} store={store} />
      <FromRecipe onTake={props.onTake} store={store} />
      <FromEarlier earlier={props.earlier} />
    </section>
  );
}

/** The library, fetched once while there is nothing else to do. */
function useStore(): MaterialStore | null {
  const [store, setStore] = useState<MaterialStore | null>(null);
  useEffect(() => {
    let isHere = true;
    void import("../../frame/materialStore")
      .then(({ loadMaterialStore }) => loadMaterialStore())
      .then((loaded) => isHere && setStore(loaded))
      .catch(() => undefined);
    return () => {
      isHere = false;
    };
  }, []);
  return store;
}

function FromAim({ profile, profileName, aim, onTake, store }: StartProps & { readonly store: MaterialStore | null }) {
  const library = useMemo(() => (store === null ? null : new Map(store.all.map(({ facts }) => [facts.slug, facts]))), [store]);
  const startingFormula = useMemo(
    () => (library === null ? null : startingFormulaOf(profile, readAim(aim), library)),
    [library, profile, aim],
  );
  const take = () => {
    if (store === null || startingFormula === null) return;
    const found = store.all.filter(({ facts }) => startingFormula.lines.some(({ material }) => material === facts.slug));
    const idOf = new Map(found.map(({ id, facts }) => [facts.slug, id]));
    onTake(startLines(startingFormula, idOf), startPhases(startingFormula), found, store, { batch: null, name: null });
  };
  return (
    <div>
      <h2>Begin from the aim</h2>
      <p>
        Lines that suit {/^[aeiou]/.test(profileName) ? "an" : "a"} {profileName}. A start, not a finished product.
      </p>
      {startingFormula === null || library === null ? (
        <p className={classes.quiet}>
          {store === null ? "The library is being fetched." : "The library lacks materials for a starting formula."}
        </p>
      ) : (
        <>
          <DataTable className={classes.lines}>
            <tbody>
              {startingFormula.lines.map(({ material, percent, phase }) => (
                <tr key={`${phase} ${material}`}>
                  <th scope="row">{shownName(library.get(material), material)}</th>
                  <td>{percent === null ? <em>q.s.</em> : writtenPercent(percent)}</td>
                </tr>
              ))}
            </tbody>
          </DataTable>
          <UnstyledButton type="button" className={classes.take} onClick={take}>
            Use this formula
          </UnstyledButton>
        </>
      )}
    </div>
  );
}

function shownName(material: Parameters<typeof shownMaterial>[0] | undefined, slug: string): string {
  return material === undefined ? slug : shownMaterial(material).name;
}

function startLines({ lines }: StartingFormula, idOf: ReadonlyMap<string, string>): readonly StartLine[] {
  return lines.map(({ phase, material, percent }) => ({
    phase,
    materialId: idOf.get(material) ?? "",
    percent: percent === null ? "" : percentText(percent),
    takesTheRest: percent === null,
    assay: "",
  }));
}

function startPhases({ phases }: StartingFormula): readonly StartPhase[] {
  return phases.map(({ letter, title, temperatureC }) => ({
    letter,
    title,
    temperature: temperatureC === null ? "" : writtenShort(temperatureC, 1),
  }));
}

function FromEarlier({ earlier }: Pick<StartProps, "earlier">) {
  const fetcher = useFetcher();
  return (
    <div>
      <h2>Begin from an earlier one</h2>
      <p>A copy with its own name. The old one stays.</p>
      {earlier.length === 0 && <p className={classes.quiet}>There is no other formula yet.</p>}
      <ul className={classes.earlier}>
        {earlier.map(({ id, name, number, activePercent }) => (
          <li key={id}>
            <UnstyledButton
              type="button"
              className={classes.copy}
              onClick={() => void fetcher.submit({}, { method: "post", action: `/sheet/${id}/${number}/branch` })}
              disabled={fetcher.state !== "idle"}
            >
              {name}
            </UnstyledButton>
            <span>v{number}</span>
            <span>{written(activePercent, 2)} %</span>
          </li>
        ))}
      </ul>
    </div>
  );
}
