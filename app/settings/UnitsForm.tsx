import { Button, NativeSelect, TextInput } from "@mantine/core";
import { Form, useNavigation } from "react-router";
import { FormError } from "../components/FormError";
import { useUnits } from "../frame/units";
import classes from "./Settings.module.css";

const unitWords = { g: "grams, kilograms from 10 kg on", kg: "kilograms", oz: "ounces, avoirdupois" } as const;

interface UnitsFormProps {
  /** The currency as it was typed and refused. */
  readonly typed: string | null;
  readonly message: string | null;
}

/** Money and mass as the maker writes them. */
export function UnitsForm({ typed, message }: UnitsFormProps) {
  const { currency, massUnit } = useUnits();
  const isBusy = useNavigation().state !== "idle";
  return (
    <>
      <p className={classes.why}>A sheet stays in grams, as the scale shows them. Every field of a mass also takes kg and oz.</p>
      <Form method="post" action="/settings" className={classes.small} key={`${currency} ${massUnit}`}>
        <TextInput
          label="currency, as you write it"
          name="currency"
          defaultValue={typed ?? currency}
          maxLength={8}
          placeholder="€"
          autoComplete="off"
        />
        <NativeSelect label="amounts on the shelf in" name="massUnit" defaultValue={massUnit}>
          {Object.entries(unitWords).map(([unit, words]) => (
            <option key={unit} value={unit}>
              {words}
            </option>
          ))}
        </NativeSelect>
        <Button type="submit" name="intent" value="units" h={36} variant="outline" loading={isBusy}>
          Save money and mass
        </Button>
        <FormError>{message}</FormError>
      </Form>
    </>
  );
}
