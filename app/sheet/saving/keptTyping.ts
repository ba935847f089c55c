import { noTypedAim, nothingTypedMeasured, type TypedSheet } from "../typed/typedSheet";

/** Typing that has not reached the database yet, kept on this device so that a reload loses nothing. */
export interface KeptTyping {
  readonly revision: number;
  readonly typed: TypedSheet;
  /** What the database held when it was typed; absent in what an earlier build kept. */
  readonly base?: TypedSheet;
  /** Saves of this text whose answers never came. */
  readonly unanswered?: readonly string[];
}

const keyOf = (versionId: string) => `tensidrum.typing.${versionId}`;

export function keepTyping(versionId: string, kept: KeptTyping): void {
  try {
    localStorage.setItem(keyOf(versionId), JSON.stringify(kept));
  } catch {
    // Storage is full or barred: the page itself still holds the text.
  }
}

export function forgetTyping(versionId: string): void {
  try {
    localStorage.removeItem(keyOf(versionId));
  } catch {
    // Nothing was kept then.
  }
}

export function keptTyping(versionId: string): KeptTyping | null {
  try {
    const text = localStorage.getItem(keyOf(versionId));
    return text === null ? null : kept(JSON.parse(text));
  } catch {
    return null;
  }
}

function kept(value: unknown): KeptTyping | null {
  const candidate = value as Partial<KeptTyping> | null;
  const isWhole = typeof candidate?.revision === "number" && Array.isArray(candidate.typed?.lines) && Array.isArray(candidate.typed.phases);
  if (!isWhole) return null;
  const { revision, typed, base, unanswered = [] } = candidate as KeptTyping;
  return { revision, typed: asNow(typed), unanswered, ...(base === undefined ? {} : { base: asNow(base) }) };
}

/** Kept before sheets had an aim and measurements, and phases a temperature. */
function asNow(typed: TypedSheet): TypedSheet {
  const phases = typed.phases.map((phase) => ({ ...phase, temperature: phase.temperature ?? "" }));
  return { ...typed, phases, aim: { ...noTypedAim, ...typed.aim }, measured: { ...nothingTypedMeasured, ...typed.measured } };
}
