import { TextInput, NativeSelect } from "@mantine/core";
import { questionOf, questionOfHaste, type BatchEntry, type PhTuning, type Step } from "@tensidrum/core/process";
import { readNumber } from "@tensidrum/core/quantities";
import { useEffect, useState } from "react";
import { gramsOfWeight } from "../../batch/gramsOfWeight";
import { SimulatedMeterLink } from "../../../frame/instruments/simulatedLinks";
import { useInstrument } from "../../../frame/instruments/useInstrument";
import { useBench } from "../bench";
import { BigButton } from "../BigButton";
import { Entry } from "../Entry";
import { LiveReading } from "../instruments/LiveReading";
import { SimulatedMeterPanel } from "../instruments/SimulatedMeterPanel";
import step from "../Step.module.css";
import classes from "./Tuning.module.css";

interface ReadPhProps {
  readonly due: Step;
  readonly tuning: Pick<PhTuning, "rows" | "isDosedSince">;
  /** It is the sample that is aside. */
  readonly vessel?: "sample";
  readonly isFirst: boolean;
  /** Where the last dose was said to bring it; null where nothing was said of it. */
  readonly predicted?: { readonly low: number; readonly high: number } | null;
  /** A second look at what was read, beside the advice. */
  readonly isAgain?: boolean;
  /** Hears what is likely to be taken, once it has stood for a moment. */
  readonly onMaybe?: (read: MaybeRead | null) => void;
}

/** A reading that has not been taken yet. */
export type MaybeRead = Pick<BatchEntry & { readonly kind: "ph-read" }, "ph" | "way" | "sampleGrams">;

const STANDS_MILLISECONDS = 150;

const samples = { dilution: "2", neat: "0", strip: "0.2" } as const;

/** A reading of the pH: off the meter or typed, how it was read, and what it took out of the batch. */
export function ReadPh({ due, tuning, vessel, isFirst, isAgain = false, predicted = null, onMaybe }: ReadPhProps) {
  const { view, clock, answered, instruments } = useBench();
  const [way, setWay] = useState<keyof typeof samples>(tuning.rows.at(-1)?.way ?? "dilution");
  const meter = useInstrument(instruments.meter);
  const isOffMeter = meter.link !== null && !meter.isQuiet && meter.gone === null && way !== "strip";
  useEffect(() => {
    if (meter.link instanceof SimulatedMeterLink) meter.link.standBeside(vessel ?? "batch");
  }, [meter.link, vessel]);
  const shown = meter.shows?.kind === "reading" && meter.shows.isStable !== false ? meter.shows.value : null;
  const [typed, setTyped] = useState("");
  const [sample, setSample] = useState<string | null>(null);
  const likely = isOffMeter ? shown : typedPh(typed);
  const sampleGrams = gramsOfWeight(sample ?? samples[way]);
  const taken = "value" in sampleGrams ? sampleGrams.value : null;
  useEffect(() => {
    if (onMaybe === undefined) return;
    const timer = setTimeout(
      () => onMaybe(likely === null || taken === null ? null : { ph: likely, way, sampleGrams: taken }),
      STANDS_MILLISECONDS,
    );
    return () => clearTimeout(timer);
  }, [likely, taken, way, onMaybe]);
  const dose = view.standing.findLast(({ kind }) => kind === (vessel === "sample" ? "sample-dosed" : "dosed"));
  const ask = (form: { readonly ph: string; readonly temperature: string }): string | null => {
    const ph = readNumber(form.ph);
    if (!ph.ok) return null;
    const temperature = readNumber(form.temperature);
    const dosedKind = tuning.isDosedSince && (dose?.kind === "dosed" || dose?.kind === "sample-dosed") ? dose.agent.kind : null;
    const haste = questionOfHaste(vessel === "sample" ? "sample-read" : "ph-read", view, clock());
    const unlikely = questionOf(
      { kind: "ph-read", ph: ph.value, ...(temperature.ok ? { temperatureC: temperature.value } : {}) },
      { last: tuning.rows.at(-1)?.ph ?? null, dosedKind, advisedGrams: null, predicted },
    );
    return haste === null || unlikely === null ? (haste ?? unlikely) : `${haste} ${unlikely}`;
  };
  return (
    <Entry
      hidden={{ step: due.id, ...(vessel === undefined ? {} : { vessel }) }}
      className={isAgain ? classes.again : classes.read}
      ask={ask}
    >
      {!isAgain && (
        <p className={step.do}>
          {isFirst ? "Read the pH before anything goes in." : "Stirred and waited two minutes? Read it again."}{" "}
          {way === "dilution" && `2 g of the ${vessel ?? "batch"} into 18 g of distilled water, 20 to 25 °C.`}
        </p>
      )}
      {isOffMeter ? (
        <>
          <LiveReading state={meter} name="pH" decimals={2} beside="pH" />
          <input type="hidden" name="ph" value={shown ?? ""} />
          <input type="hidden" name="temperature" value={meter.temperatureC ?? ""} />
          <input type="hidden" name="readOff" value={meter.link?.isSimulated === true ? "simulated meter" : "meter"} />
        </>
      ) : (
        <>
          <label className={isAgain ? undefined : classes.big}>
            pH{" "}
            <TextInput
              name="ph"
              inputMode="decimal"
              autoComplete="off"
              aria-label={isAgain ? "pH, read again" : "pH"}
              defaultValue={answered?.typed.intent === "read-ph" ? answered.typed.ph : ""}
              autoFocus={!isAgain}
              onInput={(event) => setTyped(event.currentTarget.value)}
            />
          </label>
          <label>
            sample at{" "}
            <TextInput name="temperature" inputMode="decimal" autoComplete="off" inputSize="4" aria-label="Temperature of the sample, °C" />{" "}
            °C
          </label>
        </>
      )}
      <NativeSelect
        label="read"
        name="way"
        value={way}
        onChange={(event) => {
          setWay(event.currentTarget.value as keyof typeof samples);
          setSample(null);
        }}
        aria-label="How it was read"
      >
        <option value="dilution">in a 10 % dilution</option>
        <option value="neat">neat</option>
        <option value="strip">by a strip, ± 0.5</option>
      </NativeSelect>
      <label>
        taken out{" "}
        <TextInput
          name="sample"
          inputMode="decimal"
          autoComplete="off"
          inputSize="5"
          defaultValue={samples[way]}
          key={way}
          onInput={(event) => setSample(event.currentTarget.value)}
        />{" "}
        g
      </label>
      <BigButton
        isMain={!isAgain}
        isOff={isOffMeter && shown === null}
        intent="read-ph"
        act={isAgain ? "Take another reading" : "Take the reading"}
        actKey={isAgain ? "r" : isOffMeter ? " " : undefined}
      >
        {isAgain ? "Read again" : "Take the reading"}
      </BigButton>
      {isOffMeter && meter.link instanceof SimulatedMeterLink && <SimulatedMeterPanel link={meter.link} />}
    </Entry>
  );
}

function typedPh(text: string): number | null {
  const read = readNumber(text);
  return read.ok && read.value >= 0 && read.value <= 14 ? read.value : null;
}
