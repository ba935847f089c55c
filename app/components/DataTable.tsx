import type { ComponentProps } from "react";
import classes from "./DataTable.module.css";

interface DataTableProps extends ComponentProps<"table"> {
  /** As wide as there is room, with a ruled head and a hair between its rows. */
  readonly isRuled?: boolean;
}

/** A table as it stands everywhere: as wide as what is in it, its name above it, numbers under each other. */
export function DataTable({ className, isRuled = false, ...table }: DataTableProps) {
  const names = [classes.table, isRuled ? classes.ruled : undefined, className].filter((name) => name !== undefined);
  return <table {...table} className={names.join(" ")} />;
}
