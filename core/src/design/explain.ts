import type { LinearSolver } from "../numerics/linearProgram.ts";
import type { DesignQuestion } from "./ask.ts";
import { judgeBlend, sumOf, type JudgedBlend } from "./judgeBlend.ts";
import { loosened, numberWishes, type NumberWish } from "./loosened.ts";
import { searched } from "./mend.ts";
import { blendOf } from "./outcome.ts";
import { problemsOf } from "./problem.ts";
import type { Design } from "./search.ts";

/** A figure with and without something. */
export interface Beside {
  readonly irritation: number;
  readonly flash: number;
  readonly stability: number;
  /** Null where the price of one of them is not known. */
  readonly cost: number | null;
  readonly answersToSalt: boolean;
}

/** Why a surfactant is in a blend: what the blend would be without it, the others taking its active matter in their proportion. */
export interface Reason {
  readonly material: string;
  /** Null where nothing would be left, or it cannot be judged. */
  readonly without: Beside | null;
}

/** What giving way by one step of a wish would buy at this blend. */
export interface Step {
  readonly wish: NumberWish;
  readonly from: number;
  readonly to: number;
  /** Irritation now and then, at no more of what is weighed against it, but for the wish itself. */
  readonly irritation: { readonly now: number; readonly then: number };
}

/** How near a wish is to its end to bind: a part of it. */
const BINDS_WITHIN = 0.02;
/** Gains smaller than this are not told: a part of the irritation. */
const LEAST_GAIN = 0.02;
/** Parts looked at for each step. */
const STEP_BOXES = 30_000;

function beside(design: Design, judged: JudgedBlend): Beside {
  const { irritation, flash, stability, cost, answersToSalt } = blendOf({ ...design, ...judged });
  return { irritation, flash, stability, cost, answersToSalt };
}

/** What each member brings: the blend without it. */
export function reasonsOf(design: Design, question: DesignQuestion): readonly Reason[] {
  const { problem, percents, activePercent } = design;
  return problem.members.map(({ slug }, out) => {
    const members = problem.members.filter((_, i) => i !== out);
    const left = activePercent - percents[out]!;
    if (members.length === 0 || left <= 0) return { material: slug, without: null };
    const [other] = problemsOf(members, { ...question.wishes, thickening: "any" }, question.rest);
    const amounts = percents.filter((_, i) => i !== out).map((percent) => (percent * activePercent) / left);
    const judged = other === undefined ? null : judgeBlend(other, amounts);
    return {
      material: slug,
      without: judged === null || other === undefined ? null : beside({ ...judged, problem: other, percents: amounts }, judged),
    };
  });
}

function valueOf(wish: NumberWish, design: Design, restSalt: number): number {
  const { irritation, flash, stability, cost, saltPercent, activePercent, problem, percents } = design;
  switch (wish) {
    case "mostIrritation":
      return irritation;
    case "leastFlash":
      return flash;
    case "leastStability":
      return stability;
    case "mostCost":
      return cost;
    case "mostSaltPercent":
      return saltPercent + restSalt;
    case "mostAnionicPercent":
      return (
        (100 *
          sumOf(
            problem.members.map(({ charge }) => (charge === "anionic" ? 1 : 0)),
            percents,
          )) /
        activePercent
      );
  }
}

/**
 * What one step of each wish would buy at a blend: the wish that binds is loosened by a step, or money is given beyond what the
 * blend costs, and the mildest blend is looked for among the surfactants of the frontier. Only gains that are felt are told.
 * @param among The designs of the frontier: their surfactants are looked through.
 */
export function stepsOf(
  design: Design,
  question: DesignQuestion,
  { among, solver }: { readonly among: readonly Design[]; readonly solver: LinearSolver },
): readonly Step[] {
  const slugs = new Set(among.flatMap(({ problem }) => problem.members.map(({ slug }) => slug)));
  const candidates = question.candidates.filter(({ slug }) => slugs.has(slug));
  const { wishes, rest } = question;
  if (wishes.against === "change") return [];
  // What is weighed against irritation stays as good as it is, but for the step itself.
  const held = wishes.against === "foam" ? { ...wishes, leastFlash: design.flash } : { ...wishes, mostCost: design.cost };
  return numberWishes.flatMap((wish): Step[] => {
    const at = held[wish];
    if (at === null || wish === "mostIrritation") return [];
    const value = valueOf(wish, design, rest.saltPercent);
    if (Math.abs(value - at) > BINDS_WITHIN * Math.max(1e-9, Math.abs(at))) return [];
    const looser = loosened({ ...held, [wish]: Math.round(at * 100) / 100 }, wish, 1);
    if (looser === undefined) return [];
    const { frontier } = searched(
      { ...question, candidates, wishes: { ...looser.wishes, mostIrritation: design.irritation } },
      STEP_BOXES,
      solver,
    );
    const then = Math.min(...frontier.points.map(({ irritation }) => irritation));
    if (!(then < design.irritation * (1 - LEAST_GAIN))) return [];
    return [{ wish, from: Math.round(at * 100) / 100, to: looser.to, irritation: { now: design.irritation, then } }];
  });
}
