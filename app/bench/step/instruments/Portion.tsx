import { TextInput } from "@mantine/core";
import { written } from "@tensidrum/core/quantities";
import { useEffect, useState } from "react";
import { SimulatedScaleLink } from "../../../frame/instruments/simulatedLinks";
import { useInstrument } from "../../../frame/instruments/useInstrument";
import type { BenchForm } from "../../batch/benchForm";
import { useBench } from "../bench";
import { BigButton } from "../BigButton";
import classes from "./Instruments.module.css";
import { SimulatedScalePanel } from "./SimulatedScalePanel";

interface PortionProps {
  /** What is weighed, for those who only hear it. */
  readonly name: string;
  /** What is wanted, g; it stands in the field already where weights are typed. */
  readonly grams: number;
  readonly decimals: number;
  /** What the weight is called where it is typed. */
  readonly words?: string;
  /** What enters it: once the scale stands, where there is one. */
  readonly button: { readonly intent: BenchForm["intent"]; readonly act: string; readonly taken: string; readonly isMain: boolean };
}

/**
 * A small weight of something that is dosed: off the scale when there is one, else typed. Each weight wants a portion of
 * its own, so that what still lies there from the last one is not entered twice.
 */
export function Portion({ name, grams, decimals, words = "really added", button }: PortionProps) {
  const { instruments } = useBench();
  const { link, shows, isQuiet, gone } = useInstrument(instruments.scale);
  const readable = 10 ** -decimals;
  const usesScale = link !== null && !isQuiet && gone === null;
  useEffect(() => {
    if (link instanceof SimulatedScaleLink) {
      link.putOn({ readabilityGrams: readable, capacityGrams: 500 }, 0);
      link.tare();
    }
  }, [link, grams, readable]);
  const reading = usesScale && shows?.kind === "reading" ? shows : null;
  const isAtZero = reading !== null && reading.isStable !== false && Math.abs(reading.value) <= 2 * readable;
  const [isTared, setTared] = useState(false);
  useEffect(() => {
    if (isAtZero) setTared(true);
  }, [isAtZero]);
  const { intent, act, taken, isMain } = button;
  const enter = (isOff: boolean) => (
    <BigButton isMain={isMain} isOff={isOff} intent={intent} act={act} actKey={isMain ? " " : undefined}>
      {taken}
    </BigButton>
  );
  if (!usesScale) {
    return (
      <>
        <label>
          {words}{" "}
          <TextInput
            name="grams"
            inputMode="decimal"
            autoComplete="off"
            defaultValue={grams > 0 ? grams.toFixed(decimals) : ""}
            key={grams}
            aria-label={`${words.charAt(0).toUpperCase()}${words.slice(1)}, g of ${name}`}
          />{" "}
          g
        </label>
        {enter(false)}
      </>
    );
  }
  const stands = isTared && reading !== null && reading.isStable !== false && reading.value > 0;
  return (
    <>
      <span className={classes.live}>
        <output aria-label={`${name}, the ${link.name} shows`} data-stable={reading?.isStable === false ? "no" : "yes"}>
          {shows?.kind === "overload" ? "over" : reading === null ? "…" : written(reading.value, decimals)}
        </output>
        <span>{isTared || reading === null ? "g" : "g. Tare first: this was there before."}</span>
      </span>
      <input type="hidden" name="grams" value={stands ? String(reading.value) : ""} />
      <input type="hidden" name="readOff" value={link.isSimulated ? "simulated scale" : "scale"} />
      <BigButton onClick={() => link.tare?.()} act="Tare the scale" actKey="t">
        Tare
      </BigButton>
      {enter(!stands)}
      {link instanceof SimulatedScaleLink && <SimulatedScalePanel link={link} target={grams} isTared={isTared} step={readable} />}
    </>
  );
}
