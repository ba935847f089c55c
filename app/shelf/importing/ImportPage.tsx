import { Button } from "@mantine/core";
import { writtenMass } from "@tensidrum/core/quantities";
import { Form, Link, useNavigation } from "react-router";
import { Frame } from "../../frame/Frame";
import { shelfPegs } from "../shelfPegs";
import { WashLine } from "../../frame/washLine/WashLine";
import shelf from "../Shelf.module.css";
import { lotColumns } from "./columns";
import type { LotsPreview } from "./importLots.server";
import classes from "./ImportPage.module.css";

interface ImportPageProps {
  readonly preview: LotsPreview | null;
  readonly problem: string | null;
  /** What was pasted, so that nothing is lost. */
  readonly text: string;
}

/** A list of lots from a file or pasted: its columns are matched, each row is shown before anything is stored. */
export function ImportPage({ preview, problem, text }: ImportPageProps) {
  const isBusy = useNavigation().state !== "idle";
  return (
    <Frame head={<h1 className={shelf.head}>Import a list of lots</h1>} line={<WashLine pegs={shelfPegs("back to it")} />}>
      <title>Import a list, Tensidrum</title>
      {problem !== null && (
        <p role="alert" className={classes.problem}>
          {problem}
        </p>
      )}
      {preview === null ? (
        <Form method="post" encType="multipart/form-data" className={classes.ask}>
          <p>
            A table with a row of heads: material, lot code, grams, and what else you know. Commas, semicolons or tabs between; nothing is
            stored before you have seen each row. <a href="/shelf/lots.csv">Your own lots as an example</a>.
          </p>
          <label>
            A CSV file <input type="file" name="file" accept=".csv,.txt,.tsv,text/csv" />
          </label>
          <label htmlFor="list-text">or its rows</label>
          <textarea
            id="list-text"
            name="text"
            rows={9}
            spellCheck={false}
            defaultValue={text}
            placeholder={"material;lot;grams;assay;price;expiry\nCocamidopropyl betaine;B-140;1000;30.1;7.60;2027-10-31"}
          />
          <Button type="submit" name="intent" value="read" h={40} loading={isBusy}>
            Read it
          </Button>
        </Form>
      ) : (
        <Preview preview={preview} isBusy={isBusy} />
      )}
    </Frame>
  );
}

function Preview({ preview, isBusy }: { readonly preview: LotsPreview; readonly isBusy: boolean }) {
  const { heads, columns, rows, rowCount, goodCount, goodBelow } = preview;
  return (
    <Form method="post" className={classes.preview} key={JSON.stringify(columns)}>
      <textarea name="text" hidden readOnly value={preview.text} aria-label="The list" />
      <fieldset className={classes.columns}>
        <legend>Which column holds what</legend>
        {lotColumns.map(({ field, name }) => (
          <label key={field}>
            {name}
            <select name={`column-${field}`} defaultValue={columns[field] ?? ""}>
              <option value="">no column</option>
              {heads.map((head, at) => (
                <option key={at} value={at}>
                  {head === "" ? `column ${at + 1}` : head}
                </option>
              ))}
            </select>
          </label>
        ))}
        <button type="submit" name="intent" value="columns" disabled={isBusy} className={classes.again}>
          Read it again so
        </button>
      </fieldset>
      <p className={classes.counts}>
        {goodCount} of {rowCount === 1 ? "1 row" : `${rowCount} rows`} can be brought in.
      </p>
      <table className={classes.rows}>
        <thead>
          <tr>
            <th scope="col">take</th>
            <th scope="col">row</th>
            <th scope="col">material</th>
            <th scope="col">lot</th>
            <th scope="col">pack</th>
            <th scope="col">assay, %</th>
            <th scope="col">price</th>
            <th scope="col">ends</th>
            <th scope="col">what is wrong</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ row, typed, material, problems, packGrams }) => (
            <tr key={row} data-problem={problems.length > 0 || undefined}>
              <td>
                <input
                  type="checkbox"
                  name="row"
                  value={row}
                  defaultChecked={problems.length === 0}
                  disabled={problems.length > 0}
                  aria-label={`Take row ${row + 1}`}
                />
              </td>
              <td>{row + 1}</td>
              <td>
                {material === null ? typed.material : material.name}
                {material?.isGuess === true && <small> a guess for “{typed.material}”</small>}
              </td>
              <td>{typed.code}</td>
              <td>{packGrams > 0 ? writtenMass(packGrams) : typed.grams}</td>
              <td>{typed.assay}</td>
              <td>{typed.price}</td>
              <td>{typed.endsOn}</td>
              <td className={classes.wrong}>{problems.join(" ")}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {goodBelow > 0 && (
        <label className={classes.counts}>
          <input type="checkbox" name="below" defaultChecked /> and the {goodBelow} good rows further down
        </label>
      )}
      <p className={classes.doors}>
        <Button type="submit" name="intent" value="import" h={40} loading={isBusy} disabled={goodCount === 0}>
          Put the ticked rows on the shelf
        </Button>
        <Link to="/shelf/import">Begin again</Link>
        <Link to="/shelf">Leave it, import nothing</Link>
      </p>
    </Form>
  );
}
