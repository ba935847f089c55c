import type { ReactNode } from "react";
import step from "../Step.module.css";
import { DataTable } from "../../../components/DataTable";

interface RowsTableProps {
  readonly caption: string;
  readonly heads: readonly string[];
  /** Rows of the body, the newest first. */
  readonly children: ReactNode;
}

/** What was read, and what went in before it. */
export function RowsTable({ caption, heads, children }: RowsTableProps) {
  return (
    <DataTable className={step.list}>
      <caption className="only-for-readers">{caption}</caption>
      <thead>
        <tr>
          {heads.map((head) => (
            <th key={head} scope="col">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>{children}</tbody>
    </DataTable>
  );
}
