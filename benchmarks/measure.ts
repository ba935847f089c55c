/** One line of the table: what was measured, against what it may cost. */
export interface Measured {
  readonly what: string;
  readonly value: number;
  readonly unit: string;
  readonly limit: number | null;
}

/** The value below which the given part of the samples lies. */
export function quantile(samples: readonly number[], part: number): number {
  const sorted = [...samples].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))] ?? Number.NaN;
}

/** Median time of a call in ms, after warming up, over blocks of calls. */
export function millisecondsPerCall(call: () => unknown, { blocks, callsPerBlock }: { blocks: number; callsPerBlock: number }): number {
  for (let i = 0; i < callsPerBlock * 3; i += 1) call();
  const samples: number[] = [];
  for (let block = 0; block < blocks; block += 1) {
    const began = performance.now();
    for (let i = 0; i < callsPerBlock; i += 1) call();
    samples.push((performance.now() - began) / callsPerBlock);
  }
  return quantile(samples, 0.5);
}

export interface Timing {
  readonly blocks: number;
  readonly callsPerBlock: number;
  readonly limit: number;
}

/** One line of the table for a job that is called again and again. */
export function timed(what: string, job: () => unknown, { limit, ...timing }: Timing): Measured {
  return { what, value: millisecondsPerCall(job, timing), unit: "ms", limit };
}
