import { useCallback, useEffect, useMemo, useReducer, useState } from "react";
import type { LineActions } from "./lines/lineActions";
import { focusPercent } from "./lines/lineKeys";
import type { PhaseActions } from "./lines/PhaseHead";
import {
  withAim,
  withAssay,
  withLineAt,
  withLineInPhase,
  withLineStepped,
  withLots,
  withNewLine,
  withMeasured,
  withNewPart,
  withNewPhase,
  withoutLine,
  withoutPhase,
  withPart,
  withPercent,
  withPhaseTemperature,
  withPhaseTitle,
  withRestLine,
} from "./typed/editing";
import { titleField } from "./typed/readTyped";
import { useKeptHistory } from "./saving/useKeptHistory";
import { type SheetHistory, sheetHistory, startHistory } from "./typed/sheetHistory";
import type { TypedAim, TypedLine, TypedMeasured, TypedSheet } from "./typed/typedSheet";

export type SheetEditor = ReturnType<typeof useSheetEditor>;

/** The sheet being edited, with its history and everything rows and fields can ask of it. */
export function useSheetEditor(loaded: TypedSheet, versionId: string) {
  const [history, dispatch] = useReducer(sheetHistory, loaded, startHistory);
  const [openLineId, setOpenLine] = useState<string | null>(null);
  // Of a sheet with parts the next line is for all of them, until the hand is on one.
  const [phase, setPhase] = useState(loaded.phases.findLast(({ part }) => part === undefined)?.letter ?? "A");
  const [wantedFocus, setWantedFocus] = useState<string | null>(null);
  /** A part was just added and is to be named. */
  const [isNaming, setNaming] = useState(false);

  const resume = useCallback((before: SheetHistory) => dispatch({ kind: "resume", history: before }), []);
  const isHistoryRead = useKeptHistory(versionId, history, resume);

  const edits = useMemo(() => {
    const change = (key: string | null, step: (sheet: TypedSheet) => TypedSheet) => dispatch({ kind: "change", key, change: step });
    const lineActions: LineActions = {
      typePercent: (id, text) => change(`percent:${id}`, (sheet) => withPercent(sheet, id, text)),
      typeAssay: (id, text) => change(`assay:${id}`, (sheet) => withAssay(sheet, id, text)),
      takeLots: (id, lots) => change(`lots:${id}`, (sheet) => withLots(sheet, id, lots)),
      takeTheRest: (id) => change(null, (sheet) => withRestLine(sheet, id)),
      remove: (id) => change(null, (sheet) => withoutLine(sheet, id)),
      step: (id, by) => change(null, (sheet) => withLineStepped(sheet, id, by)),
      sendToPhase: (id, letter) => change(null, (sheet) => withLineInPhase(sheet, id, letter)),
      toggleDetail: (id) => setOpenLine((open) => (open === id ? null : id)),
      enter: (line) => setPhase(line.phase),
      focus: setWantedFocus,
    };
    const phaseActions: PhaseActions = {
      typeTitle: (letter, title) => change(`phase:${letter}`, (sheet) => withPhaseTitle(sheet, letter, title)),
      typeTemperature: (letter, text) => change(`temperature:${letter}`, (sheet) => withPhaseTemperature(sheet, letter, text)),
      typePart: (letter, key, text) => change(`part:${letter}:${key}`, (sheet) => withPart(sheet, letter, { [key]: text })),
      remove: (letter) => change(null, (sheet) => withoutPhase(sheet, letter)),
    };
    return {
      lineActions,
      phaseActions,
      head: (field: "name" | "profile" | "batch" | "method", value: string) => change(field, (sheet) => ({ ...sheet, [field]: value })),
      aim: (key: string, step: Partial<TypedAim>) => change(`aim:${key}`, (sheet) => withAim(sheet, step)),
      measured: (of: keyof TypedMeasured, text: string) => change(`measured:${of}`, (sheet) => withMeasured(sheet, of, text)),
      fixWith: (step: (sheet: TypedSheet) => TypedSheet) => change(null, step),
      drop: (id: string, overId: string) => change(null, (sheet) => withLineAt(sheet, id, overId)),
      /** Puts the first lines there, with the caret in the one that is to be typed. */
      begin: (sheet: TypedSheet) => {
        const others = sheet.lines.filter(({ id }) => id !== sheet.restLineId);
        change(null, () => sheet);
        setWantedFocus((others.find(({ percent }) => percent === "") ?? others[0])?.id ?? null);
      },
      addMaterial: (materialId: string, letter: string) => {
        const line: TypedLine = { id: crypto.randomUUID(), phase: letter, materialId, percent: "", assay: "" };
        change(null, (sheet) => withNewLine(sheet, line));
        setWantedFocus(line.id);
      },
      addNewPhase: () => change(null, withNewPhase),
      /** The next line goes into the newest part: it is the last. */
      addNewPart: () => {
        change(null, withNewPart);
        setPhase("");
        setNaming(true);
      },
      undo: () => void isHistoryRead.current.then(() => dispatch({ kind: "undo" })),
      redo: () => void isHistoryRead.current.then(() => dispatch({ kind: "redo" })),
      replace: (sheet: TypedSheet) => dispatch({ kind: "replace", sheet }),
      rebase: (onto: { readonly base: TypedSheet; readonly theirs: TypedSheet }) => dispatch({ kind: "rebase", ...onto }),
    };
  }, [isHistoryRead]);

  // A row can take the caret only once it stands in its place.
  useEffect(() => {
    if (wantedFocus === null || !history.now.lines.some(({ id }) => id === wantedFocus)) return;
    focusPercent(wantedFocus);
    setWantedFocus(null);
  }, [wantedFocus, history.now]);

  useEffect(() => {
    const newest = history.now.phases.at(-1);
    if (!isNaming || newest?.part === undefined) return;
    document.querySelector<HTMLInputElement>(`input[name="${titleField(newest.letter)}"]`)?.focus();
    setNaming(false);
  }, [isNaming, history.now]);

  const lastLetter = history.now.phases.at(-1)?.letter ?? "A";
  const newLinePhase = history.now.phases.some(({ letter }) => letter === phase) ? phase : lastLetter;
  return {
    typed: history.now,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    openLineId,
    newLinePhase,
    setNewLinePhase: setPhase,
    ...edits,
  };
}
