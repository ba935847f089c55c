import { UnstyledButton } from "@mantine/core";
import { written } from "@tensidrum/core/quantities";
import { thicknessWord } from "@tensidrum/core/rheology";
import { Form } from "react-router";
import classes from "./SaltSamples.module.css";
import type { OpenSaltSamples } from "./saltSamples.server";
import { DataTable } from "../../components/DataTable";

/** Every jar of a base, each with a way to pour it away. */
export function SampleList({ saltSamples, isBusy }: { readonly saltSamples: OpenSaltSamples["saltSamples"]; readonly isBusy: boolean }) {
  return (
    <DataTable isRuled>
      <caption className="only-for-readers">Every sample of this base</caption>
      <thead>
        <tr>
          <th scope="col">whole salt, %</th>
          <th scope="col">thickness</th>
          <th scope="col">measured</th>
          <th scope="col">
            <span className="only-for-readers">delete</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {saltSamples.map(({ id, saltPercent, viscosity, unit, said }) => (
          <tr key={id}>
            <th scope="row">{written(saltPercent, 2)}</th>
            <td>
              {written(viscosity, 2)} {unit}
              {unit === "Pa·s" && `, ${thicknessWord(viscosity)}`}
            </td>
            <td>{said}</td>
            <td>
              <Form method="post">
                <input type="hidden" name="id" value={id} />
                <UnstyledButton
                  type="submit"
                  name="intent"
                  value="remove"
                  disabled={isBusy}
                  className={classes.pour}
                  aria-label={`Delete the sample with ${written(saltPercent, 2)} % salt`}
                >
                  delete
                </UnstyledButton>
              </Form>
            </td>
          </tr>
        ))}
      </tbody>
    </DataTable>
  );
}
