import type { Material } from "@tensidrum/core/library";
import { writtenPercent } from "@tensidrum/core/quantities";
import { type CSSProperties, lazy, memo, Suspense } from "react";
import { ChargeDot } from "../../components/ChargeDot";
import { FindingMark } from "../../components/FindingMark";
import { lineFields } from "../sheetFormData";
import { PERCENT_MARK } from "./lineKeys";
import type { LineActions } from "./lineActions";
import classes from "./LineTable.module.css";
import { tagsOfKey } from "./findingTags";
import { isNotChosen, namedAsWritten, roleOf, shownMaterial } from "@tensidrum/core/library";
import { PhaseHead, type PhaseActions } from "./PhaseHead";
import { percentField } from "../typed/readTyped";
import type { TypedLine, TypedPhase } from "../typed/typedSheet";

/** Comes when a line is opened for the first time. */
const LineDetail = lazy(async () => ({ default: (await import("./LineDetail")).LineDetail }));

/** What makes a row movable, once dragging is there. */
export interface RowDrag {
  readonly rowRef: (row: HTMLElement | null) => void;
  readonly gripRef: (grip: HTMLElement | null) => void;
  readonly style: CSSProperties;
  readonly isDragging: boolean;
  readonly grip: object;
}

export interface LineRowProps {
  readonly line: TypedLine;
  readonly material: Material | undefined;
  readonly isRest: boolean;
  /** What the line of the rest gets. */
  readonly restPercent: string | null;
  readonly activePercent: number | null;
  readonly grams: string;
  readonly tags: string;
  readonly problem: string | undefined;
  readonly assayProblem: string | undefined;
  readonly isOpen: boolean;
  readonly isOver: boolean;
  readonly isDraft: boolean;
  readonly phaseLetters: string;
  readonly actions: LineActions;
  /** The phase it is in, on its first line. */
  readonly phase: TypedPhase | null;
  /** A part is made up by the base: none of its lines is q.s. */
  readonly isOfPart: boolean;
  readonly phaseActions: PhaseActions;
  readonly drag?: RowDrag;
}

/** Characters that fit beside each other in the column of materials. */
const ROOM_CHARACTERS = 33;

/** One line of the sheet. Cells are native inputs, and a row draws again only when it changes itself. */
export const LineRow = memo(function LineRow(props: LineRowProps) {
  const { line, material, tags, problem, isOpen, isDraft, actions, phase, drag } = props;
  const marks = tagsOfKey(tags);
  const shown = material === undefined ? { name: "unknown material" } : shownMaterial(namedAsWritten(material, line.asWritten));
  const waits = material !== undefined && isNotChosen(material);
  const hasStop = marks.some((mark) => mark.severity === "stop");
  const role = material === undefined ? "" : waits ? "open" : roleOf(material);
  return (
    <>
      <tr
        ref={drag?.rowRef}
        style={drag?.style}
        id={`line-${line.id}`}
        className={classes.row}
        data-dragged={drag?.isDragging || undefined}
        data-first={phase !== null || undefined}
        data-stop={hasStop || undefined}
        data-waits={waits || undefined}
      >
        <td className={classes.phase}>
          {phase !== null && <PhaseHead phase={phase} isDraft={isDraft} isEmpty={false} actions={props.phaseActions} />}
        </td>
        <td className={classes.sign}>
          {drag !== undefined && (
            <button type="button" ref={drag.gripRef} className={classes.grip} {...drag.grip} aria-label={`Move ${shown.name}`}>
              <svg width="8" height="14" viewBox="0 0 8 14" aria-hidden="true" fill="currentColor">
                <path d="M1 2h2v2H1zm4 0h2v2H5zM1 6h2v2H1zm4 0h2v2H5zm-4 4h2v2H1zm4 0h2v2H5z" />
              </svg>
            </button>
          )}
          {material?.charge != null && <ChargeDot charge={material.charge} />}
        </td>
        <td className={classes.material}>
          <button type="button" className={classes.name} aria-expanded={isOpen} onClick={() => actions.toggleDetail(line.id)}>
            {shown.name}
          </button>
          <span className={classes.role} data-crowded={shown.name.length + role.length > ROOM_CHARACTERS || undefined}>
            {role}
          </span>
        </td>
        <td className={classes.percent}>
          <PercentCell {...props} name={shown.name} />
        </td>
        <td className={classes.active}>
          {props.activePercent !== null && props.activePercent > 0 ? writtenPercent(props.activePercent) : ""}
        </td>
        <td className={classes.grams}>{props.grams}</td>
        <td className={classes.ends}>
          {marks.map((mark) => (
            <FindingMark key={mark.number} {...mark} />
          ))}
          {isDraft && <RemoveButton line={line} name={shown.name} actions={actions} />}
        </td>
      </tr>
      {problem !== undefined && (
        <tr className={classes.problem}>
          <td colSpan={7} id={`problem-${line.id}`}>
            {problem}
          </td>
        </tr>
      )}
      {isOpen && material !== undefined && (
        <Suspense>
          <LineDetail
            line={line}
            material={material}
            isDraft={isDraft}
            problem={props.assayProblem}
            phaseLetters={props.phaseLetters}
            actions={actions}
          />
        </Suspense>
      )}
    </>
  );
});

function PercentCell({
  line,
  isRest,
  restPercent,
  problem,
  isOver,
  isDraft,
  isOfPart,
  actions,
  name,
}: LineRowProps & { readonly name: string }) {
  return (
    <>
      {lineFields(line).map(([field, value]) => (
        <input key={field} type="hidden" name={field} value={value} />
      ))}
      {(!isOfPart || isRest) && (
        <input
          type="radio"
          className={classes.rest}
          name="restLineId"
          value={line.id}
          checked={isRest}
          disabled={!isDraft}
          onChange={() => actions.takeTheRest(line.id)}
          aria-label={`${name} is q.s. to 100 %`}
        />
      )}
      <input
        className={classes.cell}
        {...{ [PERCENT_MARK]: line.id }}
        name={percentField(line.id)}
        inputMode="decimal"
        value={isRest ? (restPercent ?? "") : line.percent}
        readOnly={isRest || !isDraft}
        data-over={(isRest && isOver) || undefined}
        aria-label={`${name}, percent`}
        aria-invalid={problem !== undefined || undefined}
        aria-describedby={problem === undefined ? undefined : `problem-${line.id}`}
        onChange={(event) => actions.typePercent(line.id, event.currentTarget.value)}
        onFocus={() => actions.enter(line)}
      />
    </>
  );
}

function RemoveButton({ line, name, actions }: { readonly line: TypedLine; readonly name: string; readonly actions: LineActions }) {
  return (
    <button
      type="submit"
      className={classes.remove}
      name="intent"
      value={`remove:${line.id}`}
      aria-label={`Delete ${name}`}
      onClick={(event) => {
        event.preventDefault();
        actions.remove(line.id);
      }}
    >
      ×
    </button>
  );
}
