import { type Sums } from "@tensidrum/core/assessment";
import { finestDecimals, gramsText } from "@tensidrum/core/formula";
import type { Material } from "@tensidrum/core/library";
import { percentText, toDecimals, writtenPercent, written, type Scale } from "@tensidrum/core/quantities";
import { memo } from "react";
import { addUpToField, assayField, mayAddField, percentField, shareField, titleField } from "../typed/readTyped";
import type { FieldProblem } from "../../frame/formAnswer";
import type { TypedPhase, TypedSheet } from "../typed/typedSheet";
import type { LineActions } from "./lineActions";
import { handleLineKeys } from "./lineKeys";
import { LineRow } from "./LineRow";
import { useDragging } from "./useDragging";
import { PartHead } from "./PartHead";
import { PhaseHead, type PhaseActions } from "./PhaseHead";
import classes from "./LineTable.module.css";

interface LineTableProps {
  readonly typed: TypedSheet;
  readonly materials: ReadonlyMap<string, Material>;
  readonly sums: Sums;
  readonly batchGrams: number;
  /** By line, as `tagsKey` writes them. */
  readonly tags: Readonly<Record<string, string>>;
  readonly scales: readonly Scale[];
  readonly problems: readonly FieldProblem[];
  readonly openLineId: string | null;
  readonly isDraft: boolean;
  readonly actions: LineActions;
  readonly phaseActions: PhaseActions;
  /** A line was dropped where another stands. */
  readonly onDrop: (lineId: string, overLineId: string) => void;
  /** Enter in the last cell. */
  readonly onLastEnter: () => void;
}

/** A hundredth of a gram in a kilogram; it hides the noise of the sum, and fits the cell. */
const REST_DECIMALS = 3;

/** The lines by phase: percent in, active matter and grams out. */
export function LineTable(props: LineTableProps) {
  const { typed, sums, tags, scales, problems, isDraft, actions, onDrop } = props;
  const dragging = useDragging(isDraft);
  const Row = dragging?.DraggableLineRow ?? LineRow;
  const problemOf = new Map(problems.map(({ field, message }) => [field, message]));
  const assessed = new Map(sums.lines.map((line) => [line.id, line]));
  const sheetDecimals = finestDecimals(sums.lines, scales);
  const isOver = sums.totalPercent > 100;
  const letters = typed.phases.map((phase) => phase.letter).join("");
  const totalGrams = sums.lines.reduce((sum, line) => sum + line.gramsToWeigh, 0);

  const rowsOf = (phase: TypedPhase) => {
    const lines = typed.lines.filter((line) => line.phase === phase.letter);
    const { letter, part } = phase;
    const head = part !== undefined && (
      <PartHead
        key={letter}
        {...{ phase, part, isDraft }}
        batchGrams={props.batchGrams}
        isEmpty={lines.length === 0}
        problems={[titleField, shareField, addUpToField, mayAddField].flatMap((field) => problemOf.get(field(letter)) ?? [])}
        actions={props.phaseActions}
      />
    );
    if (part !== undefined && lines.length === 0) return head;
    if (lines.length === 0) {
      return (
        <tr className={classes.row} data-first>
          <td className={classes.phase}>
            <PhaseHead phase={phase} isDraft={isDraft} isEmpty actions={props.phaseActions} />
          </td>
          <td colSpan={6} className={classes.empty}>
            nothing in it yet
          </td>
        </tr>
      );
    }
    const rows = lines.map((line, index) => {
      const reading = assessed.get(line.id);
      const isRest = line.id === typed.restLineId;
      return (
        <Row
          key={line.id}
          line={line}
          material={props.materials.get(line.materialId)}
          isRest={isRest}
          restPercent={isRest && reading !== undefined ? percentText(toDecimals(reading.percent, REST_DECIMALS)) : null}
          activePercent={reading?.activePercent ?? null}
          grams={reading === undefined ? "" : gramsText(reading, scales, isRest ? sheetDecimals : null)}
          tags={tags[line.id] ?? ""}
          problem={problemOf.get(percentField(line.id))}
          assayProblem={problemOf.get(assayField(line.id))}
          isOpen={props.openLineId === line.id}
          isOver={isRest && isOver}
          isDraft={isDraft}
          phaseLetters={letters}
          actions={actions}
          phase={index === 0 && part === undefined ? phase : null}
          isOfPart={part !== undefined}
          phaseActions={props.phaseActions}
        />
      );
    });
    return part === undefined ? rows : [head, ...rows];
  };

  const table = (
    <table className={classes.table} onKeyDown={(event) => handleLineKeys(event, actions, props.onLastEnter)}>
      <TableHead />
      <tbody>{typed.phases.map((phase) => rowsOf(phase))}</tbody>
      <tfoot>
        <tr>
          <td colSpan={2} className={classes.phase} />
          <td className={classes.material}>{typed.lines.length === 1 ? "1 line" : `${typed.lines.length} lines`}</td>
          <td className={classes.percent} data-over={isOver || undefined}>
            {writtenPercent(sums.totalPercent)}
          </td>
          <td className={classes.active}>{writtenPercent(sums.activeMatter.percent)}</td>
          <td className={classes.grams}>{written(totalGrams, sheetDecimals)}</td>
          <td />
        </tr>
      </tfoot>
    </table>
  );
  if (dragging === null) return table;
  return (
    <dragging.DragLines ids={typed.lines.map((line) => line.id).join()} onDrop={onDrop}>
      {table}
    </dragging.DragLines>
  );
}

const TableHead = memo(function TableHead() {
  return (
    <thead>
      <tr>
        <th scope="col" className={classes.phase}>
          <span className="only-for-readers">phase</span>
        </th>
        <th scope="col" className={classes.sign}>
          <span className="only-for-readers">charge</span>
        </th>
        <th scope="col" className={classes.material}>
          material and role
        </th>
        <th scope="col" className={classes.percent}>
          % as supplied
        </th>
        <th scope="col" className={classes.active}>
          active
        </th>
        <th scope="col" className={classes.grams}>
          grams
        </th>
        <th scope="col" className={classes.ends}>
          <span className="only-for-readers">findings</span>
        </th>
      </tr>
    </thead>
  );
});
