import type { Severity } from "@tensidrum/core/findings";
import classes from "./FindingMark.module.css";

/** A finding's number: a filled square to stop or fix, a ring to consider. */
export function FindingMark({ severity, number }: { readonly severity: Severity; readonly number: number }) {
  return (
    <span className={classes.mark} data-severity={severity} role="img" aria-label={`finding ${number}, ${severity}`}>
      {number}
    </span>
  );
}
