import { Children, type ReactNode } from "react";
import classes from "./PageHeader.module.css";

interface PageHeaderProps {
  readonly children: ReactNode;
  /** Stands small beside the name of the page. */
  readonly beside?: ReactNode;
}

/** Letters of a name that stands in full size beside the doors of a page; a longer one is smaller, on two lines where it must. */
const LONG_NAME = 18;

/** The name of a page, in the header beside the mark. */
export function PageHeader({ children, beside }: PageHeaderProps) {
  const isLong = Children.toArray(children).join("").length > LONG_NAME;
  return (
    <>
      <h1 className={classes.name} data-long={isLong || undefined}>
        {children}
      </h1>
      {beside !== undefined && <span className={classes.beside}>{beside}</span>}
    </>
  );
}
