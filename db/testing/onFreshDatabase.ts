import { aroundAll } from "vitest";
import { workshop } from "../demo/workshop";
import { appStateOn, atWorkplace, zoneOfMachine } from "../workplace.server";
import { freshDatabase } from "./freshDatabase";

type Options = Parameters<typeof freshDatabase>[0];

/** Does a job for the demo's maker on a database of its own, gone when it is through. */
export async function atFreshDatabase(options: Options, job: () => Promise<void>): Promise<void> {
  const fresh = await freshDatabase(options);
  try {
    await atWorkplace({ ...appStateOn(fresh.db), makerId: workshop.id, zone: zoneOfMachine() }, job);
  } finally {
    await fresh.close();
  }
}

/** The services of this test file work on a database of their own. */
export function onFreshDatabase(options: Options): void {
  aroundAll((tests) => atFreshDatabase(options, tests));
}
