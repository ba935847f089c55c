import { type ReactNode, useId, useLayoutEffect, useRef } from "react";
import { createPortal } from "react-dom";
import classes from "./SmallDialog.module.css";

interface SmallDialogProps {
  readonly title: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/**
 * A small sheet laid over the page; it stands open as long as it is drawn, with the caret in its first field. Escape and its
 * button close it. It hangs at the
 * end of the page, so that it may hold forms of its own.
 */
export function SmallDialog({ title, onClose, children }: SmallDialogProps) {
  const dialog = useRef<HTMLDialogElement>(null);
  const id = useId();
  // Closed before it is taken away, so that the caret goes back to where it was.
  useLayoutEffect(() => {
    const shown = dialog.current;
    shown?.showModal();
    shown?.querySelector<HTMLElement>("input, select, textarea")?.focus();
    return () => shown?.close();
  }, []);
  return createPortal(
    <dialog ref={dialog} className={classes.dialog} aria-labelledby={id} onClose={onClose}>
      <header className={classes.head}>
        <h2 id={id}>{title}</h2>
        <button type="button" className={classes.close} onClick={() => dialog.current?.close()}>
          Close
        </button>
      </header>
      {children}
    </dialog>,
    document.body,
  );
}
