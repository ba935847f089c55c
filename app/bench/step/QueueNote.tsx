import { UnstyledButton } from "@mantine/core";
import { typedBenchForm } from "../batch/benchForm";
import { entryWords } from "../record/logOf";
import { useBench } from "./bench";
import { ClockTime } from "./ClockTime";
import classes from "./Step.module.css";

/** What waits on this device for the server, and what the server would not take. Nothing shows while all is stored. */
export function QueueNote() {
  const { queue, view, letGo, enter } = useBench();
  const { waiting, refused, broken, link } = queue;
  const isAway = link === "away";
  const many = waiting.length === 1 ? "1 entry" : `${waiting.length} entries`;
  return (
    <>
      <div role="status" className={isAway ? classes.away : undefined}>
        {isAway && (
          <>
            <strong>Kept on this device, {waiting.length === 0 ? "nothing" : many} to send.</strong> The server cannot be reached; go on, it
            is sent when it is back.
          </>
        )}
      </div>
      {isAway && waiting.length > 0 && (
        <details className={classes.queue}>
          <summary>What waits</summary>
          <ol>
            {waiting.map((entry) => (
              <li key={entry.id}>
                <ClockTime at={entry.at} /> {entryWords(entry, view)}
              </li>
            ))}
          </ol>
        </details>
      )}
      {refused.map(({ entry, why }) => (
        <div key={entry.id} role="alert" className={classes.problem}>
          Not taken: {entryWords(entry, view)} of <ClockTime at={entry.at} />. {why} Another device was first.
          <span className={classes.small}>
            <UnstyledButton
              type="button"
              className={classes.quiet}
              onClick={() => {
                const text = `Entered elsewhere and not taken: ${entryWords(entry, view)}`;
                const nothing = typedBenchForm(new FormData());
                if (enter({ ...nothing, id: crypto.randomUUID(), intent: "note", text })) letGo(entry.id);
              }}
            >
              keep it as a note
            </UnstyledButton>
            <UnstyledButton type="button" className={classes.quiet} onClick={() => letGo(entry.id)}>
              let it go
            </UnstyledButton>
          </span>
        </div>
      ))}
      {broken.map(({ id, text }) => (
        <div key={id} role="alert" className={classes.problem}>
          An entry kept on this device cannot be read. It is not in the batch and was not sent. Copy what it says, then enter it again.
          <code className={classes.small}>{text}</code>
          <UnstyledButton type="button" className={classes.quiet} onClick={() => letGo(id)}>
            delete it
          </UnstyledButton>
        </div>
      ))}
    </>
  );
}
