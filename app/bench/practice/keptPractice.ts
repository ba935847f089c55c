import type { BatchEntry } from "@tensidrum/core/process";

/** A practice run as it is kept in this browser, so that a reload goes on with it. */
export interface KeptPractice {
  /** Of the hidden batch. */
  readonly seed: string;
  readonly entries: readonly BatchEntry[];
  /** How far its clock runs ahead of the one on the wall, ms: waits that were let run out at once. */
  readonly aheadMilliseconds: number;
  /** The maker has seen enough and wants the truth. */
  readonly isOver: boolean;
}

/** How a practice run came out. */
export interface PastScore {
  readonly at: string;
  readonly points: number;
  readonly doses: number;
  readonly minutes: number;
}

const KEPT = "tensidrum.practice.";
const SCORES = "tensidrum.practice-scores.";
const MOST_SCORES = 10;

export function freshPractice(seed: string = crypto.randomUUID()): KeptPractice {
  return { seed, entries: [], aheadMilliseconds: 0, isOver: false };
}

/** The practice run that was left here, or a fresh one. */
export function keptPractice(id: string): KeptPractice {
  return read<KeptPractice>(KEPT + id) ?? freshPractice();
}

export function keepPractice(id: string, practice: KeptPractice): void {
  localStorage.setItem(KEPT + id, JSON.stringify(practice));
}

/** Past scores of a version in this browser, the newest first. */
export function pastScores(id: string): readonly PastScore[] {
  return read<readonly PastScore[]>(SCORES + id) ?? [];
}

/** Adds a score unless it stands there already. */
export function keepScore(id: string, score: PastScore): readonly PastScore[] {
  const before = pastScores(id);
  if (before.some(({ at }) => at === score.at)) return before;
  const scores = [score, ...before].slice(0, MOST_SCORES);
  localStorage.setItem(SCORES + id, JSON.stringify(scores));
  return scores;
}

function read<Value>(key: string): Value | null {
  try {
    return JSON.parse(localStorage.getItem(key) ?? "null") as Value | null;
  } catch {
    return null;
  }
}
