import type { BatchEntry } from "../process/batch/entries.ts";

type Bare<Entry> = Entry extends BatchEntry ? Omit<Entry, "id" | "at"> : never;

let count = 0;

/** An entry with an identifier of its own, made at ten in the morning unless it says when. */
export function entry(bare: Bare<BatchEntry>, { id = `e${(count += 1)}`, at = "2026-11-26T10:00:00.000Z" } = {}): BatchEntry {
  return { ...bare, id, at } as BatchEntry;
}

export const weighed = (line: string, grams: number, step = "s") => entry({ kind: "weighed", step, line, grams });
export const done = (step: string, at?: string) => entry({ kind: "done", step }, at === undefined ? {} : { at });
