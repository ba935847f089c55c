import type { FormEvent, ReactNode } from "react";
import { Form } from "react-router";
import { typedBenchForm } from "../batch/benchForm";
import { useBench } from "./bench";

interface EntryProps {
  readonly hidden?: Readonly<Record<string, string>>;
  readonly className?: string | undefined;
  readonly onEntered?: () => void;
  readonly children: ReactNode;
}

/**
 * A form that makes an entry on this device at once, with an identifier of its own. Without scripts it is sent as it is,
 * under the identifier the server gave it.
 */
export function Entry({ hidden = {}, className, onEntered, children }: EntryProps) {
  const { enter, newId, isGuarded } = useBench();
  const onSubmit = (event: FormEvent<HTMLFormElement>): void => {
    event.preventDefault();
    if (isGuarded) return;
    const { submitter } = event.nativeEvent as SubmitEvent;
    const form = event.currentTarget;
    if (!enter({ ...typedBenchForm(new FormData(form, submitter)), id: crypto.randomUUID() })) return;
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
    </Form>
  );
}
