import { Link } from "react-router";
import { answer } from "../../frame/answer.server";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { StationNav } from "../../frame/stationNav/StationNav";
import material from "../MaterialPage.module.css";
import shelf from "../Shelf.module.css";
import { shelfStations } from "../shelfStation";
import type { Route } from "./+types/libraryChangesRoute";
import classes from "./LibraryChanges.module.css";
import { openLibraryChanges } from "./libraryChanges.server";
import { DataTable } from "../../components/DataTable";

export const loader = answer(async (_: Route.LoaderArgs) => openLibraryChanges());

export default function LibraryChangesRoute({ loaderData: { version, updates } }: Route.ComponentProps) {
  return (
    <Frame head={<PageHeader>What changed in the library</PageHeader>} line={<StationNav stations={shelfStations("back to it")} />}>
      <title>What changed in the library, Tensidrum</title>
      <p className={classes.lead}>
        The library is at {version}. Final versions keep the facts they were made final with. Drafts count with the new ones, and your own
        values stand above both.
      </p>
      {updates.length === 0 && <p className={shelf.empty}>Nothing has changed since it was laid in here.</p>}
      {updates.map((update) => (
        <section key={update.version} className={classes.update} aria-label={`Update of ${update.day}`}>
          <h2>{update.day}</h2>
          <DataTable>
            <thead>
              <tr>
                <th scope="col">material</th>
                <th scope="col">fact</th>
                <th scope="col">was</th>
                <th scope="col">is now</th>
              </tr>
            </thead>
            <tbody>
              {update.materials.flatMap(({ slug, name, isNew, differences }) =>
                (isNew ? [{ name: "new in the library", before: "", after: "" }] : differences).map((difference, at) => (
                  <tr key={`${slug} ${difference.name}`}>
                    <th scope="row">{at === 0 && <Link to={`/shelf/${slug}`}>{name}</Link>}</th>
                    <td>{difference.name}</td>
                    <td className={material.was}>{difference.before}</td>
                    <td className={material.now}>{difference.after}</td>
                  </tr>
                )),
              )}
            </tbody>
          </DataTable>
        </section>
      ))}
    </Frame>
  );
}
