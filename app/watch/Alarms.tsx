import { Button, Group, Stack, Text, TextInput, UnstyledButton } from "@mantine/core";
import { useEffect, useRef } from "react";
import { Form, Link, useNavigation } from "react-router";
import { Fold } from "../components/Fold";
import { FormError } from "../components/FormError";
import quiet from "../components/quiet.module.css";
import { problemAt, sentenceAbove, type FormAnswer } from "../frame/formAnswer";
import type { OpenWatch } from "./watch.server";
import type { TypedWatch } from "./watchForms.server";

interface AlarmsProps {
  readonly open: OpenWatch;
  readonly answered: FormAnswer<TypedWatch> | null;
}

/** What has moved too far; a sign of spoiling stops everything and lists what to fetch. */
export function Alarms({ open: { alarms, containers, id, newId }, answered }: AlarmsProps) {
  if (alarms.length === 0) return null;
  const isSpoiled = alarms.some(({ discard }) => discard);
  return (
    <Stack gap={4} mb="md" role="alert" pl="md" style={{ borderLeft: "4px solid var(--signal)" }}>
      {alarms.map(({ what, text }) => (
        <Text key={what} m={0} fw={650}>
          {text}
        </Text>
      ))}
      {isSpoiled && (
        <>
          <Text m={0}>
            Do not smell it again from close by. Fetch its containers and tell whoever has one to stop using it; skin or eyes that are sore
            are for a doctor to look at.
          </Text>
          <Text m={0}>
            {containers.map(({ count, name, toWhom }) => `${count} × ${name}${toWhom === "" ? "" : ` (${toWhom})`}`).join(", ")}{" "}
            <Link to={`/fill/${id}/containers`}>Where they are</Link>
          </Text>
        </>
      )}
      {alarms.map(({ what }) => (
        <AnswerForm key={what} id={newId} what={what} answered={answered?.typed.alarm === what ? answered : null} />
      ))}
    </Stack>
  );
}

const alarmNames: Readonly<Record<OpenWatch["alarms"][number]["what"], string>> = {
  ph: "the pH",
  viscosity: "the thickness",
  colour: "the colour",
  sediment: "what has settled",
  spoiled: "the sign of spoiling",
};

interface AnswerFormProps {
  readonly id: string;
  readonly what: keyof typeof alarmNames;
  readonly answered: AlarmsProps["answered"];
}

/** The maker says what was done, and the alarm leads no page until the sample is looked at again. */
function AnswerForm({ id, what, answered }: AnswerFormProps) {
  const isBusy = useNavigation().state !== "idle";
  return (
    <Fold summary={`Answer the alarm of ${alarmNames[what]}`}>
      <Form method="post">
        <input type="hidden" name="id" value={id} />
        <input type="hidden" name="alarm" value={what} />
        <Group gap="sm" align="flex-start" mt={4}>
          <TextInput
            name="why"
            label="What was done, or why it does not count"
            maxLength={200}
            w={360}
            maw="100%"
            defaultValue={answered?.typed.why ?? ""}
            error={problemAt(answered, "why")}
          />
          <Button type="submit" name="intent" value="answer" h={36} mt={23} variant="outline" loading={isBusy}>
            Answer it
          </Button>
        </Group>
        <FormError>{sentenceAbove(answered)}</FormError>
      </Form>
    </Fold>
  );
}

/** Alarms that were answered, what was said, and the way back. */
export function Answered({ open: { answered, newId } }: { readonly open: OpenWatch }) {
  const isBusy = useNavigation().state !== "idle";
  const known = useRef(new Set(answered.map(({ what }) => what)));
  const list = useRef<HTMLDivElement>(null);
  // The form that was sent is gone; the hand finds itself at its way back.
  useEffect(() => {
    const joined = answered.findIndex(({ what }) => !known.current.has(what));
    known.current = new Set(answered.map(({ what }) => what));
    if (joined >= 0) list.current?.querySelectorAll("button")[joined]?.focus();
  }, [answered]);
  if (answered.length === 0) return null;
  return (
    <Stack ref={list} gap={4} mb="md">
      {answered.map(({ what, text, because, on }) => (
        <Form key={what} method="post">
          <input type="hidden" name="id" value={newId} />
          <input type="hidden" name="alarm" value={what} />
          <Text m={0} c="var(--ink-2)">
            {text} Answered {on}: {because.replace(/\.$/, "")}.{" "}
            <UnstyledButton
              type="submit"
              name="intent"
              value="reopen"
              className={quiet.quiet}
              disabled={isBusy}
              aria-label={`Open the alarm of ${alarmNames[what]} again`}
            >
              Open it again
            </UnstyledButton>
          </Text>
        </Form>
      ))}
    </Stack>
  );
}
