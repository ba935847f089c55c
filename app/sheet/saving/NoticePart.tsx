import { Link } from "react-router";
import classes from "../Sheet.module.css";
import { useSheet } from "../SheetState";
import { SaveNotice } from "./SaveNotice";

/** Whatever stands between the sheet and its being saved, told at its head. */
export function NoticePart() {
  const { sheet, editor, known, save, answer, problems } = useSheet();
  const general = problems.find(({ field }) => ["lines", "restLine", "aim"].includes(field) || field.startsWith("title:"));
  return (
    <>
      <SaveNotice
        status={save.status}
        typed={editor.typed}
        nameOf={known.nameOf}
        onKeepMine={save.rebase}
        onTakeTheirs={(theirs, onto) => {
          editor.replace(theirs);
          save.adopt(theirs, onto);
        }}
      />
      {answer?.kind === "stale" && save.status.kind !== "stale" && (
        <p className={classes.notice} role="alert">
          {answer.message} Save again to let it stand, or <Link to={`/sheet/${sheet.formulaId}/${sheet.number}`}>take the other one</Link>.
        </p>
      )}
      {general !== undefined && (
        <p className={classes.notice} role="alert">
          {general.message}
        </p>
      )}
    </>
  );
}
