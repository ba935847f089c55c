import { memo } from "react";
import { temperatureField, titleField } from "../typed/readTyped";
import { PHASE_TITLE_LENGTH, type TypedPart, type TypedPhase } from "../typed/typedSheet";
import classes from "./LineTable.module.css";

export interface PhaseActions {
  typeTitle(letter: string, title: string): void;
  typeTemperature(letter: string, text: string): void;
  typePart(letter: string, key: keyof TypedPart, text: string): void;
  remove(letter: string): void;
}

/** Letter and title of a phase; an empty one can be taken out. */
export const PhaseHead = memo(function PhaseHead({
  phase,
  isDraft,
  isEmpty,
  problem,
  actions,
}: {
  readonly phase: TypedPhase;
  readonly isDraft: boolean;
  readonly isEmpty: boolean;
  readonly problem?: string | undefined;
  readonly actions: PhaseActions;
}) {
  const canGo = isDraft && isEmpty;
  return (
    <span className={classes.phaseHead}>
      <span className={classes.letter}>{phase.letter}</span>
      <input
        className={classes.title}
        name={titleField(phase.letter)}
        value={phase.title}
        maxLength={PHASE_TITLE_LENGTH}
        readOnly={!isDraft}
        placeholder="title"
        aria-label={`Title of phase ${phase.letter}`}
        onChange={(event) => actions.typeTitle(phase.letter, event.currentTarget.value)}
      />
      <label className={classes.temperature} data-set={phase.temperature !== "" || undefined}>
        <input
          name={temperatureField(phase.letter)}
          value={phase.temperature}
          readOnly={!isDraft}
          inputMode="decimal"
          autoComplete="off"
          placeholder={isDraft ? "°C" : ""}
          aria-label={`Temperature of phase ${phase.letter}, °C; empty is room temperature`}
          {...(problem === undefined ? {} : { "aria-invalid": true, title: problem })}
          onChange={(event) => actions.typeTemperature(phase.letter, event.currentTarget.value)}
        />
        {phase.temperature !== "" && "°C"}
      </label>
      {canGo && (
        <button
          type="button"
          className={classes.dropPhase}
          onClick={() => actions.remove(phase.letter)}
          aria-label={`Delete phase ${phase.letter}`}
        >
          ×
        </button>
      )}
    </span>
  );
});
