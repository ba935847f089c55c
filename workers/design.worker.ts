import {
  mendsOf,
  questionOf,
  reasonsOf,
  robustOf,
  search,
  shownFrontier,
  stepsOf,
  type Corners,
  type Design,
  type DesignAsk,
  type DesignedBlend,
  type DesignQuestion,
  type LeftOut,
  type Mend,
  type OnShelf,
  type Reason,
  type Robust,
  type SetCuts,
  type Step,
} from "@tensidrum/core/design";
import type { Material } from "@tensidrum/core/library";
import { loadLinearSolver, type LinearSolver } from "@tensidrum/core/numerics";
import { Refusal } from "@tensidrum/core/quantities";
import highsBinary from "highs/runtime?url";

/** A question as it comes from the page; the shelf as pairs. */
export interface DesignTask {
  readonly kind: "search";
  /** Counts up; an answer to an older one is of no use any more. */
  readonly number: number;
  readonly ask: Omit<DesignAsk, "shelf"> & { readonly shelf: readonly (readonly [string, OnShelf])[] };
  readonly materials: readonly Material[];
}

/** Asks why a blend of the frontier is as it is. */
export interface WhyTask {
  readonly kind: "why";
  readonly number: number;
  readonly at: number;
}

export type DesignAnswer =
  | {
      readonly kind: "state";
      readonly number: number;
      readonly blends: readonly DesignedBlend[];
      readonly corners: Corners | null;
      readonly leftOut: readonly LeftOut[];
      readonly candidates: number;
      readonly unpriced: readonly string[];
      readonly choices: number;
      readonly cuts: SetCuts;
      readonly boxes: number;
      readonly judged: number;
      readonly isProved: boolean;
      readonly isCutShort: boolean;
      /** It goes on no further: proved, or as far as it goes. */
      readonly isOver: boolean;
      readonly gap: number;
    }
  | { readonly kind: "robust"; readonly number: number; readonly robust: readonly Robust[] }
  | { readonly kind: "mends"; readonly number: number; readonly mends: readonly Mend[] }
  | {
      readonly kind: "why";
      readonly number: number;
      readonly at: number;
      readonly reasons: readonly Reason[];
      readonly steps: readonly Step[];
    }
  | { readonly kind: "refused"; readonly number: number; readonly message: string; readonly remedy: string };

const scope = self as unknown as {
  onmessage: ((event: MessageEvent<DesignTask | WhyTask>) => void) | null;
  postMessage(answer: DesignAnswer): void;
};

const MOST_BOXES = 1_500_000;
const PER_REPORT = 400;
/** The page hears of it so often, ms. */
const REPORT_EVERY = 120;
const WORLDS = 200;
const SEED = 0.42;

let solver: Promise<LinearSolver> | undefined;
let newest = -1;
let found: { readonly number: number; readonly question: DesignQuestion; readonly designs: readonly Design[] } | null = null;

/** A newer task may have come in the meantime. */
const breathe = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

scope.onmessage = ({ data: task }) => {
  if (task.kind === "search") newest = task.number;
  void (task.kind === "search" ? run(task) : why(task));
};

async function run({ number, ask, materials }: DesignTask): Promise<void> {
  const loaded = await (solver ??= loadLinearSolver(() => highsBinary));
  try {
    const question = questionOf({ ...ask, shelf: new Map(ask.shelf) }, new Map(materials.map((one) => [one.slug, one])));
    const { candidates, wishes, rest, leftOut, unpriced } = question;
    const steps = search(candidates, wishes, rest, { mostBoxes: MOST_BOXES, perReport: PER_REPORT }, loaded);
    let told = 0;
    for (;;) {
      const { value: state, done } = steps.next();
      if (number !== newest) return;
      const now = performance.now();
      if (done === true || now - told >= REPORT_EVERY) {
        told = now;
        const shown = shownFrontier(state, wishes.against);
        found = { number, question, designs: shown?.designs ?? [] };
        const { sets, cuts, boxes, judged, isProved, isCutShort, gap } = state;
        scope.postMessage({
          ...{
            kind: "state",
            number,
            blends: shown?.blends ?? [],
            corners: shown?.corners ?? null,
            leftOut,
            candidates: candidates.length,
          },
          ...{ unpriced, choices: sets + cuts.charge + cuts.ph, cuts, boxes, judged, isProved, isCutShort, isOver: done === true, gap },
        });
        await breathe();
      }
      if (done === true) break;
    }
    if (number !== newest) return;
    if (found === null || found.designs.length === 0) return scope.postMessage({ kind: "mends", number, mends: mendsOf(question, loaded) });
    scope.postMessage({ kind: "robust", number, robust: robustOf(found.designs, wishes.against, WORLDS, SEED) });
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    scope.postMessage({ kind: "refused", number, message: error.message, remedy: error.remedy });
  }
}

async function why({ number, at }: WhyTask): Promise<void> {
  const loaded = await (solver ??= loadLinearSolver(() => highsBinary));
  const design = found?.number === number ? found.designs[at] : undefined;
  if (found === null || design === undefined) return;
  const { question, designs } = found;
  scope.postMessage({
    ...{ kind: "why", number, at, reasons: reasonsOf(design, question) },
    steps: stepsOf(design, question, { among: designs, solver: loaded }),
  });
}
