import { Button, Checkbox, NativeSelect, Textarea, UnstyledButton } from "@mantine/core";
import { Form, Link, useNavigation } from "react-router";
import { FileDrop } from "../../components/FileDrop";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { shelfStations } from "../shelfStation";
import { ProgressBar } from "../../frame/progress/ProgressBar";
import { useJob } from "../../frame/progress/useJob";
import { StationNav } from "../../frame/stationNav/StationNav";
import { lotColumns, materialColumns } from "./columns";
import type { ListPreview } from "./importList.server";
import classes from "./ImportPage.module.css";
import type { FormAnswer } from "../../frame/formAnswer";
import { FormError } from "../../components/FormError";
import { whatListHolds } from "./whatListHolds";
import { DataTable } from "../../components/DataTable";

interface ImportPageProps {
  readonly preview: ListPreview | null;
  /** With what was pasted, so that nothing is lost. */
  readonly answered: FormAnswer<{ readonly text: string }> | null;
}

/** A list of lots or materials from a file or pasted: its columns are matched, each row is shown before anything is stored. */
export function ImportPage({ preview, answered }: ImportPageProps) {
  const isBusy = useNavigation().state !== "idle";
  return (
    <Frame head={<PageHeader>Import a list</PageHeader>} line={<StationNav stations={shelfStations("back to it")} />}>
      <title>Import a list, Tensidrum</title>
      <FormError>{answered?.sentence}</FormError>
      {preview === null ? (
        <Form method="post" encType="multipart/form-data" className={classes.ask}>
          <p>
            A table of lots or of materials with a row of heads, commas, semicolons or tabs between; or a file of the format
            tensidrum-materials/1. Nothing is stored before you have seen each row.
          </p>
          <p>
            As examples, yours: <a href="/shelf/lots.csv">the lots</a>, <a href="/shelf/materials.csv">your own materials</a>,{" "}
            <a href="/shelf/materials.json">both as one file</a>.
          </p>
          <FileDrop label="A file" name="file" accept=".csv,.txt,.tsv,.json,text/csv,application/json" holds={whatListHolds} />
          <Textarea
            label="or its rows"
            name="text"
            rows={9}
            spellCheck={false}
            defaultValue={answered?.typed.text ?? ""}
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

const kindWords = { lots: "lots", materials: "materials" } as const;

/** Fields more than this stand folded. */
const MOST_ASKED = 12;

function Columns({ preview, isBusy }: { readonly preview: ListPreview; readonly isBusy: boolean }) {
  const { kind, heads, columns } = preview;
  const all = kind === "lots" ? lotColumns : materialColumns;
  const asked = all.filter(({ field }, at) => at < MOST_ASKED || columns[field] !== undefined);
  const others = all.filter((column) => !asked.includes(column));
  const choice = ({ field, name }: (typeof all)[number]) => (
    <label key={field}>
      {name}
      <NativeSelect name={`columns.${field}`} defaultValue={columns[field] ?? ""}>
        <option value="">no column</option>
        {heads.map((head, at) => (
          <option key={at} value={at}>
            {head === "" ? `column ${at + 1}` : head}
          </option>
        ))}
      </NativeSelect>
    </label>
  );
  return (
    <fieldset className={classes.columns}>
      <legend>Which column is what</legend>
      <input type="hidden" name="wasKind" value={kind} />
      <NativeSelect label="it is a list of" name="kind" defaultValue={kind}>
        {Object.entries(kindWords).map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </NativeSelect>
      {asked.map(choice)}
      {others.length > 0 && (
        <details className={classes.others}>
          <summary>{others.length} more facts a column could hold</summary>
          <div>{others.map(choice)}</div>
        </details>
      )}
      <UnstyledButton type="submit" name="intent" value="columns" disabled={isBusy} className={classes.again}>
        Read it again so
      </UnstyledButton>
    </fieldset>
  );
}

function Preview({ preview, isBusy }: { readonly preview: ListPreview; readonly isBusy: boolean }) {
  const { kind, columns, rows, shownHeads, rowCount, goodCount, goodBelow } = preview;
  const job = useJob();
  return (
    <Form method="post" encType="multipart/form-data" className={classes.preview} key={`${kind} ${JSON.stringify(columns)}`}>
      <Textarea name="text" hidden readOnly value={preview.text} aria-label="The list" />
      <input type="hidden" name="job" value={job} />
      {kind === "file" ? <input type="hidden" name="kind" value="file" /> : <Columns preview={preview} isBusy={isBusy} />}
      <p className={classes.counts}>
        {goodCount.toLocaleString("en-GB")} of {rowCount === 1 ? "1 row" : `${rowCount.toLocaleString("en-GB")} rows`} can be brought in.
      </p>
      <DataTable className={classes.rows}>
        <thead>
          <tr>
            <th scope="col">take</th>
            <th scope="col">row</th>
            {shownHeads.map((head) => (
              <th scope="col" key={head}>
                {head}
              </th>
            ))}
            <th scope="col">what is wrong</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ row, shown, guess, problems }) => (
            <tr key={row} data-problem={problems.length > 0 || undefined}>
              <td>
                <Checkbox
                  name="row"
                  value={row}
                  defaultChecked={problems.length === 0}
                  disabled={problems.length > 0}
                  aria-label={`Take row ${row + 1}`}
                />
              </td>
              <td>{row + 1}</td>
              {shown.map((cell, at) => (
                <td key={at}>
                  {cell}
                  {at === 0 && guess !== null && <small> {guess}</small>}
                </td>
              ))}
              <td className={classes.wrong}>{problems.join(" ")}</td>
            </tr>
          ))}
        </tbody>
      </DataTable>
      {goodBelow > 0 && (
        <label className={classes.counts}>
          <Checkbox name="below" defaultChecked /> and the {goodBelow.toLocaleString("en-GB")} good rows further down
        </label>
      )}
      <p className={classes.doors}>
        <Button type="submit" name="intent" value="import" h={40} loading={isBusy} disabled={goodCount === 0}>
          {kind === "materials" ? "Put the ticked rows into the library" : "Put the ticked rows on the shelf"}
        </Button>
        <Link to="/shelf/import">Begin again</Link>
        <Link to="/shelf">Leave it, import nothing</Link>
        {isBusy && job !== "" && <ProgressBar job={job} label="Import" first="reading the rows" />}
      </p>
    </Form>
  );
}
