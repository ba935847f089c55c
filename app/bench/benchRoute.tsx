import { Table } from "@mantine/core";
import { Link } from "react-router";
import { answer } from "../frame/answer.server";
import { Frame } from "../frame/Frame";
import { StationNav } from "../frame/stationNav/StationNav";
import type { Route } from "./+types/benchRoute";
import { openBench } from "./bench.server";
import { benchStations } from "./benchStation";
import classes from "./Bench.module.css";

export const loader = answer(async (_: Route.LoaderArgs) => openBench());

export default function BenchRoute({ loaderData: batches }: Route.ComponentProps) {
  const open = batches.filter(({ finished }) => finished === null).length;
  const state = open === 0 ? "nothing being made" : `${open} being made`;
  return (
    <Frame head={<h1 className={classes.head}>The bench</h1>} line={<StationNav stations={benchStations(state)} />}>
      <title>The bench, Tensidrum</title>
      {batches.length === 0 ? (
        <p className={classes.empty}>
          Nothing is being made. Open a formula from <Link to="/">Today</Link>, finalise the version you want to make, and begin a batch
          there.
        </p>
      ) : (
        <Table className={classes.list}>
          <thead>
            <tr>
              <th scope="col">batch</th>
              <th scope="col">of</th>
              <th scope="col">size</th>
              <th scope="col">begun</th>
              <th scope="col">finished</th>
            </tr>
          </thead>
          <tbody>
            {batches.map(({ id, code, name, batch, started, finished, rests }) => (
              <tr key={id}>
                <th scope="row">
                  <Link to={finished === null ? `/bench/${id}` : `/bench/${id}/record`}>{code}</Link>
                </th>
                <td>{name}</td>
                <td>{batch}</td>
                <td>{started}</td>
                <td>
                  {finished ?? <strong>being made</strong>}
                  {rests.map(({ id: rest, text, until }) => (
                    <span key={rest}>
                      , {text.charAt(0).toLowerCase() + text.slice(1)} until {until}
                    </span>
                  ))}
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
    </Frame>
  );
}
