import { Button, Checkbox, Group, Stack, Text, TextInput, UnstyledButton } from "@mantine/core";
import { storages, type Storage } from "@tensidrum/core/stability";
import { Form, useNavigation } from "react-router";
import { Fold } from "../components/Fold";
import quiet from "../components/quiet.module.css";
import { problemAt, type FormAnswer } from "../frame/formAnswer";
import { storageNames } from "./looks";
import type { OpenWatch } from "./watch.server";
import type { TypedWatch } from "./watchForms.server";

interface PlannedChecksProps {
  readonly open: Pick<OpenWatch, "planned" | "samples" | "newId">;
  readonly answered: FormAnswer<TypedWatch> | null;
}

/** The plan: what was done, what comes, what was left out and why; each can be moved or left out. */
export function PlannedChecks({ open: { planned, samples, newId }, answered }: PlannedChecksProps) {
  const others = storages.filter((storage) => !samples.includes(storage));
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
      {others.length > 0 && <MoreSamples others={others} newId={newId} answered={answered?.typed.intent === "begin" ? answered : null} />}
    </section>
  );
}

interface MoreSamplesProps {
  readonly others: readonly Storage[];
  readonly newId: string;
  readonly answered: PlannedChecksProps["answered"];
}

/** Other samples of the same batch are put aside later on. */
function MoreSamples({ others, newId, answered }: MoreSamplesProps) {
  const isBusy = useNavigation().state !== "idle";
  return (
    <Fold summary="Put more samples aside">
      <Form method="post">
        <input type="hidden" name="id" value={newId} />
        <Checkbox.Group aria-label="More samples" error={problemAt(answered, "samples")}>
          <Stack gap={8} my={8}>
            {others.map((storage) => (
              <Checkbox key={storage} name="samples" value={storage} label={storageNames[storage]} />
            ))}
          </Stack>
        </Checkbox.Group>
        <Button type="submit" name="intent" value="begin" h={36} variant="outline" disabled={isBusy}>
          Watch them too
        </Button>
      </Form>
    </Fold>
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
