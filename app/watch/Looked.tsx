import { Text } from "@mantine/core";
import { written } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import { DataTable } from "../components/DataTable";
import { colourChanges } from "@tensidrum/core/stability";
import classes from "./Looked.module.css";
import type { OpenWatch } from "./watch.server";

/** What was seen, the newest first. */
export function Looked({ looks, count, sample }: Pick<OpenWatch, "looks" | "count" | "sample">) {
  if (looks.length === 0) return <Text m={0}>Nothing was looked at yet.</Text>;
  return (
    <section aria-labelledby="looked-head">
      <h2 id="looked-head">What was seen</h2>
      <DataTable isRuled>
        <thead>
          <tr>
            <th scope="col">day</th>
            <th scope="col">sample</th>
            <th scope="col" data-number>
              pH
            </th>
            <th scope="col" data-number>
              Pa·s
            </th>
            <th scope="col">look, colour, smell</th>
          </tr>
        </thead>
        <tbody>
          {looks.map(
            ({
              id,
              batchId,
              day,
              at,
              storage,
              ph,
              viscosity,
              said,
              clarity,
              colour,
              smell,
              sedimentMm,
              hazePercent,
              roomC,
              hasPhoto,
              signs,
              note,
            }) => (
              <tr key={id}>
                <th scope="row">
                  {day}
                  <Text component="small" display="block">
                    {at}
                  </Text>
                </th>
                <td>{storage}</td>
                <td data-number>
                  {ph === null ? "" : written(ph, 2)}
                  {roomC !== null && (
                    <Text component="small" display="block">
                      room {written(roomC, 1)} °C
                    </Text>
                  )}
                </td>
                <td data-number>
                  {viscosity === null ? "" : written(viscosity, 2)}
                  {said !== "" && (
                    <Text component="small" display="block">
                      {said}
                    </Text>
                  )}
                </td>
                <td>
                  {changedWords({ clarity, colour, smell, sedimentMm, hazePercent })}
                  {signs.length > 0 && <strong> {signs.join(", ")}</strong>}
                  {hasPhoto && (
                    <a href={`/watch/${batchId}/photos/${id}`}>
                      <img
                        className={classes.photo}
                        src={`/watch/${batchId}/photos/${id}`}
                        alt={`${storage}, ${at}`}
                        loading="lazy"
                        decoding="async"
                      />
                    </a>
                  )}
                  {note !== "" && (
                    <Text component="small" display="block">
                      {note}
                    </Text>
                  )}
                </td>
              </tr>
            ),
          )}
        </tbody>
      </DataTable>
      {count > looks.length && (
        <Text m="6px 0 0">
          The newest {looks.length} of {count}.{" "}
          <Link to={`?sample=${sample}&looks=all`} preventScrollReset>
            Show all
          </Link>
        </Text>
      )}
    </section>
  );
}

/** What was seen; what is as at the start is not said again. */
function changedWords({
  clarity,
  colour,
  smell,
  sedimentMm,
  hazePercent,
}: Pick<OpenWatch["looks"][number], "clarity" | "colour" | "smell" | "sedimentMm" | "hazePercent">): string {
  const changed = (what: string, word: string): string => (word === "" || word === colourChanges[0] ? "" : `${what} ${word}`);
  const settled = sedimentMm === null ? "" : `${written(sedimentMm, 1)} mm settled`;
  const haze = hazePercent === null ? "" : `haze ${written(hazePercent, 0)} %`;
  return [clarity, changed("colour", colour), changed("smell", smell), settled, haze].filter((one) => one !== "").join(", ");
}
