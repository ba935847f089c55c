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
export async function keptPractice(id: string): Promise<KeptPractice> {
  const kept = read(KEPT + id);
  return (kept === null ? null : (await import("../queue/entries.stored")).storedPractice(kept)) ?? freshPractice();
}

export function keepPractice(id: string, practice: KeptPractice): void {
  localStorage.setItem(KEPT + id, JSON.stringify(practice));
}

/** Past scores of a version in this browser, the newest first. */
export async function pastScores(id: string): Promise<readonly PastScore[]> {
  const kept = read(SCORES + id);
  return (kept === null ? null : (await import("../queue/entries.stored")).storedScores(kept)) ?? [];
}

/** Adds a score unless it stands there already. */
export async function keepScore(id: string, score: PastScore): Promise<readonly PastScore[]> {
  const before = await pastScores(id);
  if (before.some(({ at }) => at === score.at)) return before;
  const scores = [score, ...before].slice(0, MOST_SCORES);
  localStorage.setItem(SCORES + id, JSON.stringify(scores));
  return scores;
}

function read(key: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(key) ?? "null");
  } catch {
    return null;
  }
}
