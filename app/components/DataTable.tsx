import type { ComponentProps } from "react";
import classes from "./DataTable.module.css";

/** A table as it stands everywhere: as wide as what is in it, its name above it, numbers under each other. */
export function DataTable({ className, ...table }: ComponentProps<"table">) {
  return <table {...table} className={className === undefined ? classes.table : `${classes.table} ${className}`} />;
}
