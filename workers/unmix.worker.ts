import { loadLinearSolver, type LinearSolver } from "@tensidrum/core/numerics";
import { unmixing, type KnownPh, type PrintedList, type Unmixing } from "@tensidrum/core/stability";
import highsBinary from "highs/runtime?url";

export interface UnmixTask {
  /** Counts up; an answer to an older one is of no use any more. */
  readonly number: number;
  readonly list: PrintedList;
  /** Usual amounts, % w/w, by name. */
  readonly usual: Readonly<Record<string, { readonly low: number; readonly high: number }>>;
  /** A weight for each name, of the sum that is told. */
  readonly watch: readonly number[];
  readonly ph?: KnownPh | undefined;
}

export interface UnmixAnswer {
  readonly number: number;
  readonly state: Unmixing;
}

const scope = self as unknown as {
  onmessage: ((event: MessageEvent<UnmixTask>) => void) | null;
  postMessage(answer: UnmixAnswer): void;
};

let solver: Promise<LinearSolver> | undefined;
let newest = -1;

/** A newer task may have come in the meantime. */
const breathe = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

scope.onmessage = ({ data: task }) => {
  newest = task.number;
  void read(task);
};

async function read({ number, list, usual, watch, ph }: UnmixTask): Promise<void> {
  const loaded = await (solver ??= loadLinearSolver(() => highsBinary));
  for (const state of unmixing(list, (name) => usual[name] ?? null, loaded, ph === undefined ? { watch } : { watch, ph })) {
    if (number !== newest) return;
    scope.postMessage({ number, state });
    await breathe();
  }
}
