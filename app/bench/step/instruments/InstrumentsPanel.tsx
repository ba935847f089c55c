import { NativeSelect } from "@mantine/core";
import { useEffect, useState } from "react";
import type { Instrument, InstrumentState } from "../../../frame/instruments/instrument";
import { instrumentKinds, type InstrumentKind } from "../../../frame/instruments/instrumentLink";
import { baudRates, canReadSerial } from "../../../frame/instruments/serialLink";
import { SimulatedCupLink, SimulatedMeterLink, SimulatedScaleLink } from "../../../frame/instruments/simulatedLinks";
import { useInstrument } from "../../../frame/instruments/useInstrument";
import { useBench } from "../bench";
import { BoxButton } from "../BoxButton";
import classes from "./Instruments.module.css";
import { SimulatedCupPanel } from "./SimulatedCupPanel";
import { SimulatedMeterPanel } from "./SimulatedMeterPanel";
import { SimulatedScalePanel } from "./SimulatedScalePanel";
import { shownWords } from "./shownWords";
import { FormError } from "../../../components/FormError";

const names: Readonly<Record<InstrumentKind, string>> = { scale: "Scale", meter: "pH meter", cup: "Flow cup" };
const sources: Readonly<Record<InstrumentKind, string>> = { scale: "weights", meter: "pH", cup: "flow times" };

/** Where weights, pH and flow times come from: typed, off an instrument on a cable, or off a simulated instrument that is played here. */
export function InstrumentsPanel() {
  const { instruments, isPractice } = useBench();
  const states = { scale: useInstrument(instruments.scale), meter: useInstrument(instruments.meter), cup: useInstrument(instruments.cup) };
  const taken = instrumentKinds.filter((kind) => states[kind].link !== null);
  const typed = instrumentKinds.filter((kind) => states[kind].link === null).map((kind) => sources[kind]);
  const told = isPractice
    ? ["all simulated"]
    : [
        ...taken.map((kind) => `${sources[kind]} off the ${states[kind].link?.name ?? ""}`),
        ...(typed.length > 0 ? [`${typed.join(", ")} typed`] : []),
      ];
  return (
    <details className={classes.panel} name="instruments">
      <summary data-act="Show the instruments">Instruments: {told.join("; ")}</summary>
      <ul>
        {instrumentKinds.map((kind) => (
          <Row key={kind} instrument={instruments[kind]} state={states[kind]} />
        ))}
      </ul>
    </details>
  );
}

function Row({ instrument, state }: { readonly instrument: Instrument; readonly state: InstrumentState }) {
  const { kind } = instrument;
  const { link } = state;
  return (
    <li aria-label={names[kind]}>
      <h3>{names[kind]}</h3>
      <output className={classes.shows} aria-live="off" aria-label={`${names[kind]} shows`}>
        {shownWords(state)}
        {state.temperatureC !== null && <small>{state.temperatureC} °C</small>}
      </output>
      <Ways instrument={instrument} state={state} />
      {link instanceof SimulatedScaleLink && <SimulatedScalePanel link={link} target={10} step={0.01} />}
      {link instanceof SimulatedMeterLink && <SimulatedMeterPanel link={link} />}
      {link instanceof SimulatedCupLink && <SimulatedCupPanel link={link} />}
    </li>
  );
}

const BAUD = "tensidrum.bench-baud";
const USUAL_BAUD = 9_600;

/** The three ways a value can come. */
function Ways({
  instrument: { kind },
  state: { link, gone, isQuiet, shows },
}: {
  readonly instrument: Instrument;
  readonly state: InstrumentState;
}) {
  const { instruments, isPractice } = useBench();
  const [baud, setBaud] = useState(USUAL_BAUD);
  const [problem, setProblem] = useState<string | null>(null);
  const [isSerialThere, setSerialThere] = useState(false);
  useEffect(() => {
    setSerialThere(canReadSerial());
    setBaud(Number(localStorage.getItem(`${BAUD}-${kind}`)) || USUAL_BAUD);
  }, [kind]);
  if (isPractice) return null;
  const connect = async (): Promise<void> => {
    localStorage.setItem(`${BAUD}-${kind}`, String(baud));
    setProblem(await instruments.takeSerial(kind, baud));
  };
  const trouble =
    problem ??
    (gone !== null
      ? `${gone} Plug it in and connect again, or type.`
      : isQuiet
        ? "It has gone quiet. Is it on?"
        : shows?.kind === "other-unit"
          ? `It sends ${shows.unit}. Set it to ${kind === "scale" ? "g" : kind === "meter" ? "pH" : "s"}.`
          : null);
  return (
    <div className={classes.ways}>
      <BoxButton aria-pressed={link === null} onClick={() => instruments.putAway(kind)}>
        typed
      </BoxButton>
      <BoxButton aria-pressed={link?.isSimulated === true} onClick={() => instruments.takeSimulated(kind)}>
        simulated
      </BoxButton>
      <BoxButton
        aria-pressed={link !== null && !link.isSimulated}
        disabled={!isSerialThere}
        title={isSerialThere ? undefined : "This browser does not let a page read a cable"}
        onClick={() => void connect()}
      >
        on a cable
      </BoxButton>
      {isSerialThere && (
        <NativeSelect
          label="baud"
          value={baud}
          onChange={(event) => setBaud(Number(event.currentTarget.value))}
          aria-label={`Baud of the ${names[kind]}`}
        >
          {baudRates.map((rate) => (
            <option key={rate}>{rate}</option>
          ))}
        </NativeSelect>
      )}
      {trouble !== null && <FormError>{trouble}</FormError>}
    </div>
  );
}
