import type { ThicknessTuning } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import { thicknessWord } from "@tensidrum/core/rheology";
import { ClockTime } from "../ClockTime";
import { RowsTable } from "./RowsTable";

/** Every reading of the thickness with the salt that went in before it, the newest first. */
export function ThicknessRows({ tuning, unit }: { readonly tuning: ThicknessTuning; readonly unit: string }) {
  return (
    <RowsTable
      caption="Readings and additions, the newest first"
      heads={["time", "added before it, g", "total, g", "salt, %", `thickness, ${unit}`]}
    >
      {tuning.rows.toReversed().map(({ id, at, addedGrams, totalGrams, saltPercent, viscosity, said }) => (
        <tr key={id}>
          <td>
            <ClockTime at={at} />
          </td>
          <td>{addedGrams === 0 ? "none" : written(addedGrams, 2)}</td>
          <td>{written(totalGrams, 2)}</td>
          <td>{written(saltPercent, 2)}</td>
          <td>
            <strong>{written(viscosity, 2)}</strong> {unit === "Pa·s" && thicknessWord(viscosity)}
            {said !== "" && <small> {said}</small>}
          </td>
        </tr>
      ))}
    </RowsTable>
  );
}
