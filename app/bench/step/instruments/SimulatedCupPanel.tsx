import type { SimulatedCupLink } from "../../../frame/instruments/simulatedLinks";
import { SimulatedInstrument } from "./SimulatedInstruments";

/** Plays the flow cup that is not there. */
export function SimulatedCupPanel({ link }: { readonly link: SimulatedCupLink }) {
  return (
    <SimulatedInstrument
      name="Simulated cup"
      acts={[
        { words: "fill it and let it run", play: () => link.fill() },
        { words: "empty it", play: () => link.empty() },
      ]}
    />
  );
}
