import type { BatchEntry } from "@tensidrum/core/process";
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from "react";
import type { SentBatch, StoredEntry } from "../batch/sentBatch";
import type { OverdrawnLot } from "../lots/lots.server";
import { journaled } from "./entryJournal";
import { browserKeep, type EntryKeep } from "./entryKeep";
import { EntryQueue, type Answer, type QueueState } from "./entryQueue";
import { serverNow, serverSaid } from "./serverClock";
import { useBatchHere, type BatchHere } from "./useBatchHere";

/** A batch on this device: what the server sent, what other devices enter meanwhile, and what this one enters, with the server or without. */
export function useBatch(sent: SentBatch, toldShort: (short: readonly OverdrawnLot[]) => void): BatchHere {
  const [queue] = useState(
    () => new EntryQueue({ batch: sent.id, keep: keepOfBrowser(), send: sender(sent.id, toldShort), later }, sent.entries, sent.position),
  );
  const state = useSyncExternalStore(queue.subscribe, queue.now, queue.now);
  useEffect(() => {
    void queue.start();
    return () => queue.stop();
  }, [queue]);
  useEffect(() => {
    void queue.receive(sent.entries);
  }, [queue, sent.entries]);
  useEffect(() => listenForNews(sent.id, queue), [sent.id, queue]);
  const entries = useMemo(() => entriesOfQueue(state), [state]);
  const held = useCallback(() => entriesOfQueue(queue.now()), [queue]);
  const add = useCallback((made: readonly BatchEntry[]) => void queue.add(made), [queue]);
  const letGo = useCallback((id: string) => void queue.letGo(id), [queue]);
  return useBatchHere(sent, { entries, queue: state, clock: serverNow, held, add, letGo });
}

function entriesOfQueue({ stored, waiting }: QueueState): readonly BatchEntry[] {
  return [...stored.map(({ entry }) => entry), ...waiting];
}

let keep: EntryKeep | undefined;

function keepOfBrowser() {
  // Nothing is kept while the page is drawn on the server.
  if (typeof indexedDB === "undefined")
    return {
      all: () => Promise.resolve([]),
      broken: () => Promise.resolve([]),
      put: () => Promise.resolve(),
      remove: () => Promise.resolve(),
    };
  return (keep ??= journaled(browserKeep(), localStorage));
}

function sender(batch: string, toldShort: (short: readonly OverdrawnLot[]) => void) {
  return async (behind: number, entries: readonly BatchEntry[]): Promise<Answer> => {
    const response = await fetch(`/bench/${batch}/entries`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ behind, entries }),
    });
    if (!response.ok) throw new Error(`the server answered ${response.status}`);
    const answer = (await response.json()) as Answer;
    serverSaid(answer.now);
    toldShort(answer.short ?? []);
    return answer;
  };
}

function later(milliseconds: number, call: () => void): () => void {
  const timer = setTimeout(call, milliseconds);
  return () => clearTimeout(timer);
}

const ASK_AGAIN_MILLISECONDS = 2_000;

/** Hears what other devices enter, from the last position this one knows; after a break it asks again. */
function listenForNews(batch: string, queue: EntryQueue): () => void {
  let source: EventSource | undefined;
  let again: ReturnType<typeof setTimeout> | undefined;
  const listen = (): void => {
    // A browser opens six connections to one server; a page nobody looks at leaves its own to others.
    if (document.visibilityState === "hidden") return;
    source = new EventSource(`/bench/${batch}/news?behind=${queue.lastPosition()}`);
    source.addEventListener("entries", (event: MessageEvent<string>) => {
      const news = JSON.parse(event.data) as { readonly now: string; readonly stored: readonly StoredEntry[] };
      serverSaid(news.now);
      void queue.receive(news.stored);
      queue.linkIs("there");
    });
    source.addEventListener("error", () => {
      queue.linkIs("away");
      source?.close();
      again = setTimeout(listen, ASK_AGAIN_MILLISECONDS);
    });
  };
  const back = (): void => {
    queue.tryNow();
    clearTimeout(again);
    source?.close();
    listen();
  };
  const seen = (): void => {
    if (document.visibilityState === "visible") return back();
    clearTimeout(again);
    source?.close();
  };
  listen();
  window.addEventListener("online", back);
  document.addEventListener("visibilitychange", seen);
  return () => {
    document.removeEventListener("visibilitychange", seen);
    clearTimeout(again);
    source?.close();
    window.removeEventListener("online", back);
  };
}
