import { useCallback, useEffect, useState } from "react";
import { useRevalidator } from "react-router";
import { lookKeep, type KeptLook } from "./lookKeep";
import { keepAndSend, keptLook, sendWaiting, type SentLook } from "./lookOutbox";

const AGAIN_MILLISECONDS = 15_000;

export interface Outbox {
  /** What this device keeps, in the order it was kept. */
  readonly looks: readonly KeptLook[];
  keep(form: FormData): Promise<SentLook>;
  drop(id: string): Promise<void>;
}

/** Looks at the samples of a batch that the server has not got yet: kept here, sent when it is back. */
export function useOutbox(batch: string): Outbox {
  const [kept] = useState(() => (typeof window === "undefined" ? null : lookKeep()));
  const [looks, setLooks] = useState<readonly KeptLook[]>([]);
  const { revalidate } = useRevalidator();
  const show = useCallback(async () => setLooks((await kept?.all(batch)) ?? []), [kept, batch]);
  const send = useCallback(async () => {
    if (kept === null) return;
    const sent = await sendWaiting(kept, batch);
    await show();
    if (sent > 0) await revalidate();
  }, [kept, batch, show, revalidate]);
  useEffect(() => {
    void send();
    const again = (): void => void send();
    window.addEventListener("online", again);
    return () => window.removeEventListener("online", again);
    // Once for a batch: what is revalidated later is no reason to send.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [kept, batch]);
  const isWaiting = looks.some(({ why }) => why === null);
  useEffect(() => {
    if (!isWaiting) return;
    const timer = setInterval(() => void send(), AGAIN_MILLISECONDS);
    return () => clearInterval(timer);
  }, [isWaiting, send]);
  return {
    looks,
    async keep(form) {
      if (kept === null) return { kind: "waits" };
      const outcome = await keepAndSend(kept, keptLook(batch, form));
      await show();
      if (outcome.kind === "kept") await revalidate();
      return outcome;
    },
    async drop(id) {
      await kept?.remove(id);
      await show();
    },
  };
}
