import type { Finding } from "@tensidrum/core/findings";
import { useEffect, useState } from "react";
import { useFetcher, useRevalidator } from "react-router";
import classes from "./Findings.module.css";

/** What a maker said to a finding. */
export interface Answer {
  readonly code: string;
  readonly says: string;
  readonly reason: string;
}

const REASON_LENGTH = 500;

interface AnswerProps {
  readonly formulaId: string;
  readonly finding: Finding;
  readonly answer: Answer | undefined;
}

/** "I know, because…": keeps a finding answered for this formula until its numbers change. */
export function AcknowledgeFinding(props: AnswerProps) {
  const [isOpen, setOpen] = useState(false);
  if (props.answer === undefined && !isOpen) {
    return (
      <>
        {" "}
        <button type="button" className={classes.quiet} onClick={() => setOpen(true)}>
          I know…
        </button>
      </>
    );
  }
  return <Answering {...props} onClose={() => setOpen(false)} />;
}

/** Asks for the page's data again until what was kept is in it: a save in the same moment can drop the first asking. */
function useUntilHere(isMissing: boolean): void {
  const { revalidate, state } = useRevalidator();
  useEffect(() => {
    if (isMissing && state === "idle") void revalidate();
  }, [isMissing, state, revalidate]);
}

function Answering({ formulaId, finding, answer, onClose }: AnswerProps & { readonly onClose: () => void }) {
  const fetcher = useFetcher<{ readonly kept: boolean }>();
  const [reason, setReason] = useState("");
  const [sent, setSent] = useState<string | null>(null);
  const isKept = fetcher.state === "idle" && fetcher.data?.kept === true;
  useUntilHere(isKept && sent === finding.what && answer === undefined);
  const send = (intent: "keep" | "take-back") => {
    const form = { intent, code: finding.code, says: finding.what, reason: intent === "keep" ? reason : "" };
    setSent(finding.what);
    void fetcher.submit(form, { method: "post", action: `/sheet/${formulaId}/acknowledgements` });
    if (intent === "take-back") onClose();
  };
  if (answer !== undefined) {
    return (
      <p className={classes.answer}>
        You know, because: {answer.reason}{" "}
        <button type="button" className={classes.quiet} onClick={() => send("take-back")}>
          Take it back
        </button>
      </p>
    );
  }
  return (
    <span className={classes.answering}>
      <input
        value={reason}
        maxLength={REASON_LENGTH}
        autoFocus
        placeholder="because…"
        aria-label={`Why you know better: ${finding.what}`}
        onChange={(event) => setReason(event.currentTarget.value)}
        onKeyDown={(event) => {
          if (event.key === "Enter") {
            event.preventDefault();
            if (reason.trim() !== "") send("keep");
          }
          if (event.key === "Escape") onClose();
        }}
      />
      <button type="button" className={classes.apply} disabled={reason.trim() === ""} onClick={() => send("keep")}>
        Keep
      </button>
      <button type="button" className={classes.quiet} onClick={onClose}>
        Leave it
      </button>
    </span>
  );
}
