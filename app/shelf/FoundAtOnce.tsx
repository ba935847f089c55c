import { roleOf, shownInci, shownMaterial } from "@tensidrum/core/library";
import type { FoundMaterial } from "@tensidrum/core/search";
import { Link } from "react-router";
import { ChargeTag } from "../components/ChargeSign";
import classes from "./LibraryTable.module.css";
import { DataTable } from "../components/DataTable";

interface FoundAtOnceProps {
  readonly found: readonly FoundMaterial[];
  /** Slugs of what stands on the shelf. */
  readonly standing: ReadonlySet<string>;
}

/** The nearest of the whole library while a name is being typed. */
export function FoundAtOnce({ found, standing }: FoundAtOnceProps) {
  return (
    <section aria-label="Found while typing">
      <DataTable className={classes.table}>
        <caption>
          {found.length === 0 ? "Nothing like that is in the library." : "The nearest in the library. Show uses the whole sentence."}
        </caption>
        <tbody>
          {found.map(({ id, facts }) => (
            <tr key={id}>
              <th scope="row">
                {facts.charge !== null && <ChargeTag charge={facts.charge} />}{" "}
                <Link to={`/shelf/${facts.slug}`}>{shownMaterial(facts).name}</Link>
              </th>
              <td className={classes.inci}>{shownInci(facts)}</td>
              <td>{roleOf(facts)}</td>
              <td>{standing.has(facts.slug) && "stands on the shelf"}</td>
            </tr>
          ))}
        </tbody>
      </DataTable>
    </section>
  );
}
