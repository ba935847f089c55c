import { memo, useState } from "react";
import { addUpToField, mayAddField, readShare, shareField, titleField } from "../typed/readTyped";
import { MAY_ADD_LENGTH, PHASE_TITLE_LENGTH, type TypedPart, type TypedPhase } from "../typed/typedSheet";
import { writtenMass, writtenShort } from "@tensidrum/core/quantities";
import classes from "./PartHead.module.css";
import type { PhaseActions } from "./PhaseHead";

interface PartHeadProps {
  readonly phase: TypedPhase;
  readonly part: TypedPart;
  readonly batchGrams: number;
  readonly isDraft: boolean;
  readonly isEmpty: boolean;
  /** At its name, its share and what others may add. */
  readonly problems: readonly string[];
  readonly actions: PhaseActions;
}

/** What others add at most where nothing is said yet, %. */
const USUAL_ADDED = "10";

/** Over the lines of a part: its name, its share of the batch, and what others may add where it is left open. */
export const PartHead = memo(function PartHead({ phase, part, batchGrams, isDraft, isEmpty, problems, actions }: PartHeadProps) {
  const { letter, title } = phase;
  const [isOpened, setOpened] = useState(false);
  const share = readShare(part.share, batchGrams);
  const name = title === "" ? `part ${letter}` : title;
  const isOpen = part.addUpTo.trim() !== "";
  const isInGrams = /[a-z]\s*$/i.test(part.share);
  return (
    <tr className={classes.row}>
      <td colSpan={7}>
        <div className={classes.fields}>
          <input type="hidden" name={`phases.${letter}.isPart`} value="on" />
          <span className={classes.mark}>part</span>
          <input
            className={classes.name}
            name={titleField(letter)}
            value={title}
            maxLength={PHASE_TITLE_LENGTH}
            readOnly={!isDraft}
            placeholder="name: blue, plain …"
            aria-label={`Name of part ${letter}`}
            onChange={(event) => actions.typeTitle(letter, event.currentTarget.value)}
          />
          <label>
            <input
              className={classes.number}
              name={shareField(letter)}
              value={part.share}
              readOnly={!isDraft}
              autoComplete="off"
              aria-label={`Share of the batch, ${name}: % or g`}
              {...(problems.length === 0 ? {} : { "aria-invalid": true })}
              onChange={(event) => actions.typePart(letter, "share", event.currentTarget.value)}
            />{" "}
            {isInGrams || part.share.trim().endsWith("%") ? "" : "% "}of the batch
          </label>
          {share.ok && (
            <span className={classes.sum}>
              {isInGrams ? `${writtenShort(share.value, 1)} %` : writtenMass((batchGrams * share.value) / 100)}
            </span>
          )}
          {isDraft && part.addUpTo === "" && (
            <button
              type="button"
              className={classes.leaveOpen}
              onClick={() => {
                setOpened(true);
                actions.typePart(letter, "addUpTo", USUAL_ADDED);
              }}
            >
              leave open for others
            </button>
          )}
          {part.addUpTo !== "" && (
            <label>
              others add up to{" "}
              <input
                className={classes.number}
                name={addUpToField(letter)}
                value={part.addUpTo}
                // The button that was pressed is gone: the caret goes to what it opened.
                autoFocus={isOpened}
                readOnly={!isDraft}
                inputMode="decimal"
                autoComplete="off"
                aria-label={`What others may add to ${name}, % of what they finish; empty where it is finished`}
                onChange={(event) => actions.typePart(letter, "addUpTo", event.currentTarget.value)}
              />{" "}
              %
            </label>
          )}
          {isOpen ? (
            <input
              className={classes.words}
              name={mayAddField(letter)}
              value={part.mayAdd}
              maxLength={MAY_ADD_LENGTH}
              readOnly={!isDraft}
              placeholder="what: scent, oils; no water"
              aria-label={`What may be added to ${name}`}
              onChange={(event) => actions.typePart(letter, "mayAdd", event.currentTarget.value)}
            />
          ) : (
            <input type="hidden" name={mayAddField(letter)} value={part.mayAdd} />
          )}
          {isDraft && isEmpty && (
            <button type="button" className={classes.drop} onClick={() => actions.remove(letter)} aria-label={`Delete ${name}`}>
              ×
            </button>
          )}
          {problems.map((problem) => (
            <span key={problem} className={classes.problem}>
              {problem}
            </span>
          ))}
        </div>
      </td>
    </tr>
  );
});
