import { group, text } from "../fields.server";

/** How far a long job has got. */
export interface JobProgress {
  readonly done: number;
  readonly total: number;
}

const jobs = new Map<string, JobProgress>();

/** Jobs remembered at once; a forgotten one shows no bar. */
const MOST_JOBS = 50;

/** The name a page gives its job; empty without scripts. */
export const jobField = () => text(40);

/** How far which job has got. */
export const progressQuestions = group({ job: jobField() });

/** Notes how far a job has got, told by the identifier its page made. */
export function noteProgress(job: string, progress: JobProgress): void {
  if (jobs.size >= MOST_JOBS && !jobs.has(job)) {
    const [oldest] = jobs.keys();
    if (oldest !== undefined) jobs.delete(oldest);
  }
  jobs.set(job, progress);
}

export function progressOf(job: string): JobProgress | null {
  return jobs.get(job) ?? null;
}

/** A job is through, or was refused. */
export function forgetProgress(job: string): void {
  jobs.delete(job);
}
