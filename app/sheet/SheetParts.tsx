import { UnstyledButton } from "@mantine/core";
import { shownFormulaName } from "@tensidrum/core/formula";
import { DefaultButton } from "../components/DefaultButton";
import { charges } from "@tensidrum/core/library";
import { memo, type ReactNode, useMemo } from "react";
import { Form } from "react-router";
import { stationsSeenFrom, sheetState } from "../frame/stationNav/stations";
import { StationNav } from "../frame/stationNav/StationNav";
import { Column } from "../pictures/Column/Column";
import { AimHead } from "./AimHead";
import { SaveState } from "./saving/SaveState";
import classes from "./Sheet.module.css";
import { thingsToConsider } from "@tensidrum/core/findings";
import { useJudged } from "./JudgedSheet";
import { SHEET_FORM } from "./sheetForm";
import { useSheet } from "./SheetState";
import type { SheetEditor } from "./useSheetEditor";

/** Parts of the page that follow the typing. Each asks for the state itself, so that nothing round it draws again. */

export function HeadPart() {
  const { sheet, editor, isDraft, problems } = useSheet();
  const problemAt = (field: string) => problems.find((problem) => problem.field === field)?.message;
  return (
    <AimHead
      name={editor.typed.name}
      profile={editor.typed.profile}
      batch={editor.typed.batch}
      number={sheet.number}
      isDraft={isDraft}
      nameProblem={problemAt("name")}
      profileProblem={problemAt("profile")}
      batchProblem={problemAt("batch")}
      onChange={editor.head}
    />
  );
}

export function TitlePart() {
  const { sheet, editor } = useSheet();
  return <title>{`${shownFormulaName(editor.typed.name)}, v${sheet.number}, Tensidrum`}</title>;
}

export function SavePart() {
  return <SaveState status={useSheet().save.status} />;
}

export function StationNavPart() {
  const { sheet } = useSheet();
  const { findings } = useJudged();
  const here = `/sheet/${sheet.formulaId}/${sheet.number}`;
  const stations = useMemo(() => {
    const count = (severity: string) => findings.filter((finding) => finding.severity === severity).length;
    const state = sheetState({ stops: count("stop"), fixes: count("fix"), considers: thingsToConsider(findings) });
    return stationsSeenFrom("sheet", { ...state, to: here });
  }, [findings, here]);
  return <StationNav stations={stations} />;
}

export function FormPart({ children }: { readonly children: ReactNode }) {
  const { sheet, revision, isBusy, submit } = useSheet();
  return (
    <Form
      id={SHEET_FORM}
      method="post"
      autoComplete="off"
      action={`/sheet/${sheet.formulaId}`}
      className={classes.sheet}
      aria-busy={isBusy}
      onSubmit={submit}
    >
      <FormHead intent={sheet.state === "draft" ? "save" : "stay"} versionId={sheet.versionId} revision={revision} />
      {children}
    </Form>
  );
}

interface FormHeadProps {
  readonly intent: "save" | "stay";
  readonly versionId: string;
  readonly revision: number;
}

const FormHead = memo(function FormHead({ intent, versionId, revision }: FormHeadProps) {
  return (
    <>
      <DefaultButton name="intent" value={intent} />
      <input type="hidden" name="versionId" value={versionId} />
      <input type="hidden" name="revision" value={revision} />
    </>
  );
});

export function PicturePart() {
  const { shown, profile, layers } = useSheet().readings;
  const actives = useMemo(() => charges.map((charge) => ({ charge, percent: shown.activeMatter.byCharge[charge] })), [shown]);
  return (
    <Column profileName={profile.name} actives={actives} layers={layers} window={profile.activePercent} openPercent={shown.openPercent} />
  );
}

export function UndoPart() {
  const { canUndo, canRedo, undo, redo } = useSheet().editor;
  return <UndoDoors {...{ canUndo, canRedo, undo, redo }} />;
}

type UndoDoorsProps = Pick<SheetEditor, "canUndo" | "canRedo" | "undo" | "redo">;

const UndoDoors = memo(function UndoDoors({ canUndo, canRedo, undo, redo }: UndoDoorsProps) {
  return (
    <span className={classes.scripted}>
      <UnstyledButton type="button" className={classes.door} disabled={!canUndo} onClick={undo} title="Ctrl Z" data-act="Undo">
        Undo
      </UnstyledButton>
      <UnstyledButton type="button" className={classes.door} disabled={!canRedo} onClick={redo} title="Ctrl Shift Z" data-act="Redo">
        Redo
      </UnstyledButton>
    </span>
  );
});
