import type { TypedSheet } from "../typed/typedSheet";

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
export async function latestKept(versionId: string): Promise<TypedSheet | null> {
  return (await keptOf(versionId))[0]?.kept.typed ?? null;
}

/** The texts of a version kept by pages that are gone, the newest first. */
export async function abandonedTyping(versionId: string): Promise<readonly KeptByPage[]> {
  const all = await keptOf(versionId);
  if (all.length === 0) return [];
  const { held = [] } = (await navigator.locks?.query().catch(() => ({ held: [] }))) ?? {};
  const alive = new Set(held.map(({ name }) => name));
  return all.filter(({ key }) => !alive.has(`${LOCK}${pageOf(key)}`) && pageOf(key) !== PAGE);
}

const pageOf = (key: string) => key.slice(key.lastIndexOf(".") + 1);

async function keptOf(versionId: string): Promise<readonly (KeptByPage & { readonly keptAt: number })[]> {
  const texts = textsOf(`${PREFIX}${versionId}`);
  if (texts.length === 0) return [];
  const { storedTyping } = await import("./sheets.stored");
  return texts
    .flatMap(({ key, text }) => {
      const stored = storedTyping(text);
      if (stored === null) return [];
      const { keptAt, ...kept } = stored;
      return [{ key, kept, keptAt }];
    })
    .toSorted((a, b) => b.keptAt - a.keptAt);
}

function textsOf(prefix: string): readonly { readonly key: string; readonly text: string }[] {
  try {
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(prefix))
      .map((key) => ({ key, text: localStorage.getItem(key) ?? "" }));
  } catch {
    // Storage is barred: nothing was kept.
    return [];
  }
}
