import { useCallback } from "react";
import { useSheet } from "../SheetState";
import { useFindingTags } from "../JudgedSheet";
import classes from "../Sheet.module.css";
import { LineTable } from "./LineTable";

/** The lines of the sheet, or the invitation to begin them. */
export function LinesPart() {
  const { sheet, editor, known, readings, problems, isDraft, addInput } = useSheet();
  const tags = useFindingTags();
  const toAddLine = useCallback(() => addInput.current?.focus(), [addInput]);
  return (
    <>
      <LineTable
        typed={editor.typed}
        materials={known.materials.byId}
        sums={readings.shown}
        batchGrams={readings.formula.batchGrams}
        tags={tags}
        scales={sheet.scales}
        problems={problems}
        openLineId={editor.openLineId}
        isDraft={isDraft}
        actions={editor.lineActions}
        phaseActions={editor.phaseActions}
        onDrop={editor.drop}
        onLastEnter={toAddLine}
      />
      {editor.typed.lines.length <= 1 && isDraft && <p className={classes.invite}>Begin with the surfactants. Water is q.s. to 100 %.</p>}
    </>
  );
}
