import { Box, Text } from "@mantine/core";
import { Form } from "react-router";
import { ConfirmButton } from "../../components/ConfirmButton";
import { DataTable } from "../../components/DataTable";
import type { ComparedBackup } from "./backups.server";
import type { ChangedGroup } from "./changedKinds";
import classes from "./Backups.module.css";

interface ComparedProps {
  readonly compared: ComparedBackup;
  readonly job: string;
  readonly isBusy: boolean;
}

const many = (count: number): string => (count === 0 ? "–" : count.toLocaleString("en-GB"));

/** What restoring a backup would change here, and the button that does it. */
export function Compared({ compared: { name, made, fingerprint, groups, isEmptyHere, isSame }, job, isBusy }: ComparedProps) {
  const different = groups.filter(({ added, changed, removed }) => added + changed + removed > 0);
  return (
    <Box component="section" aria-labelledby="compared-head" className={classes.compared} tabIndex={-1}>
      <h2 id="compared-head">The backup of {made}</h2>
      <Text m="0 0 8px">{sentence(groups, isEmptyHere, isSame)}</Text>
      {different.length > 0 && (
        <DataTable isRuled>
          <thead>
            <tr>
              <th scope="col">rows of</th>
              <th scope="col" data-number>
                here
              </th>
              <th scope="col" data-number>
                in it
              </th>
              <th scope="col" data-number>
                added
              </th>
              <th scope="col" data-number>
                changed
              </th>
              <th scope="col" data-number>
                removed
              </th>
            </tr>
          </thead>
          <tbody>
            {different.map((group) => (
              <tr key={group.name}>
                <th scope="row">
                  {group.name}
                  {group.removedNames.length > 0 && (
                    <Text component="small" display="block" c="var(--signal)">
                      removed: {group.removedNames.join(", ")}
                    </Text>
                  )}
                </th>
                <td data-number>{many(group.here)}</td>
                <td data-number>{many(group.inBackup)}</td>
                <td data-number>{many(group.added)}</td>
                <td data-number>{many(group.changed)}</td>
                <td data-number>{many(group.removed)}</td>
              </tr>
            ))}
          </tbody>
        </DataTable>
      )}
      {!isSame && different.length < groups.length && <Text m="8px 0 0">All else is the same here and in it.</Text>}
      {!isSame && (
        <Form method="post">
          <input type="hidden" name="name" value={name} />
          <input type="hidden" name="expected" value={fingerprint} />
          <input type="hidden" name="job" value={job} />
          <ConfirmButton
            name="intent"
            value="restore"
            className={classes.restore}
            disabled={isBusy}
            question={`Make everything as on ${made}?`}
            consequence="What is here now is kept as a backup first. You can go back to that."
          >
            Restore it
          </ConfirmButton>
        </Form>
      )}
    </Box>
  );
}

function sentence(groups: readonly ChangedGroup[], isEmptyHere: boolean, isSame: boolean): string {
  if (isSame) return "All is here as it is in the backup. There is nothing to restore.";
  if (isEmptyHere) return "Nothing is here yet. Everything comes from the backup.";
  const goes = groups.some(({ removed }) => removed > 0);
  return goes
    ? "Restoring it makes all as it was then. What was made since is removed."
    : "Restoring it brings back what is missing or changed. Nothing is removed.";
}
