import type { SimulatedScaleLink } from "../../../frame/instruments/simulatedLinks";
import { SimulatedInstrument } from "./SimulatedInstruments";

interface PlayScaleProps {
  readonly link: SimulatedScaleLink;
  /** What is to lie on it in the end, g. */
  readonly target: number;
  readonly isTared?: boolean;
  readonly step: number;
}

/** Plays the scale that is not there: pours and spoons out. */
export function SimulatedScalePanel({ link, target, isTared = true, step }: PlayScaleProps) {
  const missing = () => target - link.netGrams();
  return (
    <SimulatedInstrument
      name="Simulated scale"
      isOff={!isTared}
      acts={[
        { words: "pour what is missing", play: () => link.pour(missing()) },
        { words: "pour half of it", play: () => link.pour(missing() / 2) },
        { words: "a splash too much", play: () => link.pour(missing() + target * 0.06 + step * 3) },
        { words: "a spoonful out", play: () => link.pour(-Math.max(step * 5, target * 0.05)) },
      ]}
    />
  );
}
