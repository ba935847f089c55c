import { TextInput, UnstyledButton } from "@mantine/core";
import { hasWeighed, type Step } from "@tensidrum/core/process";
import { useRef, type ReactNode } from "react";
import { useBench } from "./bench";
import { BigButton } from "./BigButton";
import { Entry } from "./Entry";
import { Looks } from "./Looks";
import { PhotoForm } from "./PhotoForm";
import classes from "./Step.module.css";

/** What can be done beside the step: notes, photos, clocks, skipping, pausing, going back, closing early. */
export function SidePanels({ step }: { readonly step: Step | null }) {
  const { view, isGuarded, isPractice } = useBench();
  const { last } = view;
  return (
    <div className={classes.sidePanels}>
      <SidePanel name="Note">
        {(close) => (
          <Entry hidden={{ step: step?.id ?? "" }} className={classes.sidePanel} onEntered={close}>
            <label className={classes.field}>
              note <TextInput name="text" maxLength={500} autoComplete="off" required />
            </label>
            <BigButton intent="note" act="Keep the note">
              Keep the note
            </BigButton>
          </Entry>
        )}
      </SidePanel>
      <SidePanel name="Look and feel">{(close) => <Looks stepId={step?.id ?? ""} onEntered={close} />}</SidePanel>
      {!isPractice && <SidePanel name="Photo">{(close) => <PhotoForm step={step?.id ?? ""} onSent={close} />}</SidePanel>}
      <SidePanel name="Clock">
        {(close) => (
          <Entry className={classes.sidePanel} onEntered={close}>
            <label className={classes.field}>
              minutes <TextInput name="minutes" inputMode="decimal" inputSize="5" autoComplete="off" required />
            </label>
            <label className={classes.field}>
              what for <TextInput name="text" maxLength={80} autoComplete="off" />
            </label>
            <BigButton intent="timer" act="Start a clock">
              Start the clock
            </BigButton>
          </Entry>
        )}
      </SidePanel>
      {step !== null && view.pausedAt === null && (
        <SidePanel name="Skip">
          {(close) => (
            <Entry hidden={{ step: step.id }} className={classes.sidePanel} onEntered={close}>
              <label className={classes.field}>
                leave this step out, because <TextInput name="text" maxLength={400} autoComplete="off" required />
              </label>
              <BigButton intent="skip" act="Skip this step">
                Skip it
              </BigButton>
            </Entry>
          )}
        </SidePanel>
      )}
      {view.pausedAt === null && (
        <Entry>
          <UnstyledButton
            type="submit"
            name="intent"
            value="pause"
            disabled={isGuarded}
            className={classes.door}
            data-big
            data-act="Pause the batch"
          >
            Pause
          </UnstyledButton>
        </Entry>
      )}
      {last !== null && (
        <Entry hidden={{ entry: last.id }}>
          <UnstyledButton
            type="submit"
            name="intent"
            value="back"
            disabled={isGuarded}
            className={classes.door}
            data-big
            data-act="Take the last entry back"
          >
            One step back
          </UnstyledButton>
        </Entry>
      )}
      {step !== null && !isPractice && hasWeighed(view.standing) && <SidePanel name="Close early">{() => <CloseEarly />}</SidePanel>}
      {!isPractice && !hasWeighed(view.standing) && (
        <Entry>
          <UnstyledButton
            type="submit"
            name="intent"
            value="discard"
            disabled={isGuarded}
            className={classes.door}
            data-big
            data-act="Discard this batch: nothing was weighed"
          >
            Discard batch
          </UnstyledButton>
        </Entry>
      )}
    </div>
  );
}

/** Steps are open: of each it is asked why it was skipped. */
function CloseEarly() {
  const { view } = useBench();
  return (
    <Entry className={classes.sidePanel}>
      <p>These steps are open. Say of each why it was skipped; what was done is entered in its own step first.</p>
      {view.steps
        .filter(({ state }) => state === "open")
        .map(({ step }) => (
          <label key={step.id} className={classes.field}>
            <span>{step.title}</span>
            <TextInput name={`skips.${step.id}`} maxLength={400} autoComplete="off" placeholder="skipped, because" />
          </label>
        ))}
      <label className={classes.field}>
        yield <TextInput name="grams" inputMode="decimal" autoComplete="off" inputSize="9" aria-label="Yield, g" /> g
      </label>
      <BigButton intent="finish" act="Close the batch with steps skipped">
        Close the batch
      </BigButton>
    </Entry>
  );
}

function SidePanel({ name, children }: { readonly name: string; readonly children: (close: () => void) => ReactNode }) {
  const details = useRef<HTMLDetailsElement>(null);
  const close = () => {
    if (details.current !== null) details.current.open = false;
  };
  return (
    <details ref={details} name="aside" className={classes.fold}>
      <summary className={classes.door} data-big data-act={name}>
        {name}
      </summary>
      {children(close)}
    </details>
  );
}
