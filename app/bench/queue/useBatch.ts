import { agentsOf, nextStep, saltsOf, whyNot, type BatchEntry } from "@tensidrum/core/making";
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from "react";
import { entriesOf, type BenchForm } from "../batch/benchForm";
import { batchView, type BatchView } from "../batch/batchView";
import { planOfBatch, type SentBatch, type StoredEntry } from "../batch/sentBatch";
import { browserKeep } from "./entryKeep";
import { EntryQueue, type Answer, type QueueState } from "./entryQueue";
import { serverNow, serverSaid } from "./serverClock";

const TICK_MILLISECONDS = 500;

export interface BatchHere {
  readonly view: BatchView;
  readonly plan: ReturnType<typeof planOfBatch>;
  readonly next: ReturnType<typeof nextStep>;
  readonly queue: QueueState;
  readonly earlier: SentBatch["earlier"];
  /** The server's time as this device reckons it, ISO. */
  readonly now: string;
  /** Enters what a form says. Answers what is wrong with it, or nothing. */
  enter(form: BenchForm): string | null;
  letGo(id: string): void;
}

/** A batch on this device: what the server sent, what other devices enter meanwhile, and what this one enters, with the server or without. */
export function useBatch(sent: SentBatch): BatchHere {
  const [queue] = useState(
    () => new EntryQueue({ batch: sent.id, keep: keepOfBrowser(), send: sender(sent.id), later }, sent.entries, sent.position),
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
  const plan = useMemo(() => planOfBatch({ formula: sent.formula, steps: sent.steps }), [sent.formula, sent.steps]);
  const entries = useMemo(() => [...state.stored.map(({ entry }) => entry), ...state.waiting], [state.stored, state.waiting]);
  const view = useMemo(() => batchView(sent, plan, entries), [sent, plan, entries]);
  const now = useNow(sent.now);
  const next = useMemo(() => nextStep(view, now), [view, now]);
  const enter = useCallback(
    (form: BenchForm): string | null => {
      const made = entriesOf(form, serverNow(), { agents: agentsOf(plan), salts: saltsOf(plan) });
      if ("problem" in made) return made.problem;
      const held = queue.now();
      const all: BatchEntry[] = [...held.stored.map(({ entry }) => entry), ...held.waiting];
      for (const entry of made.entries) {
        const why = whyNot(plan, all, entry);
        if (why !== null) return why;
        all.push(entry);
      }
      void queue.add(made.entries);
      return null;
    },
    [plan, queue],
  );
  return { view, plan, next, queue: state, earlier: sent.earlier, now, enter, letGo: (id) => void queue.letGo(id) };
}

let keep: ReturnType<typeof browserKeep> | undefined;

function keepOfBrowser() {
  // Nothing is kept while the page is drawn on the server.
  if (typeof indexedDB === "undefined")
    return { all: () => Promise.resolve([]), put: () => Promise.resolve(), remove: () => Promise.resolve() };
  return (keep ??= browserKeep());
}

function sender(batch: string) {
  return async (behind: number, entries: readonly BatchEntry[]): Promise<Answer> => {
    const response = await fetch(`/bench/${batch}/entries`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ behind, entries }),
    });
    if (!response.ok) throw new Error(`the server answered ${response.status}`);
    const answer = (await response.json()) as Answer;
    serverSaid(answer.now);
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
  listen();
  window.addEventListener("online", back);
  return () => {
    clearTimeout(again);
    source?.close();
    window.removeEventListener("online", back);
  };
}

/** The server's time, told anew twice a second; the first one is the page's, so that both draw alike. */
function useNow(first: string): string {
  const [now, setNow] = useState(first);
  useEffect(() => {
    const tick = () => setNow(serverNow());
    tick();
    const timer = setInterval(tick, TICK_MILLISECONDS);
    return () => clearInterval(timer);
  }, []);
  return now;
}
