import { Button, TextInput, NativeSelect, Textarea } from "@mantine/core";
import { charges, forms, roles } from "@tensidrum/core/library";
import type { ReactNode } from "react";
import { Form, Link, useNavigation } from "react-router";
import { chargeWords } from "../../components/chargeWords";
import { problemAt, sentenceAbove, type FormAnswer } from "../../frame/formAnswer";
import { numberFields, spanFields, type TypedMaterial } from "./materialFields";
import classes from "./MaterialForm.module.css";
import { ConfirmButton } from "../../components/ConfirmButton";
import { FormError } from "../../components/FormError";

interface MaterialFormProps {
  /** Slug of the material it began from; empty for none. */
  readonly from?: string;
  readonly typed: TypedMaterial;
  /** What the library says, where only facts are one's own; the rest cannot be changed then. */
  readonly library: TypedMaterial | null;
  readonly answered: FormAnswer<unknown> | null;
  readonly back: string;
  readonly save: string;
  /** A second button, as "Delete it". */
  readonly away: string | null;
}

/** The fields of a material of one's own, or of the facts one holds against the library. */
export function MaterialForm({ from = "", typed, library, answered, back, save, away }: MaterialFormProps) {
  const isBusy = useNavigation().state !== "idle";
  const row = (field: string, label: string, children: ReactNode, hint = "") => (
    <Row key={field} field={field} label={label} hint={hint} problem={problemAt(answered, field)}>
      {children}
    </Row>
  );
  const input = (name: string, value: string, label: string, placeholder = "") => (
    <TextInput
      name={name}
      defaultValue={value}
      aria-label={label}
      placeholder={placeholder}
      inputMode="decimal"
      autoComplete="off"
      maxLength={40}
    />
  );
  return (
    <Form method="post" className={classes.form} noValidate>
      <input type="hidden" name="from" value={from} />
      <FormError>{sentenceAbove(answered)}</FormError>
      {library === null && <Identity typed={typed} row={row} />}
      <fieldset className={library === null ? undefined : classes.alone}>
        <legend>{library === null ? "Facts" : "Values to edit"}</legend>
        {row(
          "active",
          "active matter, %",
          <span className={classes.ends}>
            {input("active.typical", typed.active.typical, "Active matter, typical", "typical")}
            {input("active.low", typed.active.low, "Active matter, low end", "from")}
            {input("active.high", typed.active.high, "Active matter, high end", "to")}
          </span>,
          library === null ? "" : saidOf(library.active.typical, library.active.low, library.active.high),
        )}
        {numberFields.map(({ field, name, unit }) =>
          row(
            `numbers.${field}`,
            `${name}, ${unit}`,
            input(`numbers.${field}`, typed.numbers[field], name),
            library === null ? "" : saidOf(library.numbers[field]),
          ),
        )}
        {spanFields.map(({ field, name, unit }) =>
          row(
            `spans.${field}`,
            unit === "" ? name : `${name}, ${unit}`,
            <span className={classes.ends}>
              {input(`spans.${field}.low`, typed.spans[field].low, `${name}, low end`, "from")}
              {input(`spans.${field}.high`, typed.spans[field].high, `${name}, high end`, "to")}
            </span>,
            library === null ? "" : saidOf("", library.spans[field].low, library.spans[field].high),
          ),
        )}
        {row(
          "handling",
          "how you handle it",
          <Textarea name="handling" rows={2} maxLength={2000} defaultValue={typed.handling} aria-label="How you handle it" />,
        )}
        {library === null &&
          row(
            "caution",
            "caution",
            <Textarea name="caution" rows={2} maxLength={2000} defaultValue={typed.caution} aria-label="Caution" />,
          )}
      </fieldset>
      <p className={classes.doors}>
        <Button type="submit" name="intent" value="save" h={40} loading={isBusy}>
          {save}
        </Button>
        <Link to={back}>Cancel</Link>
        {away !== null && (
          <ConfirmButton
            name="intent"
            value="take-away"
            disabled={isBusy}
            question={`${away}?`}
            consequence="What you typed for it is lost. Final versions keep the values they were made with."
          >
            {away}
          </ConfirmButton>
        )}
      </p>
    </Form>
  );
}

function saidOf(value: string, low = "", high = ""): string {
  const span = low === "" || low === high ? "" : `${low} to ${high}`;
  const said = [value, span].filter(Boolean).join(", ");
  return said === "" ? "the library does not know" : `the library says ${said}`;
}

type RowOf = (field: string, label: string, children: ReactNode, hint?: string) => ReactNode;

function Identity({ typed, row }: { readonly typed: TypedMaterial; readonly row: RowOf }) {
  const choice = (name: "role" | "form" | "charge", label: string, options: readonly (readonly [string, string])[], none: string) => (
    <NativeSelect name={name} defaultValue={typed[name]} aria-label={label}>
      <option value="">{none}</option>
      {options.map(([value, words]) => (
        <option key={value} value={value}>
          {words}
        </option>
      ))}
    </NativeSelect>
  );
  const plain = (word: string) => [word, word.replaceAll("-", " ")] as const;
  return (
    <fieldset>
      <legend>What it is</legend>
      {row("name", "name", <TextInput name="name" defaultValue={typed.name} maxLength={200} aria-label="Name" autoComplete="off" />)}
      {row("role", "what it does", choice("role", "What it does", roles.map(plain), "choose one"))}
      {row("form", "form", choice("form", "Form", forms.map(plain), "not known"))}
      {row(
        "charge",
        "charge",
        choice(
          "charge",
          "Charge",
          charges.map((charge) => [charge, chargeWords[charge].name] as const),
          "none",
        ),
      )}
      {row(
        "inci",
        "INCI names with their percent",
        <Textarea
          name="inci"
          rows={4}
          defaultValue={typed.inci}
          aria-label="INCI names with their percent"
          placeholder={"Aqua 70\nCoco-Glucoside 30"}
        />,
        "one a line; of a bought material. The printed list alone is enough: its order tells the shares, as an estimate",
      )}
      {row(
        "parts",
        "or made of",
        <Textarea
          name="parts"
          rows={4}
          defaultValue={typed.parts}
          aria-label="Made of, with percent"
          placeholder={"glycerin 60\nxanthan-gum 40"}
        />,
        "materials of the library with their percent, to 100; then they speak for it",
      )}
      {row(
        "flags",
        "flags",
        <TextInput
          name="flags"
          defaultValue={typed.flags}
          maxLength={1000}
          aria-label="Flags"
          placeholder="nut, dust"
          autoComplete="off"
        />,
      )}
    </fieldset>
  );
}

interface RowProps {
  readonly field: string;
  readonly label: string;
  readonly hint: string;
  readonly problem: string | undefined;
  readonly children: ReactNode;
}

function Row({ field, label, hint, problem, children }: RowProps) {
  return (
    <div className={classes.row} data-problem={problem === undefined ? undefined : true} id={`field-${field}`}>
      <span className={classes.label}>{label}</span>
      {children}
      {problem !== undefined ? (
        <span role="alert" className={classes.problem}>
          {problem}
        </span>
      ) : (
        <span className={classes.hint}>{hint}</span>
      )}
    </div>
  );
}
