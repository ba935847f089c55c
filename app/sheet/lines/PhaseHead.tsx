import { memo } from "react";
import { PHASE_TITLE_LENGTH, type TypedPhase } from "../typed/typedSheet";
import classes from "./LineTable.module.css";

export interface PhaseActions {
  typeTitle(letter: string, title: string): void;
  remove(letter: string): void;
}

/** Letter and title of a phase; an empty one can be taken out. */
export const PhaseHead = memo(function PhaseHead({
  phase,
  isDraft,
  isEmpty,
  actions,
}: {
  readonly phase: TypedPhase;
  readonly isDraft: boolean;
  readonly isEmpty: boolean;
  readonly actions: PhaseActions;
}) {
  const canGo = isDraft && isEmpty;
  return (
    <span className={classes.phaseHead}>
      <span className={classes.letter}>{phase.letter}</span>
      <input type="hidden" name="phaseLetter" value={phase.letter} />
      <input
        className={classes.title}
        name="phaseTitle"
        value={phase.title}
        maxLength={PHASE_TITLE_LENGTH}
        readOnly={!isDraft}
        placeholder="title"
        aria-label={`Title of phase ${phase.letter}`}
        onChange={(event) => actions.typeTitle(phase.letter, event.currentTarget.value)}
      />
      {canGo && (
        <button
          type="button"
          className={classes.dropPhase}
          onClick={() => actions.remove(phase.letter)}
          aria-label={`Take phase ${phase.letter} out`}
        >
          ×
        </button>
      )}
    </span>
  );
});
