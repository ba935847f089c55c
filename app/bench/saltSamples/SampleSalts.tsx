import { TextInput } from "@mantine/core";
import { readNumber, written } from "@tensidrum/core/quantities";
import { useState } from "react";
import { saltSamplePlan, USUAL_JAR_GRAMS } from "./samplePlan";
import classes from "./SaltSamples.module.css";
import { DataTable } from "../../components/DataTable";

/** How much salt goes into which jar. */
export function SampleSalts({ hiddenSaltPercent }: { readonly hiddenSaltPercent: number }) {
  const [typed, setTyped] = useState(String(USUAL_JAR_GRAMS));
  const grams = readNumber(typed);
  const planned = grams.ok && grams.value > 0 ? saltSamplePlan(grams.value, hiddenSaltPercent) : [];
  return (
    <details className={classes.plan}>
      <summary>What to weigh for seven samples</summary>
      <TextInput label="base in each, g" value={typed} inputMode="decimal" onChange={(event) => setTyped(event.currentTarget.value)} />
      <DataTable isRuled>
        <thead>
          <tr>
            <th scope="col">sample</th>
            <th scope="col">dry salt, g</th>
            <th scope="col">whole salt, %</th>
          </tr>
        </thead>
        <tbody>
          {planned.map(({ saltPercent, saltGrams }, at) => (
            <tr key={at}>
              <th scope="row">{at + 1}</th>
              <td>{written(saltGrams, 2)}</td>
              <td>{written(saltPercent, 2)}</td>
            </tr>
          ))}
        </tbody>
      </DataTable>
      <p>Stir, let each rest ten minutes, and measure all of them at one temperature.</p>
    </details>
  );
}
