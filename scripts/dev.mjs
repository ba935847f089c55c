import { root } from "./commands.mjs";
import { readOptions } from "./options.mjs";
import { checkNode, ensureNodePackages } from "./packages.mjs";
import { Obstacle, run, say } from "./say.mjs";
import { BACKUPS, checkPort, standUpDatabase } from "./standUp.mjs";

await run(async () => {
  const { port, demo, season, lan, processes } = readOptions("bin/dev");
  if (lan) throw new Obstacle("--lan belongs to bin/start: the development server is for this machine alone.");
  if (processes > 1) throw new Obstacle("--processes belongs to bin/start: the development server is one process.");
  checkNode();
  await checkPort(port);
  await ensureNodePackages();
  const database = await standUpDatabase();
  // From here on a signal must not leave the database server behind, however far the start has come.
  /** @type {(() => Promise<unknown>)[]} */
  const closers = [];
  let ending = false;
  const end = async () => {
    if (ending) return;
    ending = true;
    await Promise.allSettled(closers.map((close) => close()));
    await database.stop();
    process.exit(0);
  };
  const listenForTheEnd = () => {
    for (const signal of ["SIGINT", "SIGTERM", "SIGHUP"]) process.removeAllListeners(signal).on(signal, () => void end());
  };
  listenForTheEnd();
  process.env.NODE_ENV = "development";

  const [{ createServer }, { default: express }] = await Promise.all([import("vite"), import("express")]);
  const vite = await createServer({ root, server: { middlewareMode: true } });
  closers.push(() => vite.close());
  // The build tool leaves at once on a signal and would leave the database server behind.
  listenForTheEnd();
  const load = () => vite.ssrLoadModule("./server/application.ts");
  const { prepareApplication, openDatabase, appStateOn, listenForNews } = await load();
  const opened = openDatabase(database.url);
  closers.push(() => opened.close());
  // The application's code is loaded anew after every change; what it keeps between requests stays.
  const state = appStateOn(opened.db, BACKUPS);
  await prepareApplication({ connectionString: database.url, migrationsFolder: `${root}/db/migrations`, demo, season, say });
  const news = await listenForNews(database.url, state);
  closers.push(() => news.close());

  const { guards } = await load();
  const application = express();
  application.use(...guards());
  application.use(vite.middlewares);
  application.use(async (request, response, next) => {
    try {
      const { pages } = await load();
      await pages(state)(request, response, next);
    } catch (error) {
      if (error instanceof Error) vite.ssrFixStacktrace(error);
      next(error);
    }
  });
  const server = application.listen(port, "127.0.0.1", () => say(`Tensidrum (hot reload) is ready at http://127.0.0.1:${port}/`));
  closers.push(async () => {
    server.closeAllConnections();
    server.close();
  });
});
