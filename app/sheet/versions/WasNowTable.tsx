import type { ReactNode } from "react";
import classes from "./Difference.module.css";
import { DataTable } from "../../components/DataTable";

export interface WasNowRow {
  readonly key: string;
  readonly name: ReactNode;
  readonly was: string;
  readonly arrow: string;
  readonly now: string;
}

interface WasNowTableProps {
  readonly caption: string;
  /** Heads of the columns; a table whose caption says it all goes without. */
  readonly heads?: { readonly what: string; readonly was: string; readonly now: string };
  readonly rows: readonly WasNowRow[];
}

/** What something was in one version and is in the other. */
export function WasNowTable({ caption, heads, rows }: WasNowTableProps) {
  return (
    <DataTable className={classes.table}>
      <caption>{caption}</caption>
      {heads !== undefined && (
        <thead>
          <tr>
            <th scope="col">{heads.what}</th>
            <th scope="col">{heads.was}</th>
            <th scope="col" aria-label="change" />
            <th scope="col">{heads.now}</th>
          </tr>
        </thead>
      )}
      <tbody>
        {rows.map(({ key, name, was, arrow, now }) => (
          <tr key={key}>
            <th scope="row">{name}</th>
            <td>{was}</td>
            <td className={classes.arrow}>{arrow}</td>
            <td className={classes.now}>{now}</td>
          </tr>
        ))}
      </tbody>
    </DataTable>
  );
}
