import type { NextStep } from "@tensidrum/core/process";
import { writtenClock } from "@tensidrum/core/quantities";
import dayjs from "dayjs";
import { useBench } from "./bench";
import { BigButton } from "./BigButton";
import { ClockTime } from "./ClockTime";
import { Entry } from "./Entry";
import classes from "./Step.module.css";

const hasteReasons = ["it has rested enough", "no time left", "a trial"];

/** The step is next, but what goes before it rests still. */
export function NotYet({ waitsFor }: { readonly waitsFor: NextStep["waitsFor"] }) {
  const { now, clock } = useBench();
  return (
    <>
      {waitsFor.map((wait) => (
        <div key={wait.id}>
          <p className={classes.do}>
            Not yet: <strong>{wait.text}</strong> rests until <ClockTime at={wait.until} />.
          </p>
          <Entry
            hidden={{ entry: wait.id }}
            className={classes.acts}
            ask={() => `${wait.text} has ${writtenClock(dayjs(wait.until).diff(clock()))} of its rest left. Go on before it is over?`}
            reasons={hasteReasons}
          >
            <output className={classes.countdown} aria-label={`${wait.text}, still to rest`}>
              {writtenClock(Date.parse(wait.until) - Date.parse(now))}
            </output>
            <BigButton intent="end-wait" act="Continue before the rest is over">
              Go on anyway
            </BigButton>
          </Entry>
        </div>
      ))}
    </>
  );
}
