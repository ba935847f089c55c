import { UnstyledButton } from "@mantine/core";
import IconAdjustmentsHorizontal from "@tabler/icons-react/dist/esm/icons/IconAdjustmentsHorizontal.mjs";
import IconMenu2 from "@tabler/icons-react/dist/esm/icons/IconMenu2.mjs";
import { useState, type ReactNode } from "react";
import { Link } from "react-router";
import { SearchAndCommands } from "./SearchAndCommands";
import classes from "./Frame.module.css";
import { Mark } from "./Mark";
import { ThemeSwitch } from "./ThemeSwitch";

interface FrameProps {
  /** What stands in the header beside the mark. */
  readonly head: ReactNode;
  /** What must be seen on a phone too, beside the name. */
  readonly state?: ReactNode;
  /** What can be done, at the right end of the header; on a phone behind its menu. */
  readonly doors?: ReactNode;
  /** The stations as this page sees them. */
  readonly line: ReactNode;
  readonly children: ReactNode;
}

/** The page frame: header, stations, content. */
export function Frame({ head, state, doors, line, children }: FrameProps) {
  const [isOpen, setOpen] = useState(false);
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
          {state}
          <div className={classes.menu} data-open={isOpen || undefined}>
            {doors}
          </div>
          <SearchAndCommands />
          <UnstyledButton type="button" className={classes.more} aria-expanded={isOpen} aria-label="menu" onClick={() => setOpen(!isOpen)}>
            <IconMenu2 size={20} stroke={1.6} aria-hidden="true" />
          </UnstyledButton>
          <div className={classes.menu} data-open={isOpen || undefined}>
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
        </div>
      </header>
      {line}
      <main id="content" className={classes.content} tabIndex={-1}>
        {children}
      </main>
    </div>
  );
}
