import { Button, Group, Text, TextInput, UnstyledButton } from "@mantine/core";
import { Form, useNavigation } from "react-router";
import { Fold } from "../components/Fold";
import quiet from "../components/quiet.module.css";
import { problemAt, type FormAnswer } from "../frame/formAnswer";
import type { OpenWatch } from "./watch.server";
import type { TypedWatch } from "./watchForms.server";

interface PlannedChecksProps {
  readonly planned: OpenWatch["planned"];
  readonly answered: FormAnswer<TypedWatch> | null;
}

/** The plan: what was done, what comes, what was left out and why; each can be moved or left out. */
export function PlannedChecks({ planned, answered }: PlannedChecksProps) {
  return (
    <section aria-labelledby="plan-head">
      <h2 id="plan-head">The plan</h2>
      <ul style={{ listStyle: "none", margin: 0, padding: 0 }}>
        {planned.map((one) => (
          <li key={one.id} style={{ padding: "6px 0", borderTop: "1px solid var(--hair-2)" }}>
            <Planned one={one} answered={answered?.typed.planned === one.id ? answered : null} />
          </li>
        ))}
      </ul>
    </section>
  );
}

function Planned({ one, answered }: { readonly one: OpenWatch["planned"][number]; readonly answered: PlannedChecksProps["answered"] }) {
  const isBusy = useNavigation().state !== "idle";
  const { id, day, title, storage, dueOn, checkId, skippedBecause, isLate } = one;
  const words = `${title}, ${storage}`;
  if (checkId !== null) return <Text m={0}>✓ {words}</Text>;
  if (skippedBecause !== "") {
    return (
      <Text m={0} c="var(--ink-2)">
        {words}: left out, {skippedBecause}
      </Text>
    );
  }
  return (
    <Fold
      summary={
        <>
          <strong>{day}</strong> {words}
          {isLate && " (was due)"}
        </>
      }
    >
      <Form method="post">
        <input type="hidden" name="id" value={id} />
        <input type="hidden" name="planned" value={id} />
        <Group align="flex-end" gap="sm" mt={6}>
          <TextInput type="date" name="on" label="on" defaultValue={dueOn} error={problemAt(answered, "on")} />
          <Button type="submit" name="intent" value="move" h={36} variant="outline" disabled={isBusy}>
            Move it
          </Button>
          <TextInput name="why" label="left out, because" maxLength={200} error={problemAt(answered, "why")} />
          <UnstyledButton type="submit" name="intent" value="skip" className={quiet.quiet} disabled={isBusy}>
            Leave it out
          </UnstyledButton>
        </Group>
      </Form>
    </Fold>
  );
}
