import { useReducer } from "react";
import type { Dipped, SimulatedMeterLink } from "../../../frame/instruments/simulatedLinks";
import { SimulatedInstrument } from "./SimulatedInstruments";

const places: readonly { readonly words: string; readonly into: Dipped }[] = [
  { words: "dip into the sample", into: "sample" },
  { words: "a warm sample, 38 °C", into: "warm sample" },
  { words: "buffer 4", into: 4 },
  { words: "buffer 7", into: 7 },
  { words: "rinse, in the air", into: "air" },
];

/** Plays the meter that is not there: what its probe stands in. */
export function SimulatedMeterPanel({ link }: { readonly link: SimulatedMeterLink }) {
  const [, drawAnew] = useReducer((count: number) => count + 1, 0);
  return (
    <SimulatedInstrument
      name="Simulated meter"
      acts={places.map(({ words, into }) => ({
        words,
        isOn: link.standsIn() === into,
        play: () => {
          link.dip(into);
          drawAnew();
        },
      }))}
    />
  );
}
