import { TextInput, NativeSelect, UnstyledButton } from "@mantine/core";
import { Form, useSubmit } from "react-router";
import type { ShelfGroup } from "./shelfGroups";
import type { ShelfFilter } from "./forms.server";
import classes from "./ShelfSentence.module.css";

interface ShelfSentenceProps {
  readonly filter: ShelfFilter;
  readonly shelfGroups: readonly ShelfGroup[];
  readonly charges: readonly { readonly charge: string; readonly name: string }[];
  readonly flags: readonly string[];
  /** The caret is in the field for names. */
  readonly onFocus: () => void;
  readonly onType: (text: string) => void;
}

/** What is shown, as a sentence to choose in; with scripts each choice shows at once. */
export function ShelfSentence({ filter, shelfGroups, charges, flags, onFocus, onType }: ShelfSentenceProps) {
  const submit = useSubmit();
  return (
    <Form
      method="get"
      action="/shelf"
      onSubmit={() => onType("")}
      className={classes.sentence}
      role="search"
      key={JSON.stringify({ ...filter, find: "" })}
      onChange={(event) => {
        if ((event.target as HTMLElement).tagName === "SELECT") void submit(event.currentTarget);
      }}
    >
      <span>Show</span>
      <NativeSelect name="board" aria-label="Which materials" defaultValue={filter.board}>
        <option value="all">everything</option>
        {shelfGroups.map((board) => (
          <option key={board.slug} value={board.slug}>
            {board.name.toLowerCase()}
          </option>
        ))}
      </NativeSelect>
      <span>of</span>
      <NativeSelect name="charge" aria-label="Of which charge" defaultValue={filter.charge}>
        <option value="any">any charge</option>
        {charges.map(({ charge, name }) => (
          <option key={charge} value={charge}>
            {name} charge
          </option>
        ))}
      </NativeSelect>
      <span>in</span>
      <NativeSelect name="form" aria-label="In which form" defaultValue={filter.form}>
        <option value="any">any form</option>
        <option value="liquid">liquid form</option>
        <option value="solid">solid form</option>
      </NativeSelect>
      <span>with</span>
      <NativeSelect name="flag" aria-label="With which flag" defaultValue={filter.flag}>
        <option value="any">any flag</option>
        {flags.map((flag) => (
          <option key={flag} value={flag}>
            the flag {flag.replaceAll("-", " ")}
          </option>
        ))}
      </NativeSelect>
      <span>that stands</span>
      <NativeSelect name="where" aria-label="Where it stands" defaultValue={filter.where}>
        <option value="shelf">on my shelf</option>
        <option value="library">in the library</option>
      </NativeSelect>
      <span>named</span>
      <TextInput
        name="find"
        type="search"
        onFocus={onFocus}
        onInput={(event) => onType(event.currentTarget.value)}
        defaultValue={filter.find}
        placeholder="anything"
        autoComplete="off"
        aria-label="Name, INCI name, role or lot"
        data-act="Find on the shelf"
        data-key="n"
      />
      <UnstyledButton type="submit">Show</UnstyledButton>
    </Form>
  );
}
