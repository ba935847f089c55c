import { useEffect, useRef, useState } from "react";
import { useRevalidator } from "react-router";
import { useSheet } from "../SheetState";

/** A save in the same moment can drop an asking; then it is asked again, so often. */
const MOST_ASKINGS = 5;

/** Adds a sentence to the note of this draft and shows it there; answers whether it could be kept. */
export function useNoteSentence(): (sentence: string) => Promise<boolean> {
  const { sheet } = useSheet();
  const { revalidate, state } = useRevalidator();
  const [noted, setNoted] = useState<string | null>(null);
  const askings = useRef(0);
  const isMissing = noted !== null && !sheet.note.includes(noted);
  useEffect(() => {
    if (!isMissing || state !== "idle" || askings.current >= MOST_ASKINGS) return;
    askings.current += 1;
    void revalidate();
  }, [isMissing, state, revalidate]);
  return async (sentence) => {
    const form = { version: sheet.versionId, sentence: sentence.slice(0, 500), into: "draft" };
    // What cannot be noted just now takes nothing else with it.
    const answer = await fetch(`/designer/${sheet.formulaId}/${sheet.number}/question.json`, {
      method: "POST",
      body: new URLSearchParams(form),
    }).catch(() => null);
    const isNoted = answer?.ok === true && ((await answer.json()) as { readonly isNoted?: boolean }).isNoted === true;
    if (isNoted) {
      askings.current = 0;
      setNoted(form.sentence);
    }
    return isNoted;
  };
}
