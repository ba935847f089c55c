import type { NumberProblem, ReadNumber } from "@tensidrum/core/quantities";

type NotRead = Extract<ReadNumber, { ok: false }>;

const shared: Readonly<Record<Exclude<NumberProblem, "above-most" | "empty">, string>> = {
  "not-a-number": "This is not a number. Write it in plain figures, 12.5 or 12,5.",
  "two-marks": "Two decimal marks. Write one, 12.5 or 12,5.",
  "not-positive": "Give more than 0.",
  negative: "A share cannot be below 0.",
};

/** What to say at a percent cell that was not understood. */
export function percentProblem({ problem }: NotRead): string {
  if (problem === "above-most") return "A share cannot be above 100 %.";
  if (problem === "empty") return "Give a percent.";
  return shared[problem];
}

/** What to say at the batch field. */
export function massProblem({ problem, most = 0 }: NotRead): string {
  if (problem === "above-most") return `More than ${most / 1000} kg is no bench batch. Give less.`;
  if (problem === "empty") return "Give the batch in grams, or in kg with the unit.";
  return shared[problem];
}
