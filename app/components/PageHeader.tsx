import type { ReactNode } from "react";
import classes from "./PageHeader.module.css";

interface PageHeaderProps {
  readonly children: ReactNode;
  /** Stands small beside the name of the page. */
  readonly beside?: ReactNode;
}

/** The name of a page, in the header beside the mark; a long one is cut before what stands beside it. */
export function PageHeader({ children, beside }: PageHeaderProps) {
  return (
    <>
      <h1 className={classes.name}>{children}</h1>
      {beside !== undefined && <span className={classes.beside}>{beside}</span>}
    </>
  );
}
