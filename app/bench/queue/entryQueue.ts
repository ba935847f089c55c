import type { BatchEntry } from "@tensidrum/core/process";
import type { StoredEntry } from "../batch/sentBatch";
import type { OverdrawnLot } from "../lots/lots.server";
import type { BrokenEntry, EntryKeep } from "./entryKeep";

export interface RefusedEntry {
  readonly entry: BatchEntry;
  readonly why: string;
}

/** What a device knows of a batch: what the server holds, what waits to be sent, what the server would not take. */
export interface QueueState {
  readonly stored: readonly StoredEntry[];
  readonly waiting: readonly BatchEntry[];
  readonly refused: readonly RefusedEntry[];
  /** What this device kept and cannot read; it is never sent. */
  readonly broken: readonly BrokenEntry[];
  /** "away": the server could not be reached the last time. */
  readonly link: "there" | "away";
}

/** What the server answers to entries it was sent. */
export interface Answer {
  /** Its time, ISO. */
  readonly now: string;
  /** All it holds behind the position asked for, and what was sent and came there before. */
  readonly stored: readonly StoredEntry[];
  readonly refused: readonly { readonly id: string; readonly why: string }[];
  /** Lots of the batch that gave more than the ledger held. */
  readonly short?: readonly OverdrawnLot[];
}

interface QueueTools {
  readonly batch: string;
  readonly keep: EntryKeep;
  /** Sends entries; fails while the server cannot be reached. */
  readonly send: (behind: number, entries: readonly BatchEntry[]) => Promise<Answer>;
  /** Calls back later; answers how to call it off. */
  readonly later: (milliseconds: number, call: () => void) => () => void;
}

const MOST_AT_ONCE = 200;
const FIRST_RETRY_MILLISECONDS = 1_000;
const LONGEST_RETRY_MILLISECONDS = 5_000;

/**
 * Entries of one batch on this device. An entry counts from the moment it is made, is kept on the device until the server
 * holds it, and is sent again and again until then; the server stores it once, however often it comes.
 */
export class EntryQueue {
  private state: QueueState;
  private readonly tools: QueueTools;
  private readonly position: number;
  private readonly listeners = new Set<() => void>();
  private isSending = false;
  private retryAfter = FIRST_RETRY_MILLISECONDS;
  private callOff: () => void = () => undefined;

  /**
   * @param stored what the server sent of the batch
   * @param position the last one there was then, also of entries that were not sent
   */
  constructor(tools: QueueTools, stored: readonly StoredEntry[], position = stored.at(-1)?.position ?? 0) {
    this.tools = tools;
    this.position = position;
    this.state = { stored, waiting: [], refused: [], broken: [], link: "there" };
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly now = (): QueueState => this.state;

  /** Takes up what this device kept, also over a reload without the server, and sends what waits. */
  async start(): Promise<void> {
    const { batch, keep } = this.tools;
    const kept = await keep.all(batch);
    const last = this.lastPosition();
    const known = new Set(this.state.stored.map(({ entry }) => entry.id));
    const behind = kept.flatMap(({ entry, position }) => (position !== null && position > last ? [{ entry, position }] : []));
    const isNew = ({ entry }: { readonly entry: BatchEntry }): boolean => !known.has(entry.id);
    const here = new Set([...this.state.waiting, ...this.state.refused.map(({ entry }) => entry)].map(({ id }) => id));
    const waiting = kept.filter((row) => row.position === null && row.why === null && isNew(row) && !here.has(row.entry.id));
    const refused = kept.flatMap(({ entry, why }) => (why === null || here.has(entry.id) ? [] : [{ entry, why }]));
    await keep.remove(
      kept
        .filter(({ entry, position, why }) => why === null && (position === null ? known.has(entry.id) : position <= last))
        .map(({ entry }) => entry.id),
    );
    this.change({
      stored: inOrder([...this.state.stored, ...behind.filter(isNew)]),
      waiting: [...waiting.map(({ entry }) => entry), ...this.state.waiting],
      refused: [...refused, ...this.state.refused],
      broken: await keep.broken(batch),
    });
    void this.flush();
  }

  stop(): void {
    this.callOff();
  }

  async add(entries: readonly BatchEntry[]): Promise<void> {
    this.change({ waiting: [...this.state.waiting, ...entries] });
    await this.tools.keep.put(entries.map((entry) => ({ id: entry.id, batch: this.tools.batch, entry, position: null, why: null })));
    void this.flush();
  }

  /** What the server says it holds, from whichever device. */
  async receive(stored: readonly StoredEntry[]): Promise<void> {
    const known = new Set(this.state.stored.map(({ entry }) => entry.id));
    const fresh = stored.filter(({ entry }) => !known.has(entry.id));
    if (fresh.length === 0) return;
    const taken = new Set(fresh.map(({ entry }) => entry.id));
    this.change({
      stored: inOrder([...this.state.stored, ...fresh]),
      waiting: this.state.waiting.filter(({ id }) => !taken.has(id)),
    });
    const { batch, keep } = this.tools;
    await keep.put(fresh.map(({ entry, position }) => ({ id: entry.id, batch, entry, position, why: null })));
  }

  linkIs(link: QueueState["link"]): void {
    if (this.state.link !== link) this.change({ link });
    if (link === "there") this.tryNow();
  }

  /** The network is said to be back: what waits is tried at once. */
  tryNow(): void {
    this.retryAfter = FIRST_RETRY_MILLISECONDS;
    void this.flush();
  }

  /** Lets go of an entry the server would not take, or of one that cannot be read. */
  async letGo(id: string): Promise<void> {
    this.change({
      refused: this.state.refused.filter(({ entry }) => entry.id !== id),
      broken: this.state.broken.filter((one) => one.id !== id),
    });
    await this.tools.keep.remove([id]);
  }

  private async flush(): Promise<void> {
    if (this.isSending || this.state.waiting.length === 0) return;
    this.isSending = true;
    this.callOff();
    try {
      while (this.state.waiting.length > 0) {
        const sent = this.state.waiting.slice(0, MOST_AT_ONCE);
        const answer = await this.tools.send(this.lastPosition(), sent);
        await this.resolveLines(sent, answer);
      }
      this.retryAfter = FIRST_RETRY_MILLISECONDS;
      if (this.state.link === "away") this.change({ link: "there" });
    } catch {
      if (this.state.link === "there") this.change({ link: "away" });
      this.callOff = this.tools.later(this.retryAfter, () => void this.flush());
      this.retryAfter = Math.min(LONGEST_RETRY_MILLISECONDS, this.retryAfter * 2);
    } finally {
      this.isSending = false;
    }
  }

  private async resolveLines(sent: readonly BatchEntry[], { stored, refused }: Answer): Promise<void> {
    await this.receive(stored);
    const why = new Map(refused.map((one) => [one.id, one.why]));
    const known = new Set(this.state.stored.map(({ entry }) => entry.id));
    const over = new Set(sent.filter(({ id }) => why.has(id) || known.has(id)).map(({ id }) => id));
    // A server that neither stored nor refused an entry has not answered; it is asked again later.
    if (over.size < sent.length) throw new Error("not every entry was answered");
    const sidePanel = sent.flatMap((entry) => (why.has(entry.id) ? [{ entry, why: why.get(entry.id) ?? "" }] : []));
    this.change({
      waiting: this.state.waiting.filter(({ id }) => !over.has(id)),
      refused: [...this.state.refused, ...sidePanel],
    });
    const { batch, keep } = this.tools;
    if (sidePanel.length > 0)
      await keep.put(sidePanel.map(({ entry, why: said }) => ({ id: entry.id, batch, entry, position: null, why: said })));
  }

  /** The last position this device knows of. */
  lastPosition(): number {
    return Math.max(this.position, this.state.stored.at(-1)?.position ?? 0);
  }

  private change(changes: Partial<QueueState>): void {
    this.state = { ...this.state, ...changes };
    for (const listener of this.listeners) listener();
  }
}

function inOrder(stored: readonly StoredEntry[]): readonly StoredEntry[] {
  const byId = new Map(stored.map((one) => [one.entry.id, one]));
  return [...byId.values()].sort((a, b) => a.position - b.position);
}
