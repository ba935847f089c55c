import { UnstyledButton } from "@mantine/core";
import type { ComponentPropsWithoutRef } from "react";
import classes from "./BoxButton.module.css";

type BoxButtonProps = Omit<ComponentPropsWithoutRef<"button">, "className" | "type"> & { readonly "data-act"?: string };

/** A plain button for a wet finger, beside the large ones; reached by arrows as they are. */
export function BoxButton(props: BoxButtonProps) {
  return <UnstyledButton type="button" data-big className={classes.box} {...props} />;
}
