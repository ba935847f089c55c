import IconAdjustmentsHorizontal from "@tabler/icons-react/dist/esm/icons/IconAdjustmentsHorizontal.mjs";
import type { ReactNode } from "react";
import { Link } from "react-router";
import { SearchAndCommands } from "./SearchAndCommands";
import classes from "./Frame.module.css";
import { Mark } from "./Mark";
import { ThemeSwitch } from "./ThemeSwitch";

interface FrameProps {
  /** What stands in the header beside the mark. */
  readonly head: ReactNode;
  /** What can be done, at the right end of the header. */
  readonly doors?: ReactNode;
  /** The stations as this page sees them. */
  readonly line: ReactNode;
  readonly children: ReactNode;
}

/** The page frame: header, stations, content. */
export function Frame({ head, doors, line, children }: FrameProps) {
  return (
    <div className={classes.frame}>
      <a href="#content" className={classes.skip}>
        To the content
      </a>
      <header className={`${classes.header} not-printed`}>
        <Link to="/" className={classes.home} aria-label="Tensidrum, today" data-act="Today" data-key="0">
          <Mark />
          <span className={classes.homeName}>Tensidrum</span>
        </Link>
        <div className={classes.head}>{head}</div>
        <div className={classes.doors}>
          {doors}
          <SearchAndCommands />
          <Link
            to="/settings"
            className={classes.settings}
            aria-label="settings"
            title="settings"
            data-act="Settings: scales, units, containers, drops"
            data-key=","
          >
            <IconAdjustmentsHorizontal size={18} stroke={1.6} aria-hidden="true" />
          </Link>
          <ThemeSwitch />
        </div>
      </header>
      {line}
      <main id="content" className={classes.content} tabIndex={-1}>
        {children}
      </main>
    </div>
  );
}
