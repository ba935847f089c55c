import type { SheetAnswer } from "../sheetAnswer";
import { type CellKey, differingCells, isSameSheet, withCellFrom } from "../typed/cells";
import { type Merged, mergeTyped } from "../typed/mergeTyped";
import type { FieldProblem } from "../../frame/formAnswer";
import type { TypedSheet } from "../typed/typedSheet";
import type { KeptTyping } from "./keptTyping";
import type { Met, SaverAround, SaverState, SaveStatus, Sent } from "./saverState";

/** From the last key to the save. */
const QUIET_MILLISECONDS = 500;
/** Typing is kept on the device in the pauses. */
const KEEP_MILLISECONDS = 200;
/** From a try that failed to the next. */
export const RETRY_MILLISECONDS = 2_000;

const NO_PROBLEMS: readonly FieldProblem[] = [];

/**
 * Saves a sheet as it is typed: half a second after the last key, one save at a time, and again and again until it is
 * stored, whatever fails and however fast. What another window saved in between is merged cell by cell.
 */
export class SheetSaver {
  private typed: TypedSheet;
  /** What the database holds, as far as this page knows. */
  private base: TypedSheet;
  private isBroken = false;
  private isPaused = false;
  private isEnded = false;
  private isTouched = false;
  private sending: Sent | null = null;
  /** When this page saved last; null while it never did. */
  private savedAt: string | null = null;
  private unanswered: readonly string[] = [];
  /** The texts of those of them that this page sent. */
  private readonly lostTexts = new Map<string, TypedSheet>();
  /** The text the server found wrong; it is not sent a second time. */
  private refusedText: TypedSheet | null = null;
  private cancelTry: (() => void) | null = null;
  private cancelKeep: (() => void) | null = null;
  private state: SaverState;
  private readonly listeners = new Set<() => void>();
  private readonly around: SaverAround;

  constructor(loaded: { readonly typed: TypedSheet; readonly revision: number }, around: SaverAround) {
    this.typed = loaded.typed;
    this.base = loaded.typed;
    this.around = around;
    this.state = {
      status: { kind: "saved", at: null },
      revision: loaded.revision,
      problems: NO_PROBLEMS,
      isStored: true,
      isBusy: false,
    };
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly now = (): SaverState => this.state;

  /** What stands in the cells now, and whether a cell cannot be read. */
  type(typed: TypedSheet, isBroken: boolean): void {
    const isOther = typed !== this.typed;
    if (!isOther && isBroken === this.isBroken) return;
    this.typed = typed;
    this.isBroken = isBroken;
    if (isOther && this.state.status.kind === "conflict") this.keepSoon();
    else if (this.isStoredNow()) this.stored();
    else {
      this.isTouched = true;
      this.keepSoon();
      const { kind } = this.state.status;
      if (kind !== "away" && kind !== "refused" && kind !== "conflict") this.tell({ status: this.restingStatus(), isStored: false });
      else this.tell({ isStored: false });
      if (kind !== "away") this.trySoon(QUIET_MILLISECONDS);
    }
  }

  /** Another request of the page is under way; its answer must be known first. */
  pause(isPaused: boolean): void {
    this.isPaused = isPaused;
    if (!isPaused && !this.isStoredNow()) this.trySoon(QUIET_MILLISECONDS);
  }

  /** The network is back, or the page is looked at again. */
  tryNow(): void {
    if (this.state.status.kind === "away") this.attempt();
  }

  /** Takes what an earlier visit kept and could not store. */
  restore(kept: KeptTyping): void {
    const from = kept.base ?? this.base;
    // What stands here already, typed in the meantime or kept by another page, stands above it.
    if (this.isTouched) this.goOn(mergeTyped(from, this.typed, kept.typed), kept.typed);
    else {
      this.isTouched = true;
      this.unanswered = kept.unanswered ?? [];
      this.goOn(mergeTyped(from, kept.typed, this.base), this.base);
    }
    this.around.show(this.typed);
  }

  /**
   * Brings in what another window saved: the answer of a save that came late, or of a button.
   * @param base what the page began from; a page that was sent anew with its text does not know it, and asks about each cell
   */
  meet({ theirs, revision, saves }: Met, from: TypedSheet | null = this.base): void {
    // What this page stored without hearing of it is no change of the other window.
    const lost = this.unanswered.findLast((id) => saves.includes(id) && this.lostTexts.has(id));
    const base = from === null ? null : (this.lostTexts.get(lost ?? "") ?? from);
    const merged =
      base === null ? { sheet: this.typed, conflicts: differingCells(this.typed, theirs) } : mergeTyped(base, this.typed, theirs);
    this.base = theirs;
    this.forgetUnanswered();
    this.tell({ revision });
    this.goOn(merged, theirs);
    if (base !== null) this.around.rebase({ base, theirs });
  }

  /** Answers the question of a cell that both windows changed: as here, or as there. */
  choose(cell: CellKey, which: "mine" | "theirs"): void {
    const { status } = this.state;
    if (status.kind !== "conflict") return;
    const cells = status.cells.filter((each) => each !== cell);
    if (which === "theirs") {
      this.typed = withCellFrom(this.typed, status.theirs, cell);
      this.around.show(this.typed);
    }
    this.goOn({ sheet: this.typed, conflicts: cells }, status.theirs);
  }

  /** Sends what is unsent as the page goes; nobody waits for the answer, and what was kept tells the next visit of it. */
  leave(sendLast: (sent: Sent) => void): void {
    if (!this.isTouched || this.isStoredNow()) return;
    const sent = this.nextSent();
    this.keepNow(sent.saveId);
    const { kind } = this.state.status;
    if (!this.isBroken && kind !== "conflict" && kind !== "refused") sendLast(sent);
  }

  /** Whether something would be lost if the page went now: it is neither stored nor on its way there. */
  isStuck(): boolean {
    const { kind } = this.state.status;
    return !this.isStoredNow() && (kind === "away" || kind === "conflict");
  }

  end(): void {
    this.isEnded = true;
    this.cancelTry?.();
    this.cancelKeep?.();
  }

  /** Begins again after `end`, as an effect that is run twice does. */
  begin(): void {
    this.isEnded = false;
    if (!this.isStoredNow()) this.trySoon(QUIET_MILLISECONDS);
  }

  /** Goes on with what was merged: asks about the cells that are left, else stores it. */
  private goOn({ sheet, conflicts }: Merged, theirs: TypedSheet): void {
    this.typed = sheet;
    if (conflicts.length === 0 && this.isStoredNow()) {
      this.stored();
      return;
    }
    this.keepSoon();
    const isAsked = conflicts.length > 0;
    this.tell({ status: isAsked ? { kind: "conflict", cells: conflicts, theirs } : this.restingStatus(), isStored: false });
    if (!isAsked) this.trySoon(0);
  }

  private isStoredNow(): boolean {
    return this.typed === this.base || isSameSheet(this.typed, this.base);
  }

  private restingStatus(): SaveStatus {
    if (this.isStoredNow()) return { kind: "saved", at: this.savedAt };
    if (this.isBroken || this.refusedText === this.typed) return { kind: "to-fix" };
    return this.sending === null ? { kind: "typing" } : { kind: "saving" };
  }

  private trySoon(milliseconds: number): void {
    this.cancelTry?.();
    this.cancelTry = this.around.later(milliseconds, () => this.attempt());
  }

  private nextSent(): Sent {
    const { revision } = this.state;
    return { typed: this.typed, revision, saveId: this.around.newId(), unanswered: this.unanswered };
  }

  private attempt(): void {
    const { kind } = this.state.status;
    const isHeld = this.isPaused || this.isBroken || this.refusedText === this.typed || kind === "conflict" || kind === "refused";
    if (this.isEnded || this.sending !== null || this.isStoredNow()) return;
    if (isHeld) {
      // A cell that cannot be read just now must not end the tries while the server is away.
      if (kind === "away") this.trySoon(RETRY_MILLISECONDS);
      return;
    }
    this.cancelTry?.();
    const sent = this.nextSent();
    this.sending = sent;
    this.unanswered = [...this.unanswered, sent.saveId].slice(-MOST_UNANSWERED);
    this.lostTexts.set(sent.saveId, sent.typed);
    for (const id of this.lostTexts.keys()) if (!this.unanswered.includes(id)) this.lostTexts.delete(id);
    this.tell({ isBusy: true, ...(kind === "away" ? {} : { status: { kind: "saving" } }) });
    // A send that fails at once, or throws instead of rejecting, is a failed one like any other.
    void new Promise<SheetAnswer>((resolve) => resolve(this.around.send(sent))).then(
      (answer) => this.answered(sent, answer),
      () => this.failed({ kind: "away", why: "server" }),
    );
  }

  private failed(status: Extract<SaveStatus, { kind: "away" }>): void {
    this.sending = null;
    this.tell({ isBusy: false, status });
    this.trySoon(RETRY_MILLISECONDS);
  }

  private answered(sent: Sent, answer: SheetAnswer): void {
    this.sending = null;
    switch (answer.kind) {
      case "saved":
        this.base = sent.typed;
        this.savedAt = answer.savedAt;
        this.forgetUnanswered();
        this.tell({ isBusy: false, revision: answer.revision, problems: NO_PROBLEMS });
        if (this.isStoredNow()) this.stored(answer.savedAt);
        else {
          this.tell({ status: this.restingStatus() });
          this.trySoon(QUIET_MILLISECONDS);
        }
        return;
      case "problems":
        this.unanswered = this.unanswered.filter((id) => id !== sent.saveId);
        this.refusedText = sent.typed;
        this.tell({ isBusy: false, problems: answer.problems, status: this.restingStatus() });
        if (this.typed !== sent.typed) this.trySoon(QUIET_MILLISECONDS);
        return;
      case "stale":
        this.tell({ isBusy: false, problems: NO_PROBLEMS });
        this.meet(answer);
        return;
      case "away":
        this.failed({ kind: "away", why: answer.why ?? "database" });
        return;
      default:
        this.tell({ isBusy: false, status: answer });
    }
  }

  private forgetUnanswered(): void {
    this.unanswered = [];
    this.lostTexts.clear();
  }

  private stored(at: string | null = this.savedAt): void {
    this.savedAt = at;
    this.cancelTry?.();
    this.cancelKeep?.();
    if (this.isTouched) this.around.keep(null);
    this.tell({ status: { kind: "saved", at }, isStored: true, problems: NO_PROBLEMS });
  }

  private keepSoon(): void {
    this.cancelKeep?.();
    this.cancelKeep = this.around.later(KEEP_MILLISECONDS, () => this.keepNow(null));
  }

  private keepNow(saveId: string | null): void {
    if (this.isStoredNow()) return;
    const unanswered = saveId === null ? this.unanswered : [...this.unanswered, saveId].slice(-MOST_UNANSWERED);
    this.around.keep({ revision: this.state.revision, typed: this.typed, base: this.base, unanswered });
  }

  private tell(change: Partial<SaverState>): void {
    this.state = { ...this.state, ...change };
    for (const listener of this.listeners) listener();
  }
}

/** Answers that were lost and are remembered; the server remembers as many saves. */
const MOST_UNANSWERED = 16;
