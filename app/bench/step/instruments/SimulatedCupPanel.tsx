import type { SimulatedCupLink } from "../../instruments/simulatedLinks";
import { Play } from "./SimulatedInstruments";

/** Plays the flow cup that is not there. */
export function PlayCup({ link }: { readonly link: SimulatedCupLink }) {
  return (
    <Play
      name="Simulated cup"
      acts={[
        { words: "fill it and let it run", play: () => link.fill() },
        { words: "empty it", play: () => link.empty() },
      ]}
    />
  );
}
