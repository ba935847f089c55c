/** How far an import has got. */
export interface ImportProgress {
  readonly done: number;
  readonly total: number;
}

const jobs = new Map<string, ImportProgress>();

/** Imports remembered at once; a forgotten one shows no bar. */
const MOST_JOBS = 50;

/** Notes how far an import has got, told by the identifier its page made. */
export function noteProgress(job: string, progress: ImportProgress): void {
  if (jobs.size >= MOST_JOBS && !jobs.has(job)) {
    const [oldest] = jobs.keys();
    if (oldest !== undefined) jobs.delete(oldest);
  }
  jobs.set(job, progress);
}

export function progressOf(job: string): ImportProgress | null {
  return jobs.get(job) ?? null;
}

/** An import is through, or was refused. */
export function forgetProgress(job: string): void {
  jobs.delete(job);
}
