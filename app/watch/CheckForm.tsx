import { Button, Checkbox, Group, NativeSelect, Radio, SimpleGrid, Stack, Text, Textarea, TextInput } from "@mantine/core";
import { clarityLooks } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import { thicknessWords } from "@tensidrum/core/rheology";
import { spoilSigns } from "@tensidrum/core/stability";
import { useState } from "react";
import { Form, Link, useNavigation } from "react-router";
import { FormError } from "../components/FormError";
import { problemAt, sentenceAbove, type FormAnswer } from "../frame/formAnswer";
import { changes, storageNames, thicknessWays } from "./looks";
import type { OpenWatch } from "./watch.server";
import type { TypedWatch } from "./watchForms.server";

interface CheckFormProps {
  readonly open: OpenWatch;
  readonly answered: FormAnswer<TypedWatch> | null;
}

/** One look at one sample. What is not touched is as it was the last time. */
export function CheckForm({ open: { samples, sample, next, newId, today, last }, answered }: CheckFormProps) {
  const isBusy = useNavigation().state !== "idle";
  const typed = answered?.typed;
  const [by, setBy] = useState<TypedWatch["by"]>(typed?.by ?? "Pa·s");
  return (
    <section aria-labelledby="check-head">
      <h2 id="check-head">{next === null ? "A look in between" : next.title}</h2>
      <Group gap="md" mb="sm" component="nav" aria-label="Samples">
        {samples.map((storage) => (
          <Link key={storage} to={`?sample=${storage}`} preventScrollReset aria-current={storage === sample ? "true" : undefined}>
            {storage === sample ? <strong>{storageNames[storage]}</strong> : storageNames[storage]}
          </Link>
        ))}
      </Group>
      <Form method="post">
        <Stack gap="sm">
          <FormError>{sentenceAbove(answered)}</FormError>
          <input type="hidden" name="id" value={newId} />
          <input type="hidden" name="storage" value={sample} />
          <input type="hidden" name="planned" value={next?.id ?? ""} />
          <SimpleGrid cols={2}>
            <TextInput
              size="lg"
              name="ph"
              label="pH"
              inputMode="decimal"
              autoComplete="off"
              defaultValue={typed?.ph ?? ""}
              description={last?.ph == null ? "10 % dilution" : `last ${written(last.ph, 2)}`}
              error={problemAt(answered, "ph")}
            />
            {by === "word" ? (
              <NativeSelect size="lg" name="word" label="thickness" defaultValue={typed?.word ?? ""} description="an estimate">
                <option value="">not looked at</option>
                {thicknessWords.map((word) => (
                  <option key={word} value={word}>
                    {word}
                  </option>
                ))}
              </NativeSelect>
            ) : (
              <TextInput
                size="lg"
                name="thickness"
                label={`thickness, ${by}`}
                inputMode="decimal"
                autoComplete="off"
                defaultValue={typed?.thickness ?? ""}
                description={last?.viscosity == null ? "same way each time" : `last ${written(last.viscosity, 2)} Pa·s`}
                error={problemAt(answered, "thickness")}
              />
            )}
          </SimpleGrid>
          <NativeSelect
            name="by"
            label="thickness by"
            value={by}
            onChange={(event) => setBy(event.currentTarget.value as TypedWatch["by"])}
            data={thicknessWays.map((way) => ({ value: way, label: way }))}
          />
          <Choice name="clarity" words={clarityLooks} usual={typed?.clarity ?? last?.clarity ?? ""} />
          <Choice name="colour" words={changes} usual={typed?.colour ?? last?.colour ?? ""} />
          <Choice name="smell" words={changes} usual={typed?.smell ?? last?.smell ?? ""} />
          <TextInput
            name="sediment"
            label="settled or floated up, mm"
            inputMode="decimal"
            autoComplete="off"
            defaultValue={typed?.sediment ?? ""}
            description={last?.sedimentMm == null ? "" : `last ${written(last.sedimentMm, 1)} mm`}
            error={problemAt(answered, "sediment")}
          />
          <Checkbox.Group label="Stops the batch at once" defaultValue={[...(typed?.signs ?? [])]}>
            <Group mt={6}>
              {spoilSigns.map((sign) => (
                <Checkbox key={sign} name="signs" value={sign} label={sign} />
              ))}
            </Group>
          </Checkbox.Group>
          <TextInput
            type="date"
            name="on"
            label="looked at on"
            max={today}
            defaultValue={typed?.on ?? today}
            error={problemAt(answered, "on")}
          />
          <Textarea name="note" label="note" rows={2} maxLength={500} defaultValue={typed?.note ?? ""} />
          <Button type="submit" name="intent" value="keep" h={52} loading={isBusy}>
            Keep it
          </Button>
          {last !== null && <Text m={0}>What you leave stays as it was the last time.</Text>}
        </Stack>
      </Form>
    </section>
  );
}

interface ChoiceProps {
  readonly name: "clarity" | "colour" | "smell";
  readonly words: readonly string[];
  readonly usual: string;
}

/** One of a few words, large enough for wet hands. */
function Choice({ name, words, usual }: ChoiceProps) {
  return (
    <Radio.Group name={name} label={name} defaultValue={usual}>
      <Group gap="sm" mt={4}>
        {words.map((word) => (
          <Radio key={word} value={word} label={word} />
        ))}
      </Group>
    </Radio.Group>
  );
}
