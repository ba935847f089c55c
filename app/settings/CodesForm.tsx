import { Button, TextInput } from "@mantine/core";
import { Form, useNavigation } from "react-router";
import { FormError } from "../components/FormError";
import classes from "./Settings.module.css";

/** How batches are called. */
export function CodesForm({ batchCode, message }: { readonly batchCode: string; readonly message: string | null }) {
  const isBusy = useNavigation().state !== "idle";
  return (
    <>
      <p className={classes.why}>
        {"{letters} are the first letters of the formula's words, {yymmdd}, {yyyy}, {mm} and {dd} the day, {n} the number."}
      </p>
      <Form method="post" action="/settings" className={classes.small} key={batchCode}>
        <TextInput
          styles={{ input: { width: 260 } }}
          label="pattern"
          name="batchCode"
          defaultValue={batchCode}
          maxLength={40}
          autoComplete="off"
        />
        <Button type="submit" name="intent" value="codes" h={36} variant="outline" loading={isBusy}>
          Save the pattern
        </Button>
        <FormError>{message}</FormError>
      </Form>
    </>
  );
}
