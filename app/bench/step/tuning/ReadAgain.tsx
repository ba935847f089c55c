import type { ReactNode } from "react";
import classes from "./Tuning.module.css";

/** A second look at what was read; open where it is what is advised. */
export function ReadAgain({ isOpen, children }: { readonly isOpen: boolean; readonly children: ReactNode }) {
  return (
    <details className={classes.fold} open={isOpen}>
      <summary data-big data-act="Read it again">
        Read it again
      </summary>
      {children}
    </details>
  );
}
