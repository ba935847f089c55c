import { UnstyledButton } from "@mantine/core";
import classes from "./DefaultButton.module.css";

interface DefaultButtonProps {
  readonly name: string;
  readonly value: string;
  /** Of the form it belongs to, where it stands outside. */
  readonly form?: string;
}

/**
 * The first button of a form, seen by nobody: a browser presses it at Enter, so that none of the others is pressed by
 * accident on a page without scripts.
 */
export function DefaultButton(props: DefaultButtonProps) {
  return <UnstyledButton type="submit" {...props} data-default tabIndex={-1} aria-hidden="true" className={classes.unseen} />;
}
