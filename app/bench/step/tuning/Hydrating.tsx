import { hydrating } from "@tensidrum/core/process";
import { useBench } from "../bench";
import { ClockTime } from "../ClockTime";
import step from "../Step.module.css";

/** What has not come to its thickness yet, and from when it can be judged. */
export function useHydrating() {
  const { view, plan, now } = useBench();
  return hydrating(plan, { standing: view.standing }, now);
}

/** Says what is still swelling. Nothing shows when nothing is. */
export function Hydrating() {
  return useHydrating().map(({ kind, text, judgeFrom }) => (
    <p key={kind} className={step.caution}>
      <strong>
        Do not judge before <ClockTime at={judgeFrom} />.
      </strong>{" "}
      {text}
    </p>
  ));
}
