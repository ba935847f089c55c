import { BigButton } from "./BigButton";
import { ClockTime } from "./ClockTime";
import { Entry } from "./Entry";
import classes from "./Step.module.css";

/** The work stands still; the clocks of what rests go on. */
export function Paused({ since }: { readonly since: string }) {
  return (
    <section aria-labelledby="paused-head">
      <h2 id="paused-head" className={classes.title}>
        Paused since <ClockTime at={since} />
      </h2>
      <p className={classes.do}>Cover what stands open. Rests go on meanwhile.</p>
      <Entry className={classes.acts}>
        <BigButton isMain intent="resume" act="Go on with the batch" actKey=" ">
          Go on
        </BigButton>
      </Entry>
    </section>
  );
}
