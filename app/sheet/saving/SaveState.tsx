import type { SaveStatus } from "./saverState";
import classes from "./SaveState.module.css";

const timeOfDay = new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" });

/** Whether what is typed has been saved, in a few words. Without scripts it stays empty and the button saves. */
export function SaveState({ status }: { readonly status: SaveStatus }) {
  const words = wordsOf(status);
  return (
    <span className={classes.state} role="status" data-alarm={words.isAlarm || undefined} data-status={status.kind}>
      {isTold(status) ? <a href={`#${SAVE_NOTICE}`}>{words.text}</a> : words.text}
    </span>
  );
}

/** Where the notice stands that says more. */
export const SAVE_NOTICE = "save-notice";

/** Whether a notice above the lines says more; on a phone it lies below the readings. */
function isTold({ kind }: SaveStatus): boolean {
  return kind === "away" || kind === "conflict" || kind === "refused";
}

function wordsOf(status: SaveStatus): { readonly text: string; readonly isAlarm: boolean } {
  switch (status.kind) {
    case "saved":
      return { text: status.at === null ? "all saved" : `saved ${timeOfDay.format(new Date(status.at))}`, isAlarm: false };
    case "typing":
      return { text: "typed, not saved yet", isAlarm: false };
    case "saving":
      return { text: "saving …", isAlarm: false };
    case "to-fix":
      return { text: "fix the marked cell to save", isAlarm: true };
    case "away":
      return { text: "not saved yet, kept in this browser", isAlarm: true };
    case "conflict":
      return { text: "not saved: choose what stands", isAlarm: true };
    case "refused":
      return { text: "not saved", isAlarm: true };
  }
}
