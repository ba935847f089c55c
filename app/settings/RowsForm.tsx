import { Button, TextInput, UnstyledButton } from "@mantine/core";
import { useState } from "react";
import { Form, useNavigation } from "react-router";
import type { RowColumn, RowProblem, TypedRow } from "./rows";
import classes from "./Settings.module.css";
import { DataTable } from "../components/DataTable";

interface RowsFormProps {
  readonly intent: "scales" | "containers";
  readonly columns: readonly RowColumn[];
  readonly rows: readonly TypedRow[];
  readonly problems: readonly RowProblem[];
  /** Of the empty row at the end. */
  readonly blankId: string;
  /** One of them, as "scale". */
  readonly what: string;
  readonly save: string;
}

/** Things one owns, a row each; an emptied row is taken out, the last one is for a new thing. */
export function RowsForm({ intent, columns, rows: stored, problems, blankId, what, save }: RowsFormProps) {
  const isBusy = useNavigation().state !== "idle";
  const [added, setAdded] = useState<readonly string[]>([]);
  const rows = [...stored, ...[blankId, ...added].map((id): TypedRow => ({ id, cells: {} }))];
  const problemAt = (row: number, field: string) => problems.find((problem) => problem.row === row && problem.field === field)?.message;
  return (
    <Form method="post" action="/settings">
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
              {columns.map(({ field, label, isNumber }, at) => (
                <td key={field}>
                  {at === 0 && <input type="hidden" name="id" value={id} />}
                  <TextInput
                    name={field}
                    defaultValue={cells[field] ?? ""}
                    inputMode={isNumber ? "decimal" : "text"}
                    autoComplete="off"
                    aria-label={`${label}, ${what} ${row + 1}`}
                    aria-invalid={problemAt(row, field) !== undefined || undefined}
                  />
                  {problemAt(row, field) !== undefined && <span className={classes.problem}>{problemAt(row, field)}</span>}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </DataTable>
      <p className={classes.hint}>Empty a row to take that {what} out.</p>
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
