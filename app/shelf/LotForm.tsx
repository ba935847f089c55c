import { Button, TextInput, NativeSelect } from "@mantine/core";
import { type ReactNode, useRef } from "react";
import { Form, useNavigation } from "react-router";
import { useUnits } from "../frame/units";
import type { LotField, LotProblem, TypedLot } from "./readLot";
import classes from "./LotForm.module.css";
import type { OpenReceive } from "./receive.server";

interface LotFormProps extends OpenReceive {
  readonly typed: TypedLot | undefined;
  readonly problems: readonly LotProblem[];
}

/** What is written on a bottle that came. The browser makes the identifiers anew; without scripts those of the page stand. */
export function LotForm({ material, materials, ids, typed, problems }: LotFormProps) {
  const form = useRef<HTMLFormElement>(null);
  const isBusy = useNavigation().state !== "idle";
  const { currency } = useUnits();
  const problemAt = (field: LotField) => problems.find((problem) => problem.field === field)?.message;
  const field = (name: LotField, label: string, value: string | undefined, more: FieldMore = {}) => (
    <Field name={name} label={label} problem={problemAt(name)} {...more}>
      <TextInput
        id={`lot-${name}`}
        name={name}
        type={more.type ?? "text"}
        inputMode={more.isNumber === true ? "decimal" : "text"}
        defaultValue={value ?? ""}
        autoComplete="off"
        {...described(problemAt(name), name)}
      />
    </Field>
  );
  return (
    <Form method="post" className={classes.form} ref={form} key={JSON.stringify(ids)} noValidate>
      <input type="hidden" name="id" defaultValue={ids.id} />
      <input type="hidden" name="movementId" defaultValue={ids.movementId} />
      <Field name="material" label="Material" problem={problemAt("material")}>
        <NativeSelect
          id="lot-material"
          name="material"
          defaultValue={typed?.material ?? material}
          {...described(problemAt("material"), "material")}
        >
          <option value="">choose one</option>
          {materials.map(({ slug, name }) => (
            <option key={slug} value={slug}>
              {name}
            </option>
          ))}
        </NativeSelect>
      </Field>
      {field("code", "Lot code, as written on it", typed?.code)}
      {field("grams", "What came in the pack", typed?.grams, { hint: "g, kg or oz: 500, 1.2 kg, 16 oz", isNumber: true })}
      {field("assay", "Strength by its certificate", typed?.assay, {
        hint: "% active; empty: the Sheet counts with the typical value",
        isNumber: true,
      })}
      {field("price", "Price of the pack", typed?.price, { hint: currency === "" ? "in your currency" : `in ${currency}`, isNumber: true })}
      {field("openedOn", "Opened on", typed?.openedOn, { type: "date" })}
      {field("endsOn", "Ends on", typed?.endsOn, { type: "date", hint: "the last day, or the last of the month on the label" })}
      <Field name="supplier" label="Where it came from" problem={undefined} hint="as you write it">
        <TextInput id="lot-supplier" name="supplier" defaultValue={typed?.supplier ?? ""} maxLength={120} autoComplete="off" />
      </Field>
      <Field name="note" label="Note" problem={undefined}>
        <TextInput id="lot-note" name="note" defaultValue={typed?.note ?? ""} maxLength={500} autoComplete="off" />
      </Field>
      <Button type="submit" h={40} loading={isBusy}>
        Put it on the shelf
      </Button>
    </Form>
  );
}

interface FieldMore {
  readonly hint?: string;
  readonly isNumber?: boolean;
  readonly type?: "date";
}

interface FieldProps extends FieldMore {
  readonly name: string;
  readonly label: string;
  readonly problem: string | undefined;
  readonly children: ReactNode;
}

function Field({ name, label, hint, problem, children }: FieldProps) {
  return (
    <div className={classes.field}>
      <label htmlFor={`lot-${name}`}>{label}</label>
      {children}
      {problem !== undefined ? (
        <span id={`problem-${name}`} className={classes.problem}>
          {problem}
        </span>
      ) : (
        hint !== undefined && <span className={classes.hint}>{hint}</span>
      )}
    </div>
  );
}

function described(problem: string | undefined, name: string) {
  return problem === undefined ? {} : { "aria-invalid": true, "aria-describedby": `problem-${name}` };
}
