import { ensureBuild } from "./build.mjs";
import { root } from "./commands.mjs";
import { readOptions } from "./options.mjs";
import { checkNode, ensureNodePackages } from "./packages.mjs";
import { Obstacle, run, say } from "./say.mjs";
import { checkPort, standUpDatabase } from "./standUp.mjs";

await run(async () => {
  const { port, demo } = readOptions("bin/start");
  checkNode();
  await checkPort(port);
  await ensureNodePackages();
  await ensureBuild();
  const database = await standUpDatabase();
  process.env.DATABASE_URL = database.url;
  process.env.NODE_ENV = "production";

  const { serve, prepareDatabase } = await import(`${root}/build/server/index.js`);
  try {
    await prepareDatabase({ connectionString: database.url, migrationsFolder: `${root}/db/migrations`, demo, say });
  } catch (error) {
    await database.stop();
    throw new Obstacle(`The database could not be prepared: ${error instanceof Error ? error.message : error}`);
  }
  const server = await serve({ port, clientFolder: `${root}/build/client` });

  let ending = false;
  const end = async (/** @type {number} */ code) => {
    if (ending) return;
    ending = true;
    say("Ending …");
    await server.close();
    await database.stop();
    process.exit(code);
  };
  process.on("SIGINT", () => void end(0));
  process.on("SIGTERM", () => void end(0));
  process.on("SIGHUP", () => void end(0));
  database.ended?.then(() => {
    if (!ending) say("The database server has ended by itself. What is typed stays in the browser; stop with Ctrl-C and start again.");
  });
  say(`Tensidrum is ready at http://127.0.0.1:${port}/  (Ctrl-C ends it)`);
});
