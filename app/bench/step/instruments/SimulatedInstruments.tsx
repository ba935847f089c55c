import { BoxButton } from "../BoxButton";
import classes from "./Instruments.module.css";

interface SimulatedInstrumentProps {
  readonly name: string;
  readonly isOff?: boolean;
  readonly acts: readonly { readonly words: string; readonly isOn?: boolean; readonly play: () => void }[];
}

/** What can be done to an instrument that is not there; clearly marked as played. */
export function SimulatedInstrument({ name, isOff = false, acts }: SimulatedInstrumentProps) {
  return (
    <fieldset className={classes.play}>
      <legend>{name}: nothing is really measured, and each entry says so</legend>
      {acts.map(({ words, isOn, play }) => (
        <BoxButton key={words} disabled={isOff} aria-pressed={isOn} onClick={play}>
          {words}
        </BoxButton>
      ))}
    </fieldset>
  );
}
