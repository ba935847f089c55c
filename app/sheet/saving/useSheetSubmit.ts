import { type FormEvent, useEffect, useState } from "react";
import { useSubmit } from "react-router";
import { type FormBase, sheetFormData } from "../sheetFormData";
import type { TypedSheet } from "../typed/typedSheet";

interface SheetSubmit {
  readonly formulaId: string;
  readonly typed: TypedSheet;
  readonly base: FormBase;
  /** A save is on its way; its revision must be known first. */
  readonly isHeld: boolean;
}

interface Asked {
  readonly intent: string;
  /** Fields of the form that are no part of the sheet itself. */
  readonly beside: readonly (readonly [name: string, value: string])[];
}

const BESIDE = ["note", "newPhase", "newId"] as const;

/** Sends the sheet's form with what is typed now, after a save that is still on its way. */
export function useSheetSubmit({ formulaId, typed, base, isHeld }: SheetSubmit) {
  const submit = useSubmit();
  const [asked, setAsked] = useState<Asked | null>(null);

  useEffect(() => {
    if (asked === null || isHeld) return;
    setAsked(null);
    const form = sheetFormData(typed, base, asked.intent);
    for (const [name, value] of asked.beside) form.set(name, value);
    void submit(form, { method: "post", action: `/sheet/${formulaId}` });
  }, [asked, isHeld, submit, typed, base, formulaId]);

  return (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const { submitter } = event.nativeEvent as SubmitEvent;
    // Enter in a field presses the unseen button alone: the sheet saves itself.
    const intent = submitter instanceof HTMLButtonElement && submitter.dataset.default === undefined ? submitter.value : "";
    if (intent === "") return;
    const fields = new FormData(event.currentTarget);
    const beside = BESIDE.flatMap((name) => {
      const value = fields.get(name);
      return typeof value === "string" ? [[name, value] as const] : [];
    });
    setAsked({ intent, beside });
  };
}
