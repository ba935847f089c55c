import { loadSeason } from "../app/season/loadSeason.server";
import { describeFault } from "../app/frame/describeFault.server";
import { openDatabase } from "../db/client.server";
import { prepareDatabase, type PrepareOptions } from "../db/prepare.server";
import { appStateOn } from "../db/workplace.server";

interface ApplicationOptions extends PrepareOptions {
  /** Whether the demo comes with its eight weeks of batches, or as it was on its first day. */
  readonly season: boolean;
}

/** Brings a database to what this build needs; a demo that is laid in goes through its season. */
export async function prepareApplication({ season, ...options }: ApplicationOptions): Promise<void> {
  const goThrough = async (): Promise<void> => {
    options.say("Making the demo's eight weeks of batches …");
    const opened = openDatabase(options.connectionString);
    try {
      await loadSeason(appStateOn(opened.db));
    } catch (error) {
      // A shelf that was used up must not keep the application from starting.
      options.say(`The batches of the demo could not all be made: ${describeFault(error)} Its formulas and shelf are there.`);
    } finally {
      await opened.close();
    }
  };
  await prepareDatabase(season ? { ...options, afterDemo: goThrough } : options);
}
