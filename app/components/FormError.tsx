import { Alert } from "@mantine/core";
import type { ReactNode } from "react";

/** Why something was not taken, in one sentence; nothing where it was. */
export function FormError({ children }: { readonly children: ReactNode }) {
  return children === null || children === undefined || children === false || children === "" ? null : (
    <Alert role="alert">{children}</Alert>
  );
}
