import { Button } from "@mantine/core";
import { writtenShort } from "@tensidrum/core/quantities";
import { Form, useNavigation } from "react-router";
import type { TypedFunnel } from "./settingsForm.server";
import classes from "./Settings.module.css";
import { NumberField } from "../components/NumberField";
import { FormError } from "../components/FormError";

interface FunnelFormProps {
  /** Null while it was never run with known liquids. */
  readonly funnel: { readonly k: number; readonly c: number } | null;
  readonly typed: TypedFunnel | null;
  readonly message: string | null;
}

const liquids = [
  { which: "first liquid", thickness: "1.27", density: "1.26" },
  { which: "second liquid", thickness: "", density: "0.92" },
] as const;

/** The maker's own funnel or syringe, run with two known liquids: from then on its seconds are a thickness. */
export function FunnelForm({ funnel, typed, message }: FunnelFormProps) {
  const isBusy = useNavigation().state !== "idle";
  return (
    <>
      <p className={classes.why}>
        A funnel or a syringe does. Time two liquids you know through it, a thick one and a thin one. Glycerin of 99.5 % is 1.27 Pa·s at 20
        °C and 0.82 at 25 °C, within 5 %.
        {funnel === null
          ? " Until then its seconds stand for themselves."
          : ` Now a wash of 1 g/mL that runs a minute is ${writtenShort(60 * funnel.k - funnel.c / 60, 2)} Pa·s.`}
      </p>
      <Form method="post" action="/settings" className={classes.small} key={JSON.stringify(funnel)}>
        {liquids.map(({ which, thickness, density }, at) => (
          <fieldset key={which} className={classes.liquid}>
            <legend>{which}</legend>
            <NumberField
              label="thickness"
              unit="Pa·s"
              name="thickness"
              defaultValue={typed?.thickness[at] ?? thickness}
              aria-label={`${which}, Pa·s`}
            />
            <NumberField
              label="density"
              unit="g/mL"
              name="density"
              defaultValue={typed?.density[at] ?? density}
              aria-label={`${which}, g/mL`}
            />
            <NumberField label="runs" unit="s" name="seconds" defaultValue={typed?.seconds[at] ?? ""} aria-label={`${which} runs, s`} />
          </fieldset>
        ))}
        <Button type="submit" name="intent" value="funnel" h={36} variant="outline" loading={isBusy}>
          Calibrate the flow cup
        </Button>
        <FormError>{message}</FormError>
      </Form>
    </>
  );
}
