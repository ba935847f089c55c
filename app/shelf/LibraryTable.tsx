import { Link } from "react-router";
import { ChargeTag } from "../components/ChargeSign";
import { useUnits } from "../frame/units";
import type { OpenShelf } from "./shelf.server";
import classes from "./LibraryTable.module.css";
import { DataTable } from "../components/DataTable";

/** The library as rows: what there is, and how much of it stands on the shelf. */
export function LibraryTable({ shelf }: { readonly shelf: OpenShelf }) {
  const { rows, found } = shelf;
  const { mass } = useUnits();
  if (rows.length === 0) return <p>Nothing like that is in the library. Try another spelling or the INCI name.</p>;
  return (
    <>
      <DataTable className={classes.table}>
        <caption>
          {found} of {shelf.libraryCount} materials
        </caption>
        <thead>
          <tr>
            <th scope="col">material</th>
            <th scope="col">INCI</th>
            <th scope="col">role</th>
            <th scope="col">on the shelf</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.slug}>
              <th scope="row">
                {row.charge !== null && <ChargeTag charge={row.charge} />} <Link to={`/shelf/${row.slug}`}>{row.name}</Link>
              </th>
              <td className={classes.inci}>{row.inci}</td>
              <td>{row.role}</td>
              <td className={classes.grams}>{row.leftGrams > 0 ? mass(row.leftGrams) : ""}</td>
            </tr>
          ))}
        </tbody>
      </DataTable>
      {found > rows.length && <p>{found - rows.length} more. Narrow the sentence above to see them.</p>}
    </>
  );
}
