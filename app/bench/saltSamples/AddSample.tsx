import { Button, TextInput, NativeSelect } from "@mantine/core";
import { useState } from "react";
import { Form, Link } from "react-router";
import { thicknessWays } from "../batch/benchForm";
import { thicknessWords } from "@tensidrum/core/rheology";
import type { TypedSample } from "./sampleForm.server";
import { USUAL_JAR_GRAMS } from "./samplePlan";
import type { OpenSaltSamples } from "./saltSamples.server";
import classes from "./SaltSamples.module.css";

interface AddSampleProps {
  readonly base: OpenSaltSamples;
  /** What was typed and could not be taken. */
  readonly kept: TypedSample | null;
  readonly isBusy: boolean;
}

/** A jar that was made and measured. */
export function AddSample({ base, kept, isBusy }: AddSampleProps) {
  const [way, setWay] = useState<string>(kept?.by ?? "Pa·s");
  return (
    <Form method="post" className={classes.add} key={base.newId}>
      <input type="hidden" name="id" value={base.newId} />
      <TextInput
        label="base in the sample, g"
        name="baseGrams"
        inputMode="decimal"
        autoComplete="off"
        defaultValue={kept?.baseGrams ?? USUAL_JAR_GRAMS}
      />
      <TextInput
        label="dry salt added, g"
        name="saltGrams"
        inputMode="decimal"
        autoComplete="off"
        defaultValue={kept?.saltGrams ?? ""}
        placeholder="0"
      />
      <NativeSelect label="measured" name="by" value={way} onChange={(event) => setWay(event.currentTarget.value)}>
        {thicknessWays
          .filter((one) => one !== "bead")
          .map((one) => (
            <option key={one} value={one}>
              {one === "funnel" ? "seconds through my flow cup" : one === "word" ? "in a word" : "in Pa·s"}
            </option>
          ))}
      </NativeSelect>
      {way === "word" ? (
        <NativeSelect label="it is like" name="word" defaultValue={kept?.word ?? "syrup"}>
          {thicknessWords.map((word) => (
            <option key={word}>{word}</option>
          ))}
        </NativeSelect>
      ) : (
        <TextInput
          label={way === "funnel" ? "seconds" : "thickness, Pa·s"}
          name="viscosity"
          inputMode="decimal"
          autoComplete="off"
          defaultValue={kept?.viscosity ?? ""}
          required
        />
      )}
      {way === "funnel" && !base.hasFunnel && (
        <p>
          Your flow cup was never run with known liquids: its seconds stand for themselves. <Link to="/settings#funnel">Calibrate it</Link>
        </p>
      )}
      <Button type="submit" name="intent" value="add" h={56} fz={17} loading={isBusy}>
        Add this sample
      </Button>
    </Form>
  );
}
