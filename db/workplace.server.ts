import { AsyncLocalStorage } from "node:async_hooks";
import type { Database } from "./client.server";

/** What outlives a request: the pool of connections, and who waits for news of which batch. */
export interface AppState {
  readonly db: Database;
  readonly listeners: Map<string, Set<() => void>>;
  /** Makers of the sessions that were looked up; a session never changes its maker. */
  readonly makerOf: Map<string, string>;
  /** Where backups are kept on this machine; null where it keeps none. */
  readonly backupsFolder: string | null;
}

/** What a request works with. */
export interface Workplace extends AppState {
  /** Whose things these are: the maker of the request's session. */
  readonly makerId: string;
  /** The reader's time zone, as Europe/Berlin. */
  readonly zone: string;
  /** What time it is; absent: that of this machine. What happened earlier is laid in by it. */
  readonly clock?: () => Date;
}

/** The time zone of this machine, for whoever does not tell theirs. */
let ofMachine: string | undefined;
export const zoneOfMachine = (): string => (ofMachine ??= new Intl.DateTimeFormat().resolvedOptions().timeZone);

const workplaces = new AsyncLocalStorage<Workplace>();

export function appStateOn(db: Database, backupsFolder: string | null = null): AppState {
  return { db, listeners: new Map(), makerOf: new Map(), backupsFolder };
}

/** Does a job with this workplace; so does everything it waits for. */
export function atWorkplace<Result>(workplace: Workplace, job: () => Result): Result {
  return workplaces.run(workplace, job);
}

/** @throws Error outside a request: nothing may be read or written for nobody. */
export function workplace(): Workplace {
  const here = workplaces.getStore();
  if (here === undefined) throw new Error("No request is being answered here, so there is no database and no maker to work for.");
  return here;
}

export function database(): Database {
  return workplace().db;
}

export function currentMakerId(): string {
  return workplace().makerId;
}

export function rightNow(): Date {
  return workplace().clock?.() ?? new Date();
}
