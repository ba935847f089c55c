import { useState, type FormEvent, type ReactNode } from "react";
import { Form } from "react-router";
import { typedBenchForm, type BenchForm } from "../batch/benchForm";
import { useBench } from "./bench";
import classes from "./Step.module.css";

interface EntryProps {
  readonly hidden?: Readonly<Record<string, string>>;
  readonly className?: string | undefined;
  readonly onEntered?: () => void;
  /** What to ask before it is entered, when it is likely a slip; null when there is nothing to ask. */
  readonly ask?: (form: BenchForm) => string | null;
  readonly children: ReactNode;
}

/**
 * A form that makes an entry on this device at once, with an identifier of its own. Without scripts it is sent as it is,
 * under the identifier the server gave it.
 */
export function Entry({ hidden = {}, className, onEntered, ask, children }: EntryProps) {
  const { enter, newId, isGuarded } = useBench();
  const [asked, setAsked] = useState<string | null>(null);
  const onSubmit = (event: FormEvent<HTMLFormElement>): void => {
    event.preventDefault();
    if (isGuarded) return;
    const { submitter } = event.nativeEvent as SubmitEvent;
    const form = event.currentTarget;
    const typed = typedBenchForm(new FormData(form, submitter));
    const question = ask?.(typed) ?? null;
    if (question !== null && question !== asked) {
      setAsked(question);
      return;
    }
    setAsked(null);
    if (!enter({ ...typed, id: crypto.randomUUID() })) return;
    form.reset();
    onEntered?.();
  };
  return (
    <Form method="post" className={className} onSubmit={onSubmit}>
      <input type="hidden" name="id" value={newId} />
      {Object.entries(hidden).map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} />
      ))}
      {children}
      {asked !== null && (
        <p role="alert" className={classes.asked}>
          {asked} Press the same button again if it does.
        </p>
      )}
    </Form>
  );
}
