import type { BatchEntry } from "@tensidrum/core/process";

/** A practice run as it is kept in this browser, so that a reload goes on with it. */
export interface KeptPractice {
  readonly id: string;
  /** Of the hidden batch. */
  readonly seed: string;
  readonly entries: readonly BatchEntry[];
  /** How far its clock runs ahead of the one on the wall, ms: waits that were let run out at once. */
  readonly aheadMilliseconds: number;
  /** The maker has seen enough and wants the truth. */
  readonly isOver: boolean;
}

const KEPT = "tensidrum.practice.";

export function freshPractice(seed: string = crypto.randomUUID()): KeptPractice {
  return { id: crypto.randomUUID(), seed, entries: [], aheadMilliseconds: 0, isOver: false };
}

/** The practice run that was left here, or a fresh one. */
export async function keptPractice(id: string): Promise<KeptPractice> {
  const kept = read(KEPT + id);
  return (kept === null ? null : (await import("../queue/entries.stored")).storedPractice(kept)) ?? freshPractice();
}

export function keepPractice(id: string, practice: KeptPractice): void {
  localStorage.setItem(KEPT + id, JSON.stringify(practice));
}

function read(key: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(key) ?? "null");
  } catch {
    return null;
  }
}
