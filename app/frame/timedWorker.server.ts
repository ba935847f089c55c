import type { Worker } from "node:worker_threads";

/** A worker that is made first loads its scripts; on a busy machine that takes a while and is not the task's. */
const START_MILLISECONDS = 5_000;

/** What was asked did not come in time. */
export class TimeIsUp extends Error {}

interface Asked<Answer> {
  readonly task: unknown;
  readonly resolve: (answer: Answer) => void;
  readonly reject: (error: Error) => void;
}

/**
 * Work beside the server's thread, one task after the other, each with a time limit. A worker that does not answer in time
 * is ended, and the next task gets a new one; the server itself never waits for it.
 */
export function timedWorker<Task, Answer>(create: () => Worker, limitMilliseconds: number): (task: Task) => Promise<Answer> {
  let worker: Worker | undefined;
  let isBusy = false;
  const waiting: Asked<Answer>[] = [];
  const next = (): void => {
    const asked = isBusy ? undefined : waiting.shift();
    if (asked === undefined) return;
    isBusy = true;
    const limit = limitMilliseconds + (worker === undefined ? START_MILLISECONDS : 0);
    const current = (worker ??= create());
    const end = (): void => {
      clearTimeout(timer);
      // By name: a worker listens to itself too.
      for (const event of ["message", "error", "exit"]) current.removeAllListeners(event);
      isBusy = false;
      next();
    };
    const giveUp = (error: Error): void => {
      worker = undefined;
      void current.terminate();
      end();
      asked.reject(error);
    };
    const timer = setTimeout(() => giveUp(new TimeIsUp(`no answer within ${limit} ms`)), limit);
    current.once("message", (answer: Answer) => {
      end();
      asked.resolve(answer);
    });
    current.once("error", giveUp);
    current.once("exit", () => giveUp(new Error("the worker ended before it answered")));
    // A worker that waits for tasks does not keep the server from ending.
    current.unref();
    current.postMessage(asked.task);
  };
  return (task) =>
    new Promise((resolve, reject) => {
      waiting.push({ task, resolve, reject });
      next();
    });
}
