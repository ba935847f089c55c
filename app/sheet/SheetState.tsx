import { readMassGrams } from "@tensidrum/core/quantities";
import { createContext, type FormEvent, type ReactNode, type RefObject, useCallback, useContext, useMemo, useRef } from "react";
import { useActionData, useNavigation } from "react-router";
import { useKnownMaterials } from "./lines/useKnownMaterials";
import type { OpenSheet } from "./openSheet.server";
import { type Autosave, useAutosave } from "./saving/useAutosave";
import { useRestoredTyping, useStaleAnswer } from "./saving/useRestoredTyping";
import { useSheetSubmit } from "./saving/useSheetSubmit";
import type { SheetAnswer } from "./sheetAnswer";
import type { FieldProblem } from "../frame/formAnswer";
import { type SheetReadings, useReadings } from "./useReadings";
import { type SheetEditor, useSheetEditor } from "./useSheetEditor";
import { useSheetKeys } from "./useSheetKeys";

/** Everything that changes while a sheet is worked on. */
export interface SheetState {
  readonly sheet: OpenSheet;
  readonly isDraft: boolean;
  readonly editor: SheetEditor;
  readonly readings: SheetReadings;
  readonly known: ReturnType<typeof useKnownMaterials>;
  readonly save: Autosave;
  /** What must be fixed, field by field. */
  readonly problems: readonly FieldProblem[];
  readonly answer: SheetAnswer | undefined;
  /** Revision the next save names. */
  readonly revision: number;
  readonly isBusy: boolean;
  readonly addInput: RefObject<HTMLInputElement | null>;
  readonly submit: (event: FormEvent<HTMLFormElement>) => void;
}

/** What never changes while a sheet is worked on: for parts that only act and show nothing of it. */
export interface SheetActs {
  readonly fixWith: SheetEditor["fixWith"];
  readonly learn: ReturnType<typeof useKnownMaterials>["learn"];
}

const State = createContext<SheetState | null>(null);
const Acts = createContext<SheetActs | null>(null);

/** The acts of the sheet round about; asking for them draws nothing again. */
export function useSheetActs(): SheetActs {
  const acts = useContext(Acts);
  if (acts === null) throw new Error("There is no sheet round about");
  return acts;
}

/** The state of the sheet round about. */
export function useSheet(): SheetState {
  const state = useContext(State);
  if (state === null) throw new Error("There is no sheet round about");
  return state;
}

const FALLBACK_BATCH_GRAMS = 500;

/**
 * Holds the state of a sheet. Its children are made once; at a keystroke only the parts that ask for the state draw
 * again, not the page round them.
 */
export function SheetStateProvider({ sheet, children }: { readonly sheet: OpenSheet; readonly children: ReactNode }) {
  const answer = useActionData<SheetAnswer>();
  const isBusy = useNavigation().state !== "idle";
  const isDraft = sheet.state === "draft";
  const answeredTyping = answer !== undefined && "typed" in answer ? answer.typed : undefined;
  const editor = useSheetEditor(answeredTyping ?? sheet.typed, sheet.versionId);
  const { typed } = editor;
  const known = useKnownMaterials(sheet);
  const loadedBatch = readMassGrams(sheet.typed.batch);
  const readings = useReadings(typed, {
    ...known.materials,
    scales: sheet.scales,
    saltPeaks: sheet.saltPeaks,
    lastBatchGrams: loadedBatch.ok ? loadedBatch.value : FALLBACK_BATCH_GRAMS,
    stored: sheet.storedAssessment,
  });
  const save = useAutosave({
    formulaId: sheet.formulaId,
    versionId: sheet.versionId,
    revision: sheet.revision,
    editor,
    isBroken: readings.problems.length > 0,
    isDraft,
    isPaused: isBusy,
  });
  useRestoredTyping(sheet, { saver: save.saver, learn: known.learn });
  useStaleAnswer(answer, save.saver);
  const addInput = useRef<HTMLInputElement>(null);
  useSheetKeys({ undo: editor.undo, redo: editor.redo, addInput }, isDraft);
  const { revision } = save;
  const submitNow = useSheetSubmit({
    formulaId: sheet.formulaId,
    typed,
    base: { versionId: sheet.versionId, revision },
    isHeld: save.isBusy,
  });
  const latestSubmit = useRef(submitNow);
  latestSubmit.current = submitNow;
  const submit = useCallback((event: FormEvent<HTMLFormElement>) => latestSubmit.current(event), []);
  const problems = mostTelling(readings.problems, save.problems, answer?.kind === "problems" ? answer.problems : []);
  const { fixWith } = editor;
  const { learn } = known;
  const acts = useMemo(() => ({ fixWith, learn }), [fixWith, learn]);
  return (
    <Acts.Provider value={acts}>
      <State.Provider value={{ sheet, isDraft, editor, readings, known, save, problems, answer, revision, isBusy, addInput, submit }}>
        {children}
      </State.Provider>
    </Acts.Provider>
  );
}

/** The first list that has something to say: what is typed now comes before what the server said of it earlier. */
function mostTelling(...lists: readonly (readonly FieldProblem[])[]): readonly FieldProblem[] {
  return lists.find((list) => list.length > 0) ?? [];
}
