import { Button } from "@mantine/core";
import { Form, useNavigation } from "react-router";
import type { OpenDevices } from "./devices.server";
import classes from "./Settings.module.css";
import { DataTable } from "../components/DataTable";

/** Tablets and phones that were paired, with when each was used last, and the buttons that end their access. */
export function Devices({ devices }: { readonly devices: OpenDevices }) {
  const isBusy = useNavigation().state !== "idle";
  if (devices.length === 0) {
    return <p className={classes.why}>No device is paired. Today shows the address and the code to type on a tablet.</p>;
  }
  return (
    <Form method="post" action="/settings/devices">
      <DataTable className={classes.table}>
        <thead>
          <tr>
            <th scope="col">device</th>
            <th scope="col">paired</th>
            <th scope="col">last used</th>
            <th scope="col">access</th>
          </tr>
        </thead>
        <tbody>
          {devices.map(({ id, name, pairedAt, lastUsedAt }) => (
            <tr key={id}>
              <td>{name}</td>
              <td>{pairedAt}</td>
              <td>{lastUsedAt}</td>
              <td>
                <Button type="submit" name="device" value={id} h={36} variant="outline" loading={isBusy} aria-label={`Revoke ${name}`}>
                  Revoke
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </DataTable>
      <p className={classes.hint}>A device that is not used for 90 days must be paired again.</p>
      <Button type="submit" name="device" value="all" h={36} variant="outline" loading={isBusy}>
        Revoke all
      </Button>
    </Form>
  );
}
