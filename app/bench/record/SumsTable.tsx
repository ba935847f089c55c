import type { SumAsMade } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import { DataTable } from "../../components/DataTable";

/** The sums of a batch as it was planned and as it was weighed; a dose that is left is said beside its sum. */
export function SumsTable({ sums }: { readonly sums: readonly SumAsMade[] }) {
  return (
    <DataTable isRuled>
      <thead>
        <tr>
          <th scope="col">sum</th>
          <th scope="col">as planned</th>
          <th scope="col">as weighed</th>
        </tr>
      </thead>
      <tbody>
        {sums.map(({ id, what, unit, planned, made, outside }) => (
          <tr key={id}>
            <th scope="row">{what}</th>
            <td>
              {written(planned, 2)} {unit}
            </td>
            <td>
              {written(made, 2)} {unit}
              {outside !== null && <strong>, its dose is {`${outside.low} to ${outside.high} %`}</strong>}
            </td>
          </tr>
        ))}
      </tbody>
    </DataTable>
  );
}
