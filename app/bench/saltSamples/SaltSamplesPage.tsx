import { UnstyledButton } from "@mantine/core";
import { written, writtenPercent } from "@tensidrum/core/quantities";
import { answerSaltCurve, fittedCurve } from "@tensidrum/core/rheology";
import { useMemo } from "react";
import { Form, Link, useNavigation } from "react-router";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { StationNav } from "../../frame/stationNav/StationNav";
import { SaltCurvePicture } from "../../pictures/SaltCurve/SaltCurve";
import bench from "../Bench.module.css";
import { benchStations } from "../benchStation";
import { AddSample } from "./AddSample";
import type { FormAnswer } from "../../frame/formAnswer";
import type { TypedSample } from "./sampleForm.server";
import { SampleList } from "./SampleList";
import { SampleSalts } from "./SampleSalts";
import type { OpenSaltSamples } from "./saltSamples.server";
import classes from "./SaltSamples.module.css";
import { FormError } from "../../components/FormError";

interface SaltSamplesPageProps {
  readonly base: OpenSaltSamples;
  readonly answered: (FormAnswer<TypedSample> & { readonly gone: OpenSaltSamples["saltSamples"][number] | null }) | null;
}

/** Samples of a surfactant base with rising salt, and the salt curve through them: every batch of that base uses it. */
export function SaltSamplesPage({ base, answered }: SaltSamplesPageProps) {
  const { saltSamples, target, cleansers, hiddenSaltPercent } = base;
  const units = [...new Set(saltSamples.map(({ unit }) => unit))];
  const unit = units.includes("Pa·s") || units.length === 0 ? "Pa·s" : "s";
  const same = useMemo(() => saltSamples.filter((saltSample) => saltSample.unit === unit), [saltSamples, unit]);
  const saltCurve = useMemo(() => fittedCurve(same), [same]);
  const curve = useMemo(() => answerSaltCurve(same, unit === "Pa·s" ? target : null), [same, unit, target]);
  const isBusy = useNavigation().state !== "idle";
  return (
    <Frame
      head={<PageHeader beside={base.name}>Salt-curve samples</PageHeader>}
      doors={<Link to={base.back}>{base.backWords}</Link>}
      line={<StationNav stations={benchStations("salt-curve samples")} />}
    >
      <title>{`Salt-curve samples, ${base.name}`}</title>
      <FormError>{answered?.sentence}</FormError>
      {answered?.gone != null && <PutBack saltSample={answered.gone} />}
      <div className={classes.page}>
        <section aria-labelledby="base-head">
          <h2 id="base-head">The base</h2>
          <p>
            {cleansers.map(({ name, percent }) => `${writtenPercent(percent)} % ${name.split(",")[0] ?? name}`).join(", ")}, as active
            matter. Any batch with these finds these samples. Salt the materials bring along: {written(hiddenSaltPercent, 2)} %.
          </p>
          <AddSample base={base} kept={answered === null || answered.problems.length === 0 ? null : answered.typed} isBusy={isBusy} />
          <SampleSalts hiddenSaltPercent={hiddenSaltPercent} />
        </section>
        <section aria-labelledby="curve-head">
          <h2 id="curve-head">Salt curve</h2>
          {saltSamples.length === 0 ? (
            <p className={bench.empty}>
              No samples yet. Make the base without its salt, weigh it into a few jars, and add the first one here.
            </p>
          ) : (
            <>
              <SaltCurvePicture unit={unit} readings={[]} saltSamples={same} saltCurve={saltCurve} target={target} expected={null} />
              <p>
                {curve.text}
                {saltCurve?.typicalMissPercent != null && ` Typical miss ${written(saltCurve.typicalMissPercent, 0)} % (estimate).`}
                {curve.fit?.peakRange != null &&
                  ` The peak lies between ${written(curve.fit.peakRange.low, 2)} and ${written(curve.fit.peakRange.high, 2)} % with 95 % confidence.`}
              </p>
              <SampleList saltSamples={saltSamples} isBusy={isBusy} />
            </>
          )}
        </section>
      </div>
    </Frame>
  );
}

function PutBack({ saltSample }: { readonly saltSample: OpenSaltSamples["saltSamples"][number] }) {
  return (
    <Form method="post" className={classes.back} role="status">
      The sample of {written(saltSample.saltPercent, 2)} % salt was deleted.
      <input type="hidden" name="id" value={saltSample.id} />
      <input type="hidden" name="salt" value={saltSample.saltPercent} />
      <input type="hidden" name="viscosity" value={saltSample.viscosity} />
      <input type="hidden" name="unit" value={saltSample.unit} />
      <input type="hidden" name="said" value={saltSample.said} />
      <UnstyledButton type="submit" name="intent" value="put-back" className={classes.pour}>
        Put it back
      </UnstyledButton>
    </Form>
  );
}
