import { NativeSelect, Textarea, UnstyledButton } from "@mantine/core";
import { writtenPercent, writtenShort } from "@tensidrum/core/quantities";
import { useEffect, useState } from "react";
import { Link, useFetcher } from "react-router";
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
const TITLE_LENGTH = 40;
const AS_WRITTEN_LENGTH = 300;

/** So much of a printed list goes along in an address; longer ones are rare. */
const MOST_IN_ADDRESS = 4_000;

interface FromRecipeProps {
  readonly onTake: TakeStart;
  /** The library; null while it is fetched. */
  readonly store: MaterialStore | null;
}

type UnderstoodLine = UnderstoodRecipe["lines"][number];

/** What the maker chose for lines that could be several things, by the line's own words. */
type Choices = ReadonlyMap<string, string>;

/** A recipe as it is written, with what was understood of it line by line. Lines that wait for a material go along open. */
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
  const [choices, setChoices] = useState<Choices>(new Map());
  const materialOf = ({ chosen, offers, typed }: UnderstoodLine): string | null =>
    chosen?.materialId ?? offers.find(({ materialId }) => materialId === choices.get(typed))?.materialId ?? null;
  const open = understood?.lines.filter((line) => materialOf(line) === null).length ?? 0;
  const take = () => {
    if (store === null || understood === null) return;
    const lines = understood.lines.map((line) => ({
      phase: line.phase,
      materialId: materialOf(line) ?? understood.openMaterialId,
      percent: line.takesTheRest ? "" : line.percent,
      takesTheRest: line.takesTheRest,
      assay: line.assay,
      asWritten: line.typed.slice(0, AS_WRITTEN_LENGTH),
    }));
    const used = new Set(lines.map(({ materialId }) => materialId));
    const letters = [...new Set(lines.map(({ phase }) => phase))].sort();
    const known = new Map(understood.phases.map((phase) => [phase.id, phase]));
    onTake(
      lines,
      letters.map((letter) => ({
        letter,
        title: (known.get(letter)?.title ?? "").slice(0, TITLE_LENGTH),
        temperature: known.get(letter)?.temperature ?? "",
      })),
      store.all.filter(({ id }) => used.has(id)),
      store,
      {
        batch: understood.batchGrams === null ? null : writtenShort(understood.batchGrams, 2),
        name: understood.title,
        method: understood.notes.join("\n"),
      },
    );
  };
  return (
    <div>
      <h2>Begin from a recipe</h2>
      <p>Paste it as it is: percent, grams, spoons or drops. What is not understood comes along as an open line.</p>
      <Textarea
        classNames={{ input: classes.recipe }}
        w="100%"
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
          {understood.isIngredientList && (
            <p>
              This is a printed ingredient list. Its order tells the shares: an estimate.{" "}
              <Link to={`/compare/products/new?${new URLSearchParams({ printed: text.slice(0, MOST_IN_ADDRESS) }).toString()}`}>
                Keep it as a product, with its ranges
              </Link>
            </p>
          )}
          <UnderstoodLines
            lines={understood.lines}
            choices={choices}
            onChoose={(typed, materialId) => setChoices(new Map([...choices, [typed, materialId]]))}
          />
          {understood.openPercent > 0.005 && <p>{writtenPercent(understood.openPercent)} % is not distributed.</p>}
          {understood.notes.length > 0 && (
            <details className={classes.notes}>
              <summary>
                {understood.notes.length === 1 ? "1 line" : `${understood.notes.length} lines`} read as text: kept as the method
              </summary>
              {understood.notes.map((note, at) => (
                <p key={at}>{note}</p>
              ))}
            </details>
          )}
          <UnstyledButton type="button" className={classes.take} disabled={store === null || understood.lines.length === 0} onClick={take}>
            Read it into the sheet
            {open > 0 && `, ${open} ${open === 1 ? "line" : "lines"} open`}
          </UnstyledButton>
        </div>
      )}
    </div>
  );
}

interface UnderstoodLinesProps {
  readonly lines: readonly UnderstoodLine[];
  readonly choices: Choices;
  readonly onChoose: (typed: string, materialId: string) => void;
}

/** What each line was taken for. A word that means several things, and a guess, are offered, never taken by themselves. */
function UnderstoodLines({ lines, choices, onChoose }: UnderstoodLinesProps) {
  return (
    <DataTable className={classes.lines}>
      <tbody>
        {lines.map((line, at) => (
          <tr key={`${line.typed} ${at}`} data-problem={(line.chosen === null && !choices.get(line.typed)) || undefined}>
            <th scope="row">
              {line.chosen?.name ?? line.typed}
              {line.chosen === null && line.offers.length > 0 && (
                <NativeSelect
                  size="xs"
                  w="100%"
                  aria-label={`What is meant by ${line.typed}`}
                  value={choices.get(line.typed) ?? ""}
                  onChange={(event) => onChoose(line.typed, event.currentTarget.value)}
                >
                  <option value="">left open: which is it?</option>
                  {line.offers.map(({ materialId, name }) => (
                    <option key={materialId} value={materialId}>
                      {name}
                    </option>
                  ))}
                </NativeSelect>
              )}
              {line.chosen === null && line.offers.length === 0 && <small> open: nothing in the library is called so</small>}
            </th>
            <td>
              {line.takesTheRest ? <em>q.s.</em> : line.percent === "" ? <small>to be typed</small> : writtenPercent(Number(line.percent))}
              {line.isEstimate && !line.takesTheRest && line.percent !== "" && <small> estimate</small>}
            </td>
          </tr>
        ))}
      </tbody>
    </DataTable>
  );
}
