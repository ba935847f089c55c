import { written } from "@tensidrum/core/quantities";
import { useEffect } from "react";
import { SimulatedScaleLink } from "../../instruments/simulatedLinks";
import { useInstrument } from "../../instruments/useInstruments";
import { useBench } from "../bench";
import { BigButton } from "../BigButton";
import classes from "./Instruments.module.css";
import { PlayScale } from "./PlayScale";

interface PortionProps {
  /** What is weighed, for those who only hear it. */
  readonly name: string;
  /** What is wanted, g; it stands in the field already where weights are typed. */
  readonly grams: number;
  readonly decimals: number;
  /** What the weight is called where it is typed. */
  readonly words?: string;
}

/** A small weight of something that is dosed: off the scale when there is one, else typed. */
export function Portion({ name, grams, decimals, words = "really added" }: PortionProps) {
  const { instruments } = useBench();
  const { link, shows, isQuiet, gone } = useInstrument(instruments.scale);
  const usesScale = link !== null && !isQuiet && gone === null;
  useEffect(() => {
    if (link instanceof SimulatedScaleLink) {
      link.putOn({ readabilityGrams: 10 ** -decimals, capacityGrams: 500 }, 0);
      link.tare();
    }
  }, [link, grams, decimals]);
  if (!usesScale) {
    return (
      <label>
        {words}{" "}
        <input
          name="grams"
          inputMode="decimal"
          autoComplete="off"
          defaultValue={grams > 0 ? grams.toFixed(decimals) : ""}
          key={grams}
          aria-label={`${words.charAt(0).toUpperCase()}${words.slice(1)}, g of ${name}`}
        />{" "}
        g
      </label>
    );
  }
  const reading = shows?.kind === "reading" ? shows : null;
  return (
    <>
      <span className={classes.live}>
        <output aria-label={`${name}, the ${link.name} shows`} data-stable={reading?.isStable === false ? "no" : "yes"}>
          {shows?.kind === "overload" ? "over" : reading === null ? "…" : written(reading.value, decimals)}
        </output>
        <span>g</span>
      </span>
      <input type="hidden" name="grams" value={reading === null || reading.isStable === false ? "" : String(reading.value)} />
      <input type="hidden" name="readOff" value={link.isSimulated ? "simulated scale" : "scale"} />
      <BigButton onClick={() => link.tare?.()} act="Tare the scale" actKey="t">
        Tare
      </BigButton>
      {link instanceof SimulatedScaleLink && <PlayScale link={link} target={grams} step={10 ** -decimals} />}
    </>
  );
}
