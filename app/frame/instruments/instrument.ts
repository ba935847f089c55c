import { readInstrumentLine, type InstrumentReading, type InstrumentUnit } from "@tensidrum/core/instruments";
import type { InstrumentKind, InstrumentLink } from "./instrumentLink";

export type Shown =
  | ({ readonly kind: "reading" } & Pick<InstrumentReading, "value" | "unit" | "isStable">)
  | { readonly kind: "overload" }
  | { readonly kind: "other-unit"; readonly unit: string };

export interface InstrumentState {
  /** Null while values are typed. */
  readonly link: InstrumentLink | null;
  /** Null before its first line, and when nothing has come for a while. */
  readonly shows: Shown | null;
  /** What a meter says of its sample; null where it does not. */
  readonly temperatureC: number | null;
  /** It has sent nothing for some seconds. */
  readonly isQuiet: boolean;
  /** Why it is gone; null while it is there. */
  readonly gone: string | null;
}

const QUIET_MILLISECONDS = 3_000;

/** What each kind measures; a temperature comes along with the pH. */
const MEASURES: Readonly<Record<InstrumentKind, readonly InstrumentUnit[]>> = { scale: ["g"], meter: ["pH"], cup: ["s", "Pa·s"] };

const nothing: InstrumentState = { link: null, shows: null, temperatureC: null, isQuiet: false, gone: null };

/** One instrument at the bench: where its lines come from and what it shows now. Who shows it subscribes to it alone. */
export class Instrument {
  readonly kind: InstrumentKind;
  private state: InstrumentState = nothing;
  private readonly listeners = new Set<() => void>();
  private stop: (() => void) | undefined;
  private quiet: ReturnType<typeof setTimeout> | undefined;

  constructor(kind: InstrumentKind) {
    this.kind = kind;
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly now = (): InstrumentState => this.state;

  connect(link: InstrumentLink): void {
    this.disconnect();
    this.change({ ...nothing, link });
    this.watchForQuiet();
    this.stop = link.listen({
      line: (text) => this.hear(text),
      gone: (why) => this.change({ shows: null, gone: why }),
    });
  }

  disconnect(): void {
    clearTimeout(this.quiet);
    this.stop?.();
    this.stop = undefined;
    this.change(nothing);
  }

  private hear(text: string): void {
    const line = readInstrumentLine(text);
    if (line.kind === "noise") return;
    if (line.kind === "reading" && line.reading.unit === "°C" && this.kind === "meter") {
      if (line.reading.value !== this.state.temperatureC) this.change({ temperatureC: line.reading.value });
      return;
    }
    this.watchForQuiet();
    const shows: Shown =
      line.kind === "overload"
        ? line
        : line.kind === "other-unit"
          ? line
          : MEASURES[this.kind].includes(line.reading.unit)
            ? { kind: "reading", ...line.reading }
            : { kind: "other-unit", unit: line.reading.unit };
    if (!isSame(shows, this.state.shows) || this.state.isQuiet) this.change({ shows, isQuiet: false });
  }

  /** A cup is silent while nobody fills it. */
  private watchForQuiet(): void {
    clearTimeout(this.quiet);
    if (this.kind === "cup") return;
    this.quiet = setTimeout(() => this.change({ shows: null, isQuiet: true }), QUIET_MILLISECONDS);
  }

  private change(changes: Partial<InstrumentState>): void {
    this.state = { ...this.state, ...changes };
    for (const listener of this.listeners) listener();
  }
}

function isSame(a: Shown, b: Shown | null): boolean {
  if (b === null || a.kind !== b.kind) return false;
  if (a.kind === "reading" && b.kind === "reading") return a.value === b.value && a.unit === b.unit && a.isStable === b.isStable;
  return a.kind === "overload" || (a.kind === "other-unit" && b.kind === "other-unit" && a.unit === b.unit);
}
