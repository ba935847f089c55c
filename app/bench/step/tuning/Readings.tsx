import type { PhTuning } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import { ClockTime } from "../ClockTime";
import { RowsTable } from "./RowsTable";

/** Every reading with what went in before it, the newest first. */
export function Readings({ tuning }: { readonly tuning: Pick<PhTuning, "rows"> }) {
  return (
    <RowsTable caption="Readings and doses, the newest first" heads={["time", "dose before it", "total, g", "pH", "left, g"]}>
      {tuning.rows.toReversed().map(({ id, at, doses, totalGrams, ph, way, leftGrams, isSimulated }) => (
        <tr key={id}>
          <td>
            <ClockTime at={at} />
          </td>
          <td>{doses.length === 0 ? "none" : doses.map(({ grams, name }) => `${written(grams, 2)} g ${name}`).join(", ")}</td>
          <td>{written(totalGrams, 2)}</td>
          <td>
            <strong>{written(ph, 2)}</strong>
            {way === "strip" && " strip"}
            {isSimulated && " simulated"}
          </td>
          <td>{written(leftGrams, 1)}</td>
        </tr>
      ))}
    </RowsTable>
  );
}
