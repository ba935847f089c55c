import { drizzle } from "drizzle-orm/node-postgres";
import { migrate } from "drizzle-orm/node-postgres/migrator";
import pg from "pg";
import { clockProblem, latestMoment } from "./clock.server";
import { firstScales, workshop } from "./demo/workshop";
import { loadDemo } from "./demo/loadDemo.server";
import { beginSession, ensureMaker, markDemoDecided, THIS_MACHINE } from "./makers/queries.server";
import { loadReferenceLibrary } from "./materials/loadReference.server";
import { listScales, replaceScales } from "./scales/queries.server";

export interface PrepareOptions {
  readonly connectionString: string;
  readonly migrationsFolder: string;
  readonly demo: "once" | "never" | "reset";
  readonly say: (step: string) => void;
  /** What belongs to a demo beside what is laid in here. A start that ends before it is through begins with the demo anew. */
  readonly afterDemo?: () => Promise<void>;
}

/** Any constant will do, as long as every process of the application uses the same. */
const PREPARE_LOCK = 7_305_361;

/**
 * Brings a database to what this build needs: tables, reference library, the maker and, once, the demo formulas.
 * Several processes may call it at the same time; they wait for each other.
 */
export async function prepareDatabase({ connectionString, migrationsFolder, demo, say, afterDemo }: PrepareOptions): Promise<void> {
  const client = new pg.Client({ connectionString });
  await client.connect();
  try {
    await client.query("select pg_advisory_lock($1)", [PREPARE_LOCK]);
    const db = drizzle(client);
    await migrate(db, { migrationsFolder });
    const written = await loadReferenceLibrary(db);
    if (written > 0) say(`Laid in the reference library: ${written} materials.`);
    const decided = await ensureMaker(db, workshop);
    await beginSession(db, workshop.id, THIS_MACHINE);
    if (!decided && (await listScales(db, workshop.id)).length === 0) {
      await replaceScales(
        db,
        workshop.id,
        firstScales.map((scale) => ({ ...scale, id: crypto.randomUUID() })),
      );
    }
    if (demo === "reset" || (demo === "once" && !decided)) {
      await loadDemo(db);
      say("Laid in the demo formulas and the shelf of the wardrobe workshop.");
      await afterDemo?.();
    }
    if (!decided) await markDemoDecided(db, workshop.id);
    const clock = clockProblem(await latestMoment(db), new Date());
    if (clock !== null) say(clock);
  } finally {
    await client.end();
  }
}
