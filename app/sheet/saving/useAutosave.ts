import { useCallback, useEffect, useRef, useState } from "react";
import { useFetcher } from "react-router";
import type { SheetAnswer } from "../sheetAnswer";
import { sheetFormData } from "../sheetFormData";
import type { FieldProblem } from "../typed/readTyped";
import type { TypedSheet } from "../typed/typedSheet";
import { forgetTyping, keepTyping } from "./keptTyping";

export type SaveStatus =
  | { readonly kind: "saved"; readonly at: string | null }
  | { readonly kind: "typing" }
  | { readonly kind: "saving" }
  | { readonly kind: "to-mend" }
  | { readonly kind: "away" }
  | { readonly kind: "refused"; readonly message: string; readonly remedy: string }
  | { readonly kind: "stale"; readonly message: string; readonly revision: number; readonly theirs: TypedSheet };

const QUIET_MILLISECONDS = 500;
const RETRY_MILLISECONDS = 4000;
/** Typing is kept on the device in the pauses, and at the latest when the page goes. */
const KEEP_MILLISECONDS = 200;

interface AutosaveOptions {
  readonly formulaId: string;
  readonly versionId: string;
  readonly revision: number;
  readonly typed: TypedSheet;
  /** A cell cannot be read; nothing is sent until it is mended. */
  readonly isBroken: boolean;
  readonly isDraft: boolean;
  /** Another request of this page is under way; wait for it. */
  readonly isPaused: boolean;
}

export interface Autosave {
  readonly status: SaveStatus;
  readonly revision: number;
  /** What the server found wrong with the last save. */
  readonly problems: readonly FieldProblem[];
  /** Whether everything typed has reached the database. */
  readonly isStored: boolean;
  /** A save is on its way. */
  readonly isBusy: boolean;
  /** Says that something else stands in the database than what this page began from. */
  announceStale(message: string, theirs: TypedSheet, revision: number): void;
  /** Goes on from another revision, so that the next save stands on top of it. */
  rebase(revision: number): void;
  /** Takes what is typed now as what is stored. */
  adopt(typed: TypedSheet, revision: number): void;
}

const NO_PROBLEMS: readonly FieldProblem[] = [];

/** Saves the sheet as it is typed: half a second after the last key, one save at a time, again when the database is back. */
export function useAutosave({
  formulaId,
  versionId,
  revision: loadedRevision,
  typed,
  isBroken,
  isDraft,
  isPaused,
}: AutosaveOptions): Autosave {
  const fetcher = useFetcher<SheetAnswer>();
  const [revision, setRevision] = useState(loadedRevision);
  const [stored, setStored] = useState(typed);
  const [status, setStatus] = useState<SaveStatus>({ kind: "saved", at: null });
  const [problems, setProblems] = useState(NO_PROBLEMS);
  const sent = useRef<TypedSheet | null>(null);
  const answered = useRef<unknown>(undefined);
  /** From sending to answer. On a busy machine the fetcher says so late, and a second save of the same would overtake the first. */
  const isUnderWay = useRef(false);
  /** Until something is typed here, what an earlier visit kept is left alone. */
  const isTouched = useRef(false);
  const isIdle = fetcher.state === "idle";
  const { submit, data: answer } = fetcher;

  useEffect(() => {
    if (!isIdle || answer === undefined || answer === answered.current) return;
    answered.current = answer;
    isUnderWay.current = false;
    const justSent = sent.current;
    setProblems(answer.kind === "problems" ? answer.problems : NO_PROBLEMS);
    switch (answer.kind) {
      case "saved":
        setRevision(answer.revision);
        if (justSent !== null) setStored(justSent);
        setStatus({ kind: "saved", at: answer.savedAt });
        break;
      case "problems":
        setStatus({ kind: "to-mend" });
        break;
      default:
        setStatus(answer);
    }
  }, [isIdle, answer]);

  const isStored = typed === stored;
  const mayTry = isDraft && !isPaused && !isStored && isIdle && status.kind !== "stale" && status.kind !== "refused";
  const wasRefusedAsIs = status.kind === "to-mend" && sent.current === typed;

  useEffect(() => {
    if (!isDraft) return;
    if (isStored) {
      if (isTouched.current) forgetTyping(versionId);
      return;
    }
    isTouched.current = true;
    const keep = () => keepTyping(versionId, { revision, typed });
    const timer = setTimeout(keep, KEEP_MILLISECONDS);
    window.addEventListener("pagehide", keep);
    return () => {
      clearTimeout(timer);
      window.removeEventListener("pagehide", keep);
    };
  }, [isDraft, isStored, revision, typed, versionId]);

  useEffect(() => {
    if (!mayTry || isBroken || wasRefusedAsIs) return;
    const wait = status.kind === "away" ? RETRY_MILLISECONDS : QUIET_MILLISECONDS;
    const timer = setTimeout(() => {
      if (isUnderWay.current) return;
      isUnderWay.current = true;
      sent.current = typed;
      setStatus((before) => (before.kind === "away" ? before : { kind: "saving" }));
      const form = sheetFormData(typed, { versionId, revision }, "autosave");
      void submit(form, { method: "post", action: `/sheet/${formulaId}` });
    }, wait);
    return () => clearTimeout(timer);
  }, [mayTry, isBroken, wasRefusedAsIs, status.kind, submit, formulaId, typed, versionId, revision]);

  const announceStale = useCallback((message: string, theirs: TypedSheet, onto: number) => {
    setStatus({ kind: "stale", message, theirs, revision: onto });
  }, []);
  const rebase = useCallback((onto: number) => {
    setRevision(onto);
    setStatus({ kind: "typing" });
  }, []);
  const adopt = useCallback((taken: TypedSheet, onto: number) => {
    setRevision(onto);
    setStored(taken);
    setStatus({ kind: "saved", at: null });
    setProblems(NO_PROBLEMS);
  }, []);

  return {
    status: shownStatus(status, { isStored, isBroken }),
    revision,
    problems,
    isStored,
    isBusy: !isIdle,
    announceStale,
    rebase,
    adopt,
  };
}

function shownStatus(status: SaveStatus, { isStored, isBroken }: { isStored: boolean; isBroken: boolean }): SaveStatus {
  if (status.kind === "stale" || status.kind === "refused" || status.kind === "away") return status;
  if (isStored) return status.kind === "saved" ? status : { kind: "saved", at: null };
  if (isBroken || status.kind === "to-mend") return { kind: "to-mend" };
  return status.kind === "saving" ? status : { kind: "typing" };
}
