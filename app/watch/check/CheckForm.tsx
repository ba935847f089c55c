import { Button, Checkbox, Group, NativeSelect, Radio, SimpleGrid, Stack, Text, Textarea, TextInput } from "@mantine/core";
import { SIMULATED_CUP, simulatedSample } from "@tensidrum/core/instruments";
import { clarityLooks } from "@tensidrum/core/process";
import { READ_AT_C, written } from "@tensidrum/core/quantities";
import { flowViscosity, thicknessWords } from "@tensidrum/core/rheology";
import { colourChanges, spoilSigns, type Storage } from "@tensidrum/core/stability";
import { useEffect, useState, type FormEvent, type MouseEvent } from "react";
import { Form, Link, useNavigation } from "react-router";
import { Fold } from "../../components/Fold";
import { FormError } from "../../components/FormError";
import { NumberField } from "../../components/NumberField";
import { problemAt, sentenceAbove, type FormAnswer } from "../../frame/formAnswer";
import { seedOf } from "../../frame/instruments/seedOf";
import { beadFields, storageNames, thicknessWays } from "../looks";
import type { LookAnswer } from "../outbox/lookOutbox";
import type { Outbox } from "../outbox/useOutbox";
import type { OpenWatch } from "../watch.server";
import type { TypedWatch } from "../watchForms.server";
import { CheckPhoto } from "./CheckPhoto";
import { nextCheck } from "./nextCheck";
import { ReadOff } from "./ReadOff";

interface CheckFormProps {
  readonly open: OpenWatch;
  readonly answered: FormAnswer<TypedWatch> | null;
  readonly outbox: Outbox;
}

/** One look at one sample. What is not touched is as it was the last time. Without the server it is kept on this device. */
export function CheckForm({ open, answered: fromServer, outbox }: CheckFormProps) {
  const { samples, today } = open;
  const isNavigating = useNavigation().state !== "idle";
  const [isSending, setSending] = useState(false);
  const [refused, setRefused] = useState<LookAnswer | null>(null);
  /** Forms filled in since the page was loaded: each look wants an identifier of its own. */
  const [formId, setFormId] = useState(open.newId);
  /** How many looks the page knew of when the server took this one: the next form begins with what it was told of since. */
  const [keptAt, setKeptAt] = useState<number | null>(null);
  const seen = open.count;
  useEffect(() => {
    if (keptAt === null || seen === keptAt) return;
    setKeptAt(null);
    setFormId(crypto.randomUUID());
  }, [keptAt, seen]);
  const [chosen, setChosen] = useState<Storage | null>(null);
  const sample = chosen ?? open.sample;
  const answered = refused ?? fromServer;
  const typed = fromServer?.typed;
  const last = open.last.find(({ storage }) => storage === sample) ?? null;
  const waiting = new Set(outbox.looks.flatMap(({ fields }) => fields.flatMap(([name, value]) => (name === "planned" ? [value] : []))));
  const [on, setOn] = useState(typed?.on ?? today);
  const next = nextCheck(
    open.open.filter(({ id }) => !waiting.has(id)),
    sample,
    on,
  );

  const send = (event: FormEvent<HTMLFormElement>): void => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    form.set("intent", "keep");
    setSending(true);
    void outbox
      .keep(form)
      .then((outcome) => {
        setRefused(outcome.kind === "refused" ? outcome.answer : null);
        if (outcome.kind === "waits") setFormId(crypto.randomUUID());
        if (outcome.kind === "kept") setKeptAt(seen);
      })
      .finally(() => setSending(false));
  };
  const choose = (storage: Storage) => (event: MouseEvent) => {
    if (navigator.onLine) return setChosen(null);
    event.preventDefault();
    setChosen(storage);
  };
  return (
    <section aria-labelledby="check-head">
      <h2 id="check-head">{next === null ? "A look in between" : next.title}</h2>
      <Group gap="md" mb="sm" component="nav" aria-label="Samples">
        {samples.map((storage) => (
          <Link
            key={storage}
            to={`?sample=${storage}`}
            preventScrollReset
            aria-current={storage === sample ? "true" : undefined}
            onClick={choose(storage)}
          >
            {storage === sample ? <strong>{storageNames[storage]}</strong> : storageNames[storage]}
          </Link>
        ))}
      </Group>
      <Form method="post" encType="multipart/form-data" onSubmit={send} key={`${formId} ${sample}`}>
        <Stack gap="sm">
          <FormError>{sentenceAbove(answered)}</FormError>
          <input type="hidden" name="id" value={formId} />
          <input type="hidden" name="storage" value={sample} />
          <input type="hidden" name="planned" value={next?.id ?? ""} />
          <Readings open={open} sample={sample} last={last} answered={answered} typed={typed} />
          <Choice name="clarity" words={clarityLooks} usual={typed?.clarity ?? last?.clarity ?? ""} />
          <Choice name="colour" words={colourChanges} usual={typed?.colour ?? last?.colour ?? ""} />
          <Choice name="smell" words={colourChanges} usual={typed?.smell ?? last?.smell ?? ""} />
          <NumberField
            name="sediment"
            label="settled or floated up"
            unit="mm"
            defaultValue={typed?.sediment ?? ""}
            description={last?.sedimentMm == null ? "" : `last ${written(last.sedimentMm, 1)} mm`}
            error={problemAt(answered, "sediment")}
          />
          <NumberField
            name="room"
            label="the bench room"
            unit="°C"
            defaultValue={typed?.room ?? (open.roomC === null ? "" : written(open.roomC, 1))}
            description={`pH and thickness are read at ${READ_AT_C.low} to ${READ_AT_C.high} °C`}
            error={problemAt(answered, "room")}
          />
          <Checkbox.Group label="Stops the batch at once" defaultValue={[...(typed?.signs ?? [])]}>
            <Group mt={6}>
              {spoilSigns.map((sign) => (
                <Checkbox key={sign} name="signs" value={sign} label={sign} />
              ))}
            </Group>
          </Checkbox.Group>
          <CheckPhoto first={open.firstLab} error={problemAt(answered, "photo") ?? problemAt(answered, "haze")} />
          <TextInput
            type="date"
            name="on"
            label="looked at on"
            max={today}
            value={on}
            onChange={(event) => setOn(event.currentTarget.value)}
            error={problemAt(answered, "on")}
          />
          <Textarea name="note" label="note" rows={2} maxLength={500} defaultValue={typed?.note ?? ""} />
          <Button type="submit" name="intent" value="keep" h={52} loading={isSending || isNavigating}>
            Keep it
          </Button>
          {last?.isLooked === true && <Text m={0}>What you leave stays as it was the last time.</Text>}
        </Stack>
      </Form>
    </section>
  );
}

interface ReadingsProps {
  readonly open: OpenWatch;
  readonly sample: Storage;
  readonly last: OpenWatch["last"][number] | null;
  readonly answered: FormAnswer<TypedWatch> | null;
  readonly typed: TypedWatch | undefined;
}

/** pH and thickness: typed, or off an instrument. */
function Readings({ open, sample, last, answered, typed }: ReadingsProps) {
  const [by, setBy] = useState<TypedWatch["by"]>(typed?.by ?? "Pa·s");
  const [ph, setPh] = useState(typed?.ph ?? "");
  const [thickness, setThickness] = useState(typed?.thickness ?? "");
  const truth = simulatedSample({ ph: open.start.ph ?? 5.5, pascalSeconds: open.start.viscosity ?? 2 }, sample, open.age, seedOf(open.id));
  return (
    <>
      <SimpleGrid cols={2}>
        <TextInput
          size="lg"
          name="ph"
          label="pH"
          inputMode="decimal"
          autoComplete="off"
          value={ph}
          onChange={(event) => setPh(event.currentTarget.value)}
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
            value={thickness}
            onChange={(event) => setThickness(event.currentTarget.value)}
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
      {by === "bead, s" && (
        <SimpleGrid cols={2}>
          {beadFields.map(({ name, label, unit, usual }) => (
            <NumberField key={name} name={name} label={label} unit={unit} defaultValue={typed?.[name] || usual} />
          ))}
        </SimpleGrid>
      )}
      <Fold summary="Read it off an instrument">
        <Stack gap={6} mt={6}>
          <ReadOff kind="meter" truth={truth} onTake={setPh} />
          <ReadOff
            kind="cup"
            truth={truth}
            onTake={(seconds, isSimulated) => {
              const flow = isSimulated ? flowViscosity(SIMULATED_CUP, Number(seconds), 1.02) : null;
              setBy(flow === null ? "funnel, s" : "Pa·s");
              setThickness(flow?.found === true ? written(flow.pascalSeconds, 2) : seconds);
            }}
          />
        </Stack>
      </Fold>
    </>
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
