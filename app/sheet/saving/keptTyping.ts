import { noTypedAim, nothingTypedMeasured, type TypedSheet } from "../typed/typedSheet";

/** Typing that has not reached the database yet, kept in this browser so that a reload loses nothing. */
export interface KeptTyping {
  readonly revision: number;
  readonly typed: TypedSheet;
  /** What the database held when it was typed; absent in what an earlier build kept. */
  readonly base?: TypedSheet;
  /** Saves of this text whose answers never came. */
  readonly unanswered?: readonly string[];
}

/** A kept text and the page that kept it. */
export interface KeptByPage {
  readonly key: string;
  readonly kept: KeptTyping;
}

/** Each page keeps its own text: what another page of this browser is typing just now is not its to take. */
const PAGE = globalThis.crypto.randomUUID();
const LOCK = "tensidrum.page.";
const PREFIX = "tensidrum.typing.";

const keyOf = (versionId: string) => `${PREFIX}${versionId}.${PAGE}`;

/** Says to the other pages of this browser, as long as this one lives, that what it keeps is in good hands. */
export function holdPage(): void {
  void navigator.locks?.request(`${LOCK}${PAGE}`, () => new Promise<void>(() => undefined)).catch(() => undefined);
}

export function keepTyping(versionId: string, kept: KeptTyping): void {
  try {
    localStorage.setItem(keyOf(versionId), JSON.stringify({ ...kept, keptAt: Date.now() }));
  } catch {
    // Storage is full or barred: the page itself still holds the text.
  }
}

export function forgetTyping(versionId: string): void {
  forgetKept(keyOf(versionId));
}

export function forgetKept(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // Nothing was kept then.
  }
}

/** The text this page, or the page it was before a reload, kept last of a version; for what need not be sure. */
export function latestKept(versionId: string): TypedSheet | null {
  return keptOf(versionId)[0]?.kept.typed ?? null;
}

/** The texts of a version kept by pages that are gone, the newest first. */
export async function abandonedTyping(versionId: string): Promise<readonly KeptByPage[]> {
  const all = keptOf(versionId);
  if (all.length === 0) return [];
  const { held = [] } = (await navigator.locks?.query().catch(() => ({ held: [] }))) ?? {};
  const alive = new Set(held.map(({ name }) => name));
  return all.filter(({ key }) => !alive.has(`${LOCK}${pageOf(key)}`) && pageOf(key) !== PAGE);
}

const pageOf = (key: string) => key.slice(key.lastIndexOf(".") + 1);

function keptOf(versionId: string): readonly (KeptByPage & { readonly keptAt: number })[] {
  try {
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(`${PREFIX}${versionId}`))
      .flatMap((key) => {
        const read = keptFrom(localStorage.getItem(key));
        return read === null ? [] : [{ key, ...read }];
      })
      .toSorted((a, b) => b.keptAt - a.keptAt);
  } catch {
    return [];
  }
}

function keptFrom(text: string | null): { readonly kept: KeptTyping; readonly keptAt: number } | null {
  const candidate = JSON.parse(text ?? "null") as (Partial<KeptTyping> & { keptAt?: number }) | null;
  const isWhole = typeof candidate?.revision === "number" && Array.isArray(candidate.typed?.lines) && Array.isArray(candidate.typed.phases);
  if (!isWhole) return null;
  const { revision, typed, base, unanswered = [], keptAt = 0 } = candidate as KeptTyping & { keptAt?: number };
  return { kept: { revision, typed: asNow(typed), unanswered, ...(base === undefined ? {} : { base: asNow(base) }) }, keptAt };
}

/** Kept before sheets had an aim and measurements, and phases a temperature. */
function asNow(typed: TypedSheet): TypedSheet {
  const phases = typed.phases.map((phase) => ({ ...phase, temperature: phase.temperature ?? "" }));
  return { ...typed, phases, aim: { ...noTypedAim, ...typed.aim }, measured: { ...nothingTypedMeasured, ...typed.measured } };
}
