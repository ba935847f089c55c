import { Button, UnstyledButton } from "@mantine/core";
import { lazy, Suspense, useRef, useState, type ReactNode } from "react";
import classes from "./ConfirmButton.module.css";

/** Comes when something is asked for the first time. */
const SmallDialog = lazy(async () => ({ default: (await import("./SmallDialog")).SmallDialog }));

interface ConfirmButtonProps {
  readonly name: string;
  readonly value: string;
  /** What is asked, as "Delete the scent with its 3 rounds?". */
  readonly question: string;
  /** What it takes away, and what stays. */
  readonly consequence: ReactNode;
  readonly className?: string | undefined;
  readonly disabled?: boolean;
  /** What the button says, here and in the dialog. */
  readonly children: ReactNode;
}

/** A button whose act cannot be undone: it asks once before its form is sent. Without scripts it sends at once. */
export function ConfirmButton({ name, value, question, consequence, className, disabled = false, children }: ConfirmButtonProps) {
  const [isAsked, setAsked] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  const isSure = useRef(false);
  return (
    <>
      <UnstyledButton
        ref={button}
        type="submit"
        {...{ name, value, className, disabled }}
        onClick={(event) => {
          if (isSure.current) {
            isSure.current = false;
            return;
          }
          event.preventDefault();
          setAsked(true);
        }}
      >
        {children}
      </UnstyledButton>
      {isAsked && (
        <Suspense>
          <SmallDialog title={question} onClose={() => setAsked(false)}>
            <p>{consequence}</p>
            <div className={classes.acts}>
              <Button
                type="button"
                h={40}
                onClick={() => {
                  setAsked(false);
                  isSure.current = true;
                  button.current?.click();
                }}
              >
                {children}
              </Button>
              <Button type="button" h={40} variant="outline" onClick={() => setAsked(false)} data-autofocus>
                Cancel
              </Button>
            </div>
          </SmallDialog>
        </Suspense>
      )}
    </>
  );
}
