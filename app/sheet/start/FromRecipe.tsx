import { Checkbox, Textarea, UnstyledButton } from "@mantine/core";
import { percentText, written, writtenPercent, writtenShort } from "@tensidrum/core/quantities";
import { useEffect, useState } from "react";
import { useFetcher } from "react-router";
import { DataTable } from "../../components/DataTable";
import { FormError } from "../../components/FormError";
import type { FormAnswer } from "../../frame/formAnswer";
import type { MaterialStore } from "../../frame/materialStore";
import type { UnderstoodRecipe } from "./readRecipe.server";
import classes from "./Start.module.css";
import type { TakeStart } from "./startLines";

/** The recipe is read again once the typing has paused this long, ms. */
const PAUSE = 400;
/** More than is read is not sent: the server says that it is too long. */
const MOST_SENT = 20_001;

interface FromRecipeProps {
  readonly onTake: TakeStart;
  /** The library; null while it is fetched. */
  readonly store: MaterialStore | null;
}

/** A recipe as it is written, with what was understood of it line by line. */
export function FromRecipe({ onTake, store }: FromRecipeProps) {
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
  const [accepted, setAccepted] = useState<ReadonlySet<string>>(new Set());
  const taken = understood?.lines.filter(({ key, isGuess }) => !isGuess || accepted.has(key)) ?? [];
  const leftOut = (understood?.rows.filter(({ kind }) => kind === "ingredient").length ?? 0) - taken.length;
  const accept = (key: string, isAccepted: boolean) => {
    const others = [...accepted].filter((each) => each !== key);
    setAccepted(new Set(isAccepted ? [...others, key] : others));
  };
  const take = () => {
    if (store === null || understood === null) return;
    const used = new Set(taken.map(({ materialId }) => materialId));
    const letters = [...new Set(taken.map(({ phase }) => phase))].sort();
    const titles = new Map(understood.phases.map(({ id, title }) => [id, title]));
    onTake(
      taken.map(({ phase, materialId, percent, takesTheRest, assayPercent }) => ({
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
          <UnderstoodLines rows={understood.rows} accepted={accepted} onAccept={accept} />
          {understood.openPercent > 0.005 && <p>{writtenPercent(understood.openPercent)} % is still open.</p>}
          <UnstyledButton type="button" className={classes.take} disabled={store === null || taken.length === 0} onClick={take}>
            Read it into the sheet
            {leftOut > 0 && `, ${leftOut} ${leftOut === 1 ? "line" : "lines"} left out`}
          </UnstyledButton>
        </div>
      )}
    </div>
  );
}

interface UnderstoodLinesProps {
  readonly rows: UnderstoodRecipe["rows"];
  /** Guesses that are taken all the same. */
  readonly accepted: ReadonlySet<string>;
  readonly onAccept: (key: string, isAccepted: boolean) => void;
}

/** What each line was taken for; a guess is offered, never taken by itself. */
function UnderstoodLines({ rows, accepted, onAccept }: UnderstoodLinesProps) {
  return (
    <DataTable className={classes.lines}>
      <tbody>
        {rows
          .filter(({ kind }) => kind === "ingredient")
          .map((row, at) => (
            <tr key={`${row.key} ${at}`} data-problem={row.problem !== null || undefined}>
              <th scope="row">
                {row.sureness === "guess" ? row.typed : (row.name ?? row.typed)}
                {row.sureness === "guess" && row.problem === null && (
                  <Checkbox
                    size="xs"
                    label={`a guess: take it as ${row.name}`}
                    checked={accepted.has(row.key)}
                    onChange={(event) => onAccept(row.key, event.currentTarget.checked)}
                  />
                )}
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
  );
}
