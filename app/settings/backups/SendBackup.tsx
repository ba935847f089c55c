import { Button, Group, Progress, Stack, Text } from "@mantine/core";
import { useRef, useState } from "react";
import { useNavigation, useSubmit } from "react-router";
import { FileDrop } from "../../components/FileDrop";
import { FormError } from "../../components/FormError";
import classes from "./Backups.module.css";
import { sendFile } from "./sendFile";

/** A backup from another machine: it is sent, kept here, and compared. Nothing is restored by that. */
export function SendBackup() {
  const submit = useSubmit();
  const isBusy = useNavigation().state !== "idle";
  const form = useRef<HTMLFormElement>(null);
  const [sent, setSent] = useState<number | null>(null);
  const [fault, setFault] = useState("");
  const send = async (): Promise<void> => {
    const file = new FormData(form.current ?? undefined).get("file");
    if (!(file instanceof File) || file.size === 0) return setFault("Choose a file that ends in .backup first.");
    setFault("");
    setSent(0);
    const answer = await sendFile(file, setSent);
    setSent(null);
    if ("fault" in answer) return setFault(answer.fault);
    await submit({ intent: "compare", name: answer.name, job: "" }, { method: "post" });
  };
  return (
    <section aria-labelledby="send-head">
      <h2 id="send-head">From another machine</h2>
      <form
        ref={form}
        className={classes.send}
        onSubmit={(event) => {
          event.preventDefault();
          void send();
        }}
      >
        <Stack gap="sm" align="flex-start">
          <FileDrop label="A backup" name="file" accept=".backup" holds={() => null} />
          <FormError>{fault}</FormError>
          <Group>
            <Button type="submit" h={40} loading={sent !== null || isBusy}>
              Send it and compare
            </Button>
            {sent !== null && <Progress w={180} aria-label="Sending" value={sent * 100} />}
          </Group>
        </Stack>
      </form>
      <Text m="8px 0 0" c="var(--ink-2)">
        <code>bin/tensid restore FILE</code> does the same without the pages.
      </Text>
    </section>
  );
}
