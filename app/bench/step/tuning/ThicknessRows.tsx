import type { ThicknessTuning } from "@tensidrum/core/making";
import { written } from "@tensidrum/core/quantities";
import { thicknessWord } from "@tensidrum/core/thickness";
import { ClockTime } from "../ClockTime";
import step from "../Step.module.css";

/** Every reading of the thickness with the salt that went in before it, the newest first. */
export function ThicknessRows({ tuning, unit }: { readonly tuning: ThicknessTuning; readonly unit: string }) {
  return (
    <table className={step.list}>
      <caption className="only-for-readers">Readings and additions, the newest first</caption>
      <thead>
        <tr>
          <th scope="col">time</th>
          <th scope="col">added before it, g</th>
          <th scope="col">total, g</th>
          <th scope="col">salt, %</th>
          <th scope="col">thickness, {unit}</th>
        </tr>
      </thead>
      <tbody>
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
      </tbody>
    </table>
  );
}
