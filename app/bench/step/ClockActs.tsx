import { UnstyledButton } from "@mantine/core";
import { useEffect, useState } from "react";
import { useBench } from "./bench";
import classes from "./Step.module.css";
import type { Chimes } from "./useChimes";

/** How clocks are heard, and their waits for a calendar. */
export function ClockActs({ chimes: { isLoud, toggle } }: { readonly chimes: Chimes }) {
  const { view, isPractice } = useBench();
  const [mayNotify, setMayNotify] = useState<NotificationPermission | "unknown">("unknown");
  useEffect(() => {
    if ("Notification" in window) setMayNotify(Notification.permission);
  }, []);
  return (
    <p className={classes.clockActs}>
      <UnstyledButton type="button" className={classes.quiet} aria-pressed={isLoud} onClick={toggle}>
        {isLoud ? "sound is on" : "sound is off"}
      </UnstyledButton>
      {mayNotify === "default" && (
        <UnstyledButton type="button" className={classes.quiet} onClick={() => void Notification.requestPermission().then(setMayNotify)}>
          notify me too
        </UnstyledButton>
      )}
      {!isPractice && (
        <a href={`/bench/${view.id}/waits.ics`} data-act="Take the waits into a calendar">
          into a calendar
        </a>
      )}
    </p>
  );
}
