import { readFileSync } from "node:fs";

interface TraceEvent {
  readonly name: string;
  readonly ts: number;
  readonly dur?: number;
  readonly pid: number;
  readonly tid: number;
  readonly args?: { readonly data?: { readonly type?: string } };
}

/** What follows an event is over well before the next one. */
const WINDOW_MICROSECONDS = 80_000;

/** Scripting, style, layout and paint, as the trace names them. */
const WORK =
  /^(EventDispatch|FunctionCall|EvaluateScript|TimerFire|FireAnimationFrame|FireIdleCallback|RunMicrotasks|MinorGC|MajorGC|UpdateLayoutTree|Layout|PrePaint|Paint|Layerize|UpdateLayer|Commit|HitTest)$/;

/** Work on the page's main thread after each event of a type, nested events counted once, ms. */
export function workAfter(type: "keydown" | "pointermove", traceFile: string): number[] {
  const { traceEvents: events } = JSON.parse(readFileSync(traceFile, "utf8")) as { traceEvents: readonly TraceEvent[] };
  const dispatched = events.filter((event) => event.name === "EventDispatch" && event.args?.data?.type === type);
  const first = dispatched[0];
  if (first === undefined) throw new Error(`The trace holds no ${type}`);
  const work = events
    .filter((event) => event.pid === first.pid && event.tid === first.tid && event.dur !== undefined && WORK.test(event.name))
    .sort((a, b) => a.ts - b.ts);
  return dispatched.map(({ ts }) => {
    let covered = 0;
    let until = ts;
    for (const event of work) {
      if (event.ts < ts) continue;
      if (event.ts > ts + WINDOW_MICROSECONDS) break;
      const end = event.ts + (event.dur ?? 0);
      covered += Math.max(0, end - Math.max(event.ts, until));
      until = Math.max(until, end);
    }
    return covered / 1000;
  });
}
