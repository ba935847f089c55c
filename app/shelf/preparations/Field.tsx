import type { ReactNode } from "react";

interface FieldProps {
  readonly label: string;
  readonly problem: string | undefined;
  readonly children: ReactNode;
}

/** A field of a plan under its label, with what is wrong below it. */
export function Field({ label, problem, children }: FieldProps) {
  return (
    <label data-problem={problem === undefined ? undefined : true}>
      <span>{label}</span>
      {children}
      {problem !== undefined && <em role="alert">{problem}</em>}
    </label>
  );
}
