import { Textarea, UnstyledButton } from "@mantine/core";
import { type ProfileSlug } from "@tensidrum/core/formula";
import { startingFormulaOf, type StartingFormula } from "@tensidrum/core/surfactants";
import { shownMaterial } from "@tensidrum/core/library";
import { percentText, written, writtenPercent, writtenShort } from "@tensidrum/core/quantities";
import { useEffect, useMemo, useState } from "react";
import { useFetcher } from "react-router";
import type { FoundMaterial } from "@tensidrum/core/search";
import type { MaterialStore } from "../../frame/materialStore";
import { readAim } from "../typed/readAim";
import type { TypedAim } from "../typed/typedSheet";
import type { FormAnswer } from "../../frame/formAnswer";
import type { UnderstoodRecipe } from "./readRecipe.server";
import classes from "./Start.module.css";
import { FormError } from "../../components/FormError";
import { DataTable } from "../../components/DataTable";

export interface StartLine {
  readonly phase: string;
  readonly materialId: string;
  readonly percent: string;
  readonly takesTheRest: boolean;
  readonly assay: string;
}

export interface StartPhase {
  readonly letter: string;
  readonly title: string;
  readonly temperature: string;
}

interface StartProps {
  readonly profile: ProfileSlug;
  readonly profileName: string;
  readonly aim: TypedAim;
  readonly earlier: readonly { readonly id: string; readonly name: string; readonly number: number; readonly activePercent: number }[];
  readonly onTake: (
    lines: readonly StartLine[],
    phases: readonly StartPhase[],
    found: readonly FoundMaterial[],
    store: MaterialStore,
    batch: string | null,
  ) => void;
}

/** Three ways to begin: from the aim, from a recipe, from an earlier formula. */
export function Start(props: StartProps) {
  const store = useStore();
  return (
    <section className={classes.start} aria-label="Ways to begin">
      <FromAim {...props} store={store} />
      <FromRecipe {...props} store={store} />
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
    onTake(startLines(startingFormula, idOf), startPhases(startingFormula), found, store, null);
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

/** The recipe is read again once the typing has paused this long, ms. */
const PAUSE = 400;
/** More than is read is not sent: the server says that it is too long. */
const MOST_SENT = 20_001;

function FromRecipe({ onTake, store }: StartProps & { readonly store: MaterialStore | null }) {
  const fetcher = useFetcher<{ readonly understood: UnderstoodRecipe } | FormAnswer<unknown>>();
  const [text, setText] = useState("");
  useEffect(() => {
    if (text.trim() === "") return undefined;
    const timer = setTimeout(() => void fetcher.submit({ text: text.slice(0, MOST_SENT) }, { method: "post", action: "/recipe" }), PAUSE);
    return () => clearTimeout(timer);
    // The fetcher stays the same one.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [text]);
  const understood =
    text.trim() === "" ? null : fetcher.data !== undefined && "understood" in fetcher.data ? fetcher.data.understood : null;
  const take = () => {
    if (store === null || understood === null) return;
    const used = new Set(understood.lines.map(({ materialId }) => materialId));
    const letters = [...new Set(understood.lines.map(({ phase }) => phase))].sort();
    const titles = new Map(understood.phases.map(({ id, title }) => [id, title]));
    onTake(
      understood.lines.map(({ phase, materialId, percent, takesTheRest, assayPercent }) => ({
        ...{ phase, materialId, percent, takesTheRest },
        assay: assayPercent === null ? "" : percentText(assayPercent),
      })),
      letters.map((letter) => ({ letter, title: (titles.get(letter) ?? "").slice(0, 40), temperature: "" })),
      store.all.filter(({ id }) => used.has(id)),
      store,
      understood.batchGrams === null ? null : writtenShort(understood.batchGrams, 2),
    );
  };
  return (
    <div>
      <h2>Begin from a recipe</h2>
      <p>Paste it as it is: percent, grams, spoons or drops. Edit it here until every line is read.</p>
      <Textarea
        classNames={{ input: classes.recipe }}
        rows={7}
        spellCheck={false}
        value={text}
        placeholder={"85 g mild wash base\n2 tsp glycerin\n20 drops juniper oil\nwater to 100"}
        aria-label="Recipe as it is written"
        onChange={(event) => setText(event.currentTarget.value)}
      />
      {fetcher.data !== undefined && "sentence" in fetcher.data && <FormError>{fetcher.data.sentence}</FormError>}
      {understood !== null && (
        <div aria-live="polite">
          <DataTable className={classes.lines}>
            <tbody>
              {understood.rows
                .filter(({ kind }) => kind === "ingredient")
                .map((row) => (
                  <tr key={row.row} data-problem={row.problem !== null || undefined}>
                    <th scope="row">
                      {row.name ?? row.typed}
                      {row.sureness === "guess" && <small> a guess</small>}
                      {row.problem !== null && <small> {row.problem}</small>}
                    </th>
                    <td>
                      {row.takesTheRest ? <em>q.s.</em> : row.percent === null ? "" : written(row.percent, 2)}
                      {row.isEstimate && <small> estimate</small>}
                      {row.isAsked && <small>to be typed</small>}
                    </td>
                  </tr>
                ))}
            </tbody>
          </DataTable>
          {understood.openPercent > 0.005 && <p>{writtenPercent(understood.openPercent)} % is still open.</p>}
          <UnstyledButton type="button" className={classes.take} disabled={store === null || understood.lines.length === 0} onClick={take}>
            Read it into the sheet
          </UnstyledButton>
        </div>
      )}
    </div>
  );
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
