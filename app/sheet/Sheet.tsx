import { Button } from "@mantine/core";
import { readMassGrams } from "@tensidrum/core/quantities";
import { useCallback, useMemo, useRef } from "react";
import { Form, Link, useActionData, useNavigation } from "react-router";
import { Frame } from "../frame/Frame";
import { pegsSeenFrom, sheetState } from "../frame/washLine/pegs";
import { Column } from "../pictures/Column/Column";
import { AimHead } from "./AimHead";
import { AddLine } from "./lines/AddLine";
import { LineTable } from "./lines/LineTable";
import { useKnownMaterials } from "./lines/useKnownMaterials";
import type { OpenSheet } from "./openSheet.server";
import { ActiveReading } from "./readings/ActiveReading";
import { Findings } from "./readings/Findings";
import { Versions } from "./readings/Versions";
import { SaveNotice } from "./saving/SaveNotice";
import { SaveState } from "./saving/SaveState";
import { useAutosave } from "./saving/useAutosave";
import { useRestoredTyping, useStaleAnswer } from "./saving/useRestoredTyping";
import { useSheetSubmit } from "./saving/useSheetSubmit";
import type { SheetAnswer } from "./sheetAnswer";
import { SHEET_FORM } from "./sheetForm";
import classes from "./Sheet.module.css";
import { useReadings } from "./useReadings";
import { useSheetEditor } from "./useSheetEditor";
import { useSheetKeys } from "./useSheetKeys";

const FALLBACK_BATCH_GRAMS = 500;

/** The Sheet: aim, lines, readings and findings of one version. */
export function Sheet({ sheet }: { readonly sheet: OpenSheet }) {
  const answer = useActionData<SheetAnswer>();
  const isBusy = useNavigation().state !== "idle";
  const isDraft = sheet.state === "draft";
  const answeredTyping = answer !== undefined && "typed" in answer ? answer.typed : undefined;
  const editor = useSheetEditor(answeredTyping ?? sheet.typed);
  const { typed } = editor;
  const { materials, learn, nameOf } = useKnownMaterials(sheet);
  const loadedBatch = readMassGrams(sheet.typed.batch);
  const readings = useReadings(typed, {
    ...materials,
    scales: sheet.scales,
    lastBatchGrams: loadedBatch.ok ? loadedBatch.value : FALLBACK_BATCH_GRAMS,
    stored: sheet.storedAssessment,
  });
  const { assessment, profile, strata } = readings;
  const save = useAutosave({
    formulaId: sheet.formulaId,
    versionId: sheet.versionId,
    revision: sheet.revision,
    typed,
    isBroken: readings.problems.length > 0,
    isDraft,
    isPaused: isBusy,
  });
  useRestoredTyping(sheet, { replace: editor.replace, announceStale: save.announceStale, learn });
  useStaleAnswer(answer, save.announceStale);
  const addInput = useRef<HTMLInputElement>(null);
  const toAddLine = useCallback(() => addInput.current?.focus(), []);
  useSheetKeys({ undo: editor.undo, redo: editor.redo, addInput }, isDraft);
  const answered = answer?.kind === "problems" ? answer.problems : [];
  const problems = readings.problems.length > 0 ? readings.problems : save.problems.length > 0 ? save.problems : answered;
  const revision = answer?.kind === "stale" ? answer.revision : save.revision;
  const submitSheet = useSheetSubmit({
    formulaId: sheet.formulaId,
    typed,
    base: { versionId: sheet.versionId, revision },
    isHeld: save.isBusy,
  });

  const actives = useMemo(() => {
    const { anionic, amphoteric, nonionic, cationic } = assessment.activeMatter.byCharge;
    return [
      { charge: "anionic", percent: anionic },
      { charge: "amphoteric", percent: amphoteric },
      { charge: "nonionic", percent: nonionic },
      { charge: "cationic", percent: cationic },
    ] as const;
  }, [assessment]);
  const count = (severity: string) => assessment.findings.filter((finding) => finding.severity === severity).length;
  const { state, isAlarm } = sheetState({ stops: count("stop"), fixes: count("fix"), considers: count("consider") });
  const here = `/sheet/${sheet.formulaId}/${sheet.number}`;
  const pegs = useMemo(() => pegsSeenFrom("sheet", { state, isAlarm, to: here }), [state, isAlarm, here]);
  const problemAt = (field: string) => problems.find((problem) => problem.field === field)?.message;
  const general = problems.find(({ field }) => field === "lines" || field === "restLine");

  return (
    <Frame
      head={
        <AimHead
          name={typed.name}
          profile={typed.profile}
          batch={typed.batch}
          number={sheet.number}
          isDraft={isDraft}
          nameProblem={problemAt("name")}
          profileProblem={problemAt("profile")}
          batchProblem={problemAt("batch")}
          onChange={editor.head}
        />
      }
      doors={
        <>
          {isDraft && <SaveState status={save.status} />}
          <Link className={classes.door} to={`/weighing/${sheet.formulaId}/${sheet.number}`}>
            Weighing sheet
          </Link>
        </>
      }
      pegs={pegs}
    >
      <title>{`${typed.name || "Formula"}, v${sheet.number}, Tensidrum`}</title>
      <Form
        id={SHEET_FORM}
        method="post"
        action={`/sheet/${sheet.formulaId}`}
        className={classes.sheet}
        aria-busy={isBusy}
        onSubmit={submitSheet}
      >
        <input type="hidden" name="versionId" value={sheet.versionId} />
        <input type="hidden" name="revision" value={revision} />
        <div className={classes.picture}>
          <Column
            profileName={profile.name}
            actives={actives}
            strata={strata}
            window={profile.activePercent}
            openPercent={assessment.openPercent}
          />
        </div>
        <div className={classes.lines}>
          <SaveNotice
            status={save.status}
            typed={typed}
            nameOf={nameOf}
            onKeepMine={save.rebase}
            onTakeTheirs={(theirs, onto) => {
              editor.replace(theirs);
              save.adopt(theirs, onto);
            }}
          />
          {answer?.kind === "stale" && save.status.kind !== "stale" && (
            <p className={classes.notice} role="alert">
              {answer.message} Save again to let it stand, or <Link to={here}>take the other one</Link>.
            </p>
          )}
          {general !== undefined && (
            <p className={classes.notice} role="alert">
              {general.message}
            </p>
          )}
          <LineTable
            typed={typed}
            materials={materials.byId}
            assessment={assessment}
            scales={sheet.scales}
            problems={problems}
            openLineId={editor.openLineId}
            isDraft={isDraft}
            actions={editor.lineActions}
            phaseActions={editor.phaseActions}
            onDrop={editor.drop}
            onLastEnter={toAddLine}
          />
          {typed.lines.length <= 1 && isDraft && <p className={classes.invite}>Begin with the cleansers. Water takes the rest.</p>}
          {isDraft && (
            <AddLine
              phases={typed.phases}
              phase={editor.newLinePhase}
              inputRef={addInput}
              find={sheet.find}
              matches={sheet.matches}
              newId={sheet.newId}
              onPhase={editor.setNewLinePhase}
              onNewPhase={editor.addNewPhase}
              onPick={editor.addMaterial}
              onLearn={learn}
            />
          )}
          {isDraft && (
            <p className={classes.unscripted}>
              <Button type="submit" name="intent" value="save" h={36}>
                Save and recount
              </Button>
            </p>
          )}
          <div className={classes.foot}>
            <p className={classes.scales}>
              Weighed on{" "}
              {sheet.scales.length === 0
                ? "no scale yet"
                : sheet.scales.map((scale) => `${scale.name} (${scale.readabilityGrams} g)`).join(" and ")}
              . <Link to="/scales">Your scales</Link>
            </p>
            {isDraft && (
              <span className={classes.scripted}>
                <button type="button" className={classes.door} disabled={!editor.canUndo} onClick={editor.undo} title="Ctrl Z">
                  Undo
                </button>
                <button type="button" className={classes.door} disabled={!editor.canRedo} onClick={editor.redo} title="Ctrl Shift Z">
                  Redo
                </button>
              </span>
            )}
          </div>
        </div>
        <div className={classes.readings}>
          <ActiveReading assessment={assessment} profile={profile} />
          <Findings findings={readings.findings} notJudged={readings.notJudged} />
          <Versions sheet={sheet} />
        </div>
      </Form>
    </Frame>
  );
}
