import { Button, Group, NativeSelect, Stack, TextInput } from "@mantine/core";
import { written } from "@tensidrum/core/quantities";
import { useState } from "react";
import { Form, useNavigation } from "react-router";
import { FormError } from "../../components/FormError";
import { problemAt, sentenceAbove, type FormAnswer } from "../../frame/formAnswer";
import type { OpenOutlook } from "./outlook.server";
import type { TypedPlan } from "./outlookForms.server";

interface PlanFormProps {
  readonly open: OpenOutlook;
  readonly answered: FormAnswer<TypedPlan> | null;
}

/** A batch that is to be made on a day. The size follows what is chosen until it is typed. */
export function PlanForm({ open: { versions, newId, today, called, isNarrowed }, answered }: PlanFormProps) {
  const isBusy = useNavigation().state !== "idle";
  const typed = answered?.typed;
  const [chosen, setChosen] = useState(typed?.version ?? "");
  const usual = versions.find(({ id }) => id === chosen)?.batchGrams;
  return (
    <Stack gap="sm">
      <h2 style={{ margin: 0 }}>Plan a batch</h2>
      {(isNarrowed || called !== "") && (
        <Form method="get" role="search">
          <Group gap="sm" align="flex-end">
            <TextInput
              name="called"
              label="Look for a formula"

              defaultValue={called}
              maxLength={120}
              flex={1}
            />
            <Button type="submit" h={36} variant="outline">
              Look
            </Button>
          </Group>
        </Form>
      )}
      {called !== "" && versions.length === 0 && (
        <FormError>{`No formula is called "${called}". Look for another part of its name.`}</FormError>
      )}
      <Form method="post" key={newId}>
        <Stack gap="sm">
          <FormError>{sentenceAbove(answered)}</FormError>
          <input type="hidden" name="id" value={newId} />
          <NativeSelect
            name="version"
            label="What"
            value={chosen}
            onChange={(event) => setChosen(event.currentTarget.value)}
            error={problemAt(answered, "version")}
          >
            <option value="">choose a formula</option>
            {versions.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </NativeSelect>
          <TextInput name="on" label="On" type="date" min={today} defaultValue={typed?.on ?? ""} error={problemAt(answered, "on")} />
          <TextInput
            key={usual}
            name="grams"
            label="How much"
            description="g, kg or oz: 600, 1.2 kg"
            inputMode="decimal"
            autoComplete="off"
            defaultValue={typed?.grams ?? (usual === undefined ? "" : `${written(usual, 1)} g`)}
            error={problemAt(answered, "grams")}
          />
          <TextInput name="note" label="For what" maxLength={200} defaultValue={typed?.note ?? ""} />
          <Button type="submit" name="intent" value="plan" h={40} loading={isBusy} style={{ alignSelf: "flex-start" }}>
            Plan it
          </Button>
        </Stack>
      </Form>
    </Stack>
  );
}
