import { TextInput } from "@mantine/core";
import { useEffect, useRef, useState, type FormEvent, type ReactNode } from "react";
import { Form } from "react-router";
import { typedBenchForm, type BenchForm } from "../batch/benchForm";
import { useBench } from "./bench";
import { BoxButton } from "./BoxButton";
import classes from "./Step.module.css";

interface EntryProps {
  readonly hidden?: Readonly<Record<string, string>>;
  readonly className?: string | undefined;
  readonly onEntered?: () => void;
  /** What to ask before it is entered, when it is likely a slip or against the advice; null when there is nothing to ask. */
  readonly ask?: (form: BenchForm) => string | null;
  /** What is mostly answered, for wet hands. */
  readonly reasons?: readonly string[];
  readonly children: ReactNode;
}

const usualReasons = ["measured twice", "intended", "trial"];

/** What is asked, with what it was asked about: an instrument may move on while the maker answers. */
interface Asked {
  readonly question: string;
  readonly typed: BenchForm;
}

/**
 * A form that makes an entry on this device at once, with an identifier of its own. What is asked about is entered with
 * the reason the maker gives. Without scripts it is sent as it is, under the identifier the server gave it.
 */
export function Entry({ hidden = {}, className, onEntered, ask, reasons = usualReasons, children }: EntryProps) {
  const { enter, newId, isGuarded } = useBench();
  const [asked, setAsked] = useState<Asked | null>(null);
  const form = useRef<HTMLFormElement>(null);
  const because = useRef<HTMLInputElement>(null);
  const question = useRef<HTMLDivElement>(null);
  // To the question itself: the next Tab is its first answer, and no key pressed twice answers it.
  useEffect(() => {
    if (asked !== null) question.current?.focus();
  }, [asked]);
  const onSubmit = (event: FormEvent<HTMLFormElement>): void => {
    event.preventDefault();
    if (isGuarded) return;
    const reason = because.current?.value.trim() ?? "";
    if (asked !== null && reason !== "") return answer(reason);
    const { submitter } = event.nativeEvent as SubmitEvent;
    const typed = typedBenchForm(new FormData(event.currentTarget, submitter));
    const toAsk = ask?.(typed) ?? null;
    if (toAsk === null) return take({ ...typed, because: "" });
    setAsked({ question: toAsk, typed });
    question.current?.focus();
  };
  const take = (typed: BenchForm): void => {
    setAsked(null);
    if (!enter({ ...typed, id: crypto.randomUUID() })) return;
    form.current?.reset();
    onEntered?.();
  };
  const answer = (reason: string): void => {
    if (asked !== null && reason !== "") take({ ...asked.typed, because: reason });
  };
  return (
    <Form
      ref={form}
      method="post"
      className={className}
      onSubmit={onSubmit}
      // What is typed anew is asked about anew.
      onInput={(event) => event.target !== because.current && setAsked(null)}
      data-enter="send"
    >
      <input type="hidden" name="id" value={newId} />
      {Object.entries(hidden).map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} />
      ))}
      {children}
      {asked !== null && (
        <div role="alert" ref={question} tabIndex={-1} className={classes.asked}>
          <p>{asked.question} If so, say why; it stands in the record.</p>
          {reasons.map((reason) => (
            <BoxButton key={reason} disabled={isGuarded} onClick={() => answer(reason)}>
              {reason}
            </BoxButton>
          ))}
          <TextInput label="or because" ref={because} name="because" maxLength={200} autoComplete="off" />
          <BoxButton disabled={isGuarded} onClick={() => answer(because.current?.value.trim() ?? "")}>
            Enter it with this reason
          </BoxButton>
        </div>
      )}
    </Form>
  );
}
