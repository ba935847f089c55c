import { UnstyledButton } from "@mantine/core";
import { isRunning, nextStir, type Wait } from "@tensidrum/core/process";
import { writtenClock } from "@tensidrum/core/quantities";
import { useBench, type Bench } from "./bench";
import { ClockTime } from "./ClockTime";
import { Entry } from "./Entry";
import classes from "./Step.module.css";

/** Waits that run, and those that are over but nobody has gone on from yet; what is over or ends first stands first. */
export function clocksOf({ view, now }: Pick<Bench, "view" | "now">): readonly Wait[] {
  const open = view.steps.filter(({ state }) => state === "open");
  return view.waits
    .filter(
      (wait) =>
        isRunning(wait, now) ||
        (wait.endedAt === null && (wait.step === null || open.some(({ step }) => step.after.includes(wait.step ?? "")))),
    )
    .toSorted((a, b) => a.until.localeCompare(b.until));
}

/** Every clock of the batch, by the server's time, on every device alike. */
export function Clocks({ clocks }: { readonly clocks: readonly Wait[] }) {
  const { now, isGuarded } = useBench();
  const over = clocks.find((wait) => !isRunning(wait, now));
  return (
    <section aria-label="Clocks">
      <p className="only-for-readers" role="status">
        {over !== undefined && `${over.text}: the time is over`}
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
    </section>
  );
}
