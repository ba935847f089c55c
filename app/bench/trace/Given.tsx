import { Group, TextInput, UnstyledButton } from "@mantine/core";
import { Form, useNavigation } from "react-router";
import quiet from "../../components/quiet.module.css";

interface GivenProps {
  readonly batch: string;
  readonly row: { readonly rowId: string; readonly name: string; readonly toWhom: string };
  /** Written 2026-11-26; empty while they are closed. */
  readonly openedOn: string;
  /** Whether the day they were opened is asked too. */
  readonly asksOpened?: boolean;
}

/** To whom the containers of a row went, and since when they are open. */
export function Given({ batch, row, openedOn, asksOpened = false }: GivenProps) {
  const { state } = useNavigation();
  return (
    <Form method="post" preventScrollReset key={`${row.toWhom} ${openedOn}`}>
      <input type="hidden" name="batch" value={batch} />
      <input type="hidden" name="row" value={row.rowId} />
      <Group gap="sm">
        <TextInput
          name="to"
          w={{ base: 110, sm: 280 }}
          maxLength={300}
          defaultValue={row.toWhom}
          placeholder="dressing room 2, guests of 12 May"
          aria-label={`To whom ${row.name} went`}
        />
        {asksOpened ? (
          <TextInput type="date" name="opened" defaultValue={openedOn} aria-label={`${row.name} was opened on`} />
        ) : (
          <input type="hidden" name="opened" value={openedOn} />
        )}
        <UnstyledButton type="submit" className={quiet.quiet} disabled={state !== "idle"}>
          Keep
        </UnstyledButton>
      </Group>
    </Form>
  );
}
