import { Button, TextInput, UnstyledButton } from "@mantine/core";
import { useState } from "react";
import { Form, useNavigation } from "react-router";
import { problemAt, type FormAnswer } from "../frame/formAnswer";
import { cellPath, type RowColumn, type TypedRow } from "./rows";
import classes from "./Settings.module.css";
import { DataTable } from "../components/DataTable";

interface RowsFormProps {
  readonly intent: "scales" | "containers";
  readonly columns: readonly RowColumn[];
  readonly rows: readonly TypedRow[];
  readonly answered: FormAnswer<unknown> | null;
  /** Of the empty row at the end. */
  readonly blankId: string;
  /** One of them, as "scale". */
  readonly what: string;
  readonly save: string;
}

/** Things one owns, a row each; an emptied row is deleted, the last one is for a new thing. */
export function RowsForm({ intent, columns, rows: stored, answered, blankId, what, save }: RowsFormProps) {
  const isBusy = useNavigation().state !== "idle";
  const [added, setAdded] = useState<readonly string[]>([]);
  const rows = [...stored, ...[blankId, ...added].map((id): TypedRow => ({ id, cells: {} }))];
  return (
    <Form method="post" action="/settings">
      <p className={classes.hint}>Empty a row to delete that {what}.</p>
      <DataTable className={classes.table}>
        <thead>
          <tr>
            {columns.map(({ field, head }) => (
              <th scope="col" key={field}>
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ id, cells }, row) => (
            <tr key={id}>
              {columns.map(({ field, label, isNumber }) => (
                <td key={field}>
                  <TextInput
                    name={cellPath(id, field)}
                    defaultValue={cells[field] ?? ""}
                    inputMode={isNumber ? "decimal" : "text"}
                    autoComplete="off"
                    aria-label={`${label}, ${what} ${row + 1}`}
                    error={problemAt(answered, cellPath(id, field))}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </DataTable>
      <div className={classes.doors}>
        <Button type="submit" name="intent" value={intent} h={36} variant="outline" loading={isBusy}>
          {save}
        </Button>
        <UnstyledButton type="button" className={classes.more} onClick={() => setAdded([...added, crypto.randomUUID()])}>
          One more row
        </UnstyledButton>
      </div>
    </Form>
  );
}
