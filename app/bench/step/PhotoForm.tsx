import { TextInput } from "@mantine/core";
import { useEffect } from "react";
import { useFetcher } from "react-router";
import { useBench } from "./bench";
import { BigButton } from "./BigButton";
import classes from "./Step.module.css";
import type { FormAnswer } from "../../frame/formAnswer";
import { FormError } from "../../components/FormError";

/** A photo of how it looks now. It needs the server: the picture is drawn anew there, without what a camera writes into it. */
export function PhotoForm({ step, onSent }: { readonly step: string; readonly onSent: () => void }) {
  const { view, queue } = useBench();
  const fetcher = useFetcher<FormAnswer<unknown> | { readonly isKept: true }>();
  const answer = fetcher.data;
  useEffect(() => {
    if (fetcher.state === "idle" && answer !== undefined && "isKept" in answer) onSent();
    // Closed once, when the answer comes.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [fetcher.state, answer]);
  return (
    <fetcher.Form method="post" action={`/bench/${view.id}/photos`} encType="multipart/form-data" className={classes.sidePanel}>
      <input type="hidden" name="step" value={step} />
      <label className={classes.field}>
        JPEG or PNG, up to 5 MB <TextInput type="file" name="photo" accept="image/jpeg,image/png" required />
      </label>
      <BigButton intent="photo" act="Keep the photo" isOff={queue.link === "away" || fetcher.state !== "idle"}>
        {fetcher.state === "idle" ? "Keep the photo" : "Sending …"}
      </BigButton>
      {queue.link === "away" && <p>A photo needs the server. Take it now, keep it when the server is back.</p>}
      {answer !== undefined && "sentence" in answer && <FormError>{answer.sentence}</FormError>}
    </fetcher.Form>
  );
}
