export interface DueCheck {
  readonly id: string;
  readonly batchId: string;
  readonly storage: string;
  /** As "GR-1: 1 week, warm". */
  readonly words: string;
}

/** Checks that have become due since a page was opened; a check that was due then is told by the page itself. */
export function newlyDue(before: ReadonlySet<string> | null, due: readonly DueCheck[]): readonly DueCheck[] {
  return before === null ? [] : due.filter(({ id }) => !before.has(id));
}
