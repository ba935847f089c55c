import { UnstyledButton } from "@mantine/core";
import { isRunning, nextStir, type Wait } from "@tensidrum/core/process";
import { writtenClock } from "@tensidrum/core/quantities";
import { useEffect, useRef, useState } from "react";
import { useBench, type Bench } from "./bench";
import { allowSound, chime, notify } from "./chime";
import { ClockTime } from "./ClockTime";
import { Entry } from "./Entry";
import classes from "./Step.module.css";

const SOUND_OFF = "tensidrum.bench-sound-off";

/** Waits that run, and those that are over but nobody has gone on from yet. */
function clocksOf({ view, now }: Pick<Bench, "view" | "now">): readonly Wait[] {
  const open = view.steps.filter(({ state }) => state === "open");
  return view.waits.filter(
    (wait) =>
      isRunning(wait, now) ||
      (wait.endedAt === null && (wait.step === null || open.some(({ step }) => step.after.includes(wait.step ?? "")))),
  );
}

/** Every clock of the batch, by the server's time, on every device alike; one that runs out is heard. */
export function Clocks() {
  const { view, now, isGuarded, isPractice } = useBench();
  const clocks = clocksOf({ view, now });
  const [isLoud, setLoud] = useState(true);
  const [mayNotify, setMayNotify] = useState<NotificationPermission | "unknown">("unknown");
  const ran = useRef(new Set<string>());
  const stirs = useRef(new Map<string, string>());
  useEffect(() => {
    setLoud(localStorage.getItem(SOUND_OFF) === null);
    if ("Notification" in window) setMayNotify(Notification.permission);
    document.addEventListener("pointerdown", allowSound, { once: true });
    document.addEventListener("keydown", allowSound, { once: true });
    return () => {
      document.removeEventListener("pointerdown", allowSound);
      document.removeEventListener("keydown", allowSound);
    };
  }, []);
  useEffect(() => {
    for (const wait of view.waits) {
      if (isRunning(wait, now)) ran.current.add(wait.id);
      const stir = isRunning(wait, now) ? nextStir(wait, now) : null;
      const before = stirs.current.get(wait.id);
      if (before !== undefined && stir !== before && before <= now) {
        if (isLoud) chime();
        notify(`${wait.text}: stir it slowly`, `${wait.id} ${before}`);
      }
      if (stir !== null) stirs.current.set(wait.id, stir);
      if (isRunning(wait, now)) continue;
      if (ran.current.delete(wait.id) && wait.endedAt === null) {
        if (isLoud) chime();
        notify(`${wait.text}: the time is over`, wait.id);
      }
    }
  }, [view.waits, now, isLoud]);
  const isOver = clocks.some((wait) => !isRunning(wait, now));
  return (
    <section aria-label="Clocks">
      <p className="only-for-readers" role="status">
        {isOver && `${clocks.find((wait) => !isRunning(wait, now))?.text ?? ""}: the time is over`}
      </p>
      <ul className={classes.clocks}>
        {clocks.map((wait) => {
          const left = Date.parse(wait.until) - Date.parse(now);
          const stir = nextStir(wait, now);
          return (
            <li key={wait.id} data-over={left <= 0 || undefined}>
              <output suppressHydrationWarning>{left > 0 ? writtenClock(left) : "over"}</output>
              <span>
                {wait.text}
                <small>
                  {left > 0 ? "until" : "since"} <ClockTime at={wait.until} />
                  {stir !== null && (
                    <>
                      , stir at <ClockTime at={stir} />
                    </>
                  )}
                  {wait.latest !== null && (
                    <>
                      , better not after <ClockTime at={wait.latest} />
                    </>
                  )}
                </small>
              </span>
              <Entry hidden={{ entry: wait.id }}>
                <UnstyledButton
                  type="submit"
                  name="intent"
                  value="end-wait"
                  disabled={isGuarded}
                  className={classes.quiet}
                  aria-label={`${left > 0 ? "End" : "Put away"} the clock: ${wait.text}`}
                >
                  {left > 0 ? "End now" : "OK"}
                </UnstyledButton>
              </Entry>
            </li>
          );
        })}
      </ul>
      {clocks.length > 0 && (
        <p className={classes.clockActs}>
          <UnstyledButton
            type="button"
            className={classes.quiet}
            aria-pressed={isLoud}
            onClick={() => {
              if (isLoud) localStorage.setItem(SOUND_OFF, "1");
              else localStorage.removeItem(SOUND_OFF);
              allowSound();
              if (!isLoud) chime();
              setLoud(!isLoud);
            }}
          >
            {isLoud ? "sound is on" : "sound is off"}
          </UnstyledButton>
          {mayNotify === "default" && (
            <UnstyledButton
              type="button"
              className={classes.quiet}
              onClick={() => void Notification.requestPermission().then(setMayNotify)}
            >
              notify me too
            </UnstyledButton>
          )}
          {!isPractice && (
            <a href={`/bench/${view.id}/waits.ics`} data-act="Take the waits into a calendar">
              into a calendar
            </a>
          )}
        </p>
      )}
    </section>
  );
}
