import { TextInput, UnstyledButton } from "@mantine/core";
import { fingerprintOf, type WordedFinding } from "@tensidrum/core/assessment";
import { useEffect, useState } from "react";
import { useFetcher, useRevalidator } from "react-router";
import { FormError } from "../../components/FormError";
import type { FormAnswer } from "../../frame/formAnswer";
import classes from "./Findings.module.css";

/** Why a maker knows a finding to be right for this formula. */
export interface Acknowledged {
  readonly code: string;
  readonly fingerprint: string;
  readonly reason: string;
}

const REASON_LENGTH = 500;

interface AcknowledgeProps {
  readonly formulaId: string;
  readonly finding: WordedFinding;
  readonly acknowledged: Acknowledged | undefined;
}

/** Acknowledges a finding of this formula with a reason, until its numbers change. */
export function AcknowledgeFinding(props: AcknowledgeProps) {
  const [isOpen, setOpen] = useState(false);
  if (props.acknowledged === undefined && !isOpen) {
    return (
      <>
        {" "}
        <UnstyledButton type="button" className={classes.quiet} onClick={() => setOpen(true)}>
          Acknowledge…
        </UnstyledButton>
      </>
    );
  }
  return <Acknowledging {...props} onClose={() => setOpen(false)} />;
}

/** Asks for the page's data again until what was kept is in it: a save in the same moment can drop the first asking. */
function useUntilHere(isMissing: boolean): void {
  const { revalidate, state } = useRevalidator();
  useEffect(() => {
    if (isMissing && state === "idle") void revalidate();
  }, [isMissing, state, revalidate]);
}

function Acknowledging({ formulaId, finding, acknowledged, onClose }: AcknowledgeProps & { readonly onClose: () => void }) {
  const fetcher = useFetcher<{ readonly kept: boolean } | FormAnswer<unknown>>();
  const [reason, setReason] = useState("");
  const fingerprint = fingerprintOf(finding);
  const [sent, setSent] = useState<string | null>(null);
  const isKept = fetcher.state === "idle" && fetcher.data !== undefined && "kept" in fetcher.data && fetcher.data.kept;
  useUntilHere(isKept && sent === fingerprint && acknowledged === undefined);
  const send = (intent: "keep" | "take-back") => {
    const form = {
      intent,
      code: finding.code,
      fingerprint: acknowledged?.fingerprint ?? fingerprint,
      reason: intent === "keep" ? reason : "",
    };
    setSent(fingerprint);
    void fetcher.submit(form, { method: "post", action: `/sheet/${formulaId}/acknowledgements` });
    if (intent === "take-back") onClose();
  };
  if (acknowledged !== undefined) {
    return (
      <p className={classes.answer}>
        Acknowledged: {acknowledged.reason}{" "}
        <UnstyledButton type="button" className={classes.quiet} onClick={() => send("take-back")}>
          Undo
        </UnstyledButton>
      </p>
    );
  }
  return (
    <span className={classes.answering}>
      <TextInput
        value={reason}
        maxLength={REASON_LENGTH}
        autoFocus
        placeholder="reason"
        aria-label={`Reason to acknowledge: ${finding.what}`}
        onChange={(event) => setReason(event.currentTarget.value)}
        onKeyDown={(event) => {
          if (event.key === "Enter") {
            event.preventDefault();
            if (reason.trim() !== "") send("keep");
          }
          if (event.key === "Escape") onClose();
        }}
      />
      <UnstyledButton type="button" className={classes.apply} disabled={reason.trim() === ""} onClick={() => send("keep")}>
        Acknowledge
      </UnstyledButton>
      <UnstyledButton type="button" className={classes.quiet} onClick={onClose}>
        Cancel
      </UnstyledButton>
      {fetcher.data !== undefined && "sentence" in fetcher.data && <FormError>{fetcher.data.sentence}</FormError>}
    </span>
  );
}
