import { Button, NativeSelect, TextInput, type TextInputProps } from "@mantine/core";
import { useState } from "react";
import { Form, useNavigation } from "react-router";
import { NumberField } from "../components/NumberField";
import { FormError } from "../components/FormError";
import { problemAt, sentenceAbove, type FormAnswer } from "../frame/formAnswer";
import { useUnits } from "../frame/units";
import type { LotField, TypedLot } from "./readLot";
import { AsItWillStand } from "./AsItWillStand";
import classes from "./LotForm.module.css";
import type { OpenReceive } from "./receive.server";

interface LotFormProps extends OpenReceive {
  readonly answered: FormAnswer<TypedLot> | null;
}

/** What is written on a bottle that came. The browser makes the identifiers anew; without scripts those of the page stand. */
export function LotForm({ material, materials, known, ids, answered }: LotFormProps) {
  const isBusy = useNavigation().state !== "idle";
  const { currency } = useUnits();
  const typed: Partial<TypedLot> | undefined = answered?.typed ?? known;
  const field = (name: LotField, label: string, more: TextInputProps = {}) => (
    <TextInput
      name={name}
      label={label}
      defaultValue={typed?.[name] ?? ""}
      error={problemAt(answered, name)}
      autoComplete="off"
      classNames={{ root: classes.field }}
      {...more}
    />
  );
  const number = (name: LotField, label: string, unit: string, description = "") => (
    <NumberField
      name={name}
      label={label}
      unit={unit}
      defaultValue={typed?.[name] ?? ""}
      error={problemAt(answered, name)}
      description={description}
      classNames={{ root: classes.field }}
    />
  );
  const [draft, setDraft] = useState<TypedLot>({ ...nothingTyped, material, ...typed });
  return (
    <div className={classes.page}>
      <Form
        method="post"
        className={classes.form}
        key={JSON.stringify(ids)}
        noValidate
        onInput={(event) => setDraft({ ...nothingTyped, ...textsOf(event.currentTarget) })}
      >
        <FormError>{sentenceAbove(answered)}</FormError>
        <input type="hidden" name="id" defaultValue={ids.id} />
        <input type="hidden" name="movementId" defaultValue={ids.movementId} />
        <NativeSelect
          name="material"
          label="Material"
          defaultValue={typed?.material ?? material}
          error={problemAt(answered, "material")}
          classNames={{ root: classes.field }}
        >
          <option value="">choose one</option>
          {materials.map(({ slug, name }) => (
            <option key={slug} value={slug}>
              {name}
            </option>
          ))}
        </NativeSelect>
        {field("code", "Lot code, as written on it")}
        {field("grams", "Amount in the pack", { description: "g, kg or oz: 500, 1.2 kg, 16 oz", inputMode: "decimal" })}
        {number("assay", "Strength by its certificate", "% active", "empty: the Sheet counts with the typical value")}
        {number("price", "Price of the pack", currency, currency === "" ? "in your currency" : "")}
        {field("openedOn", "Opened on", { type: "date" })}
        {field("endsOn", "Expires on", { type: "date", description: "the last day, or the last of the month on the label" })}
        {number("afterOpening", "Keeps once it is open", "days", "6 months are 183; the earlier of both dates counts")}
        {field("supplier", "Where it came from", { description: "as you write it", maxLength: 120 })}
        {field("note", "Note", { maxLength: 500 })}
        <Button type="submit" h={40} loading={isBusy}>
          Put it on the shelf
        </Button>
      </Form>
      <AsItWillStand typed={draft} materials={materials} />
    </div>
  );
}

const nothingTyped: TypedLot = {
  ...{ material: "", code: "", grams: "", assay: "", price: "" },
  ...{ supplier: "", openedOn: "", endsOn: "", afterOpening: "", note: "" },
};

function textsOf(form: HTMLFormElement): Readonly<Record<string, string>> {
  return Object.fromEntries([...new FormData(form)].map(([name, value]) => [name, String(value).trim()]));
}
