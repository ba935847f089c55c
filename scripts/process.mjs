import { root } from "./commands.mjs";
import { listenForFaults } from "./faults.mjs";
import { say } from "./say.mjs";

/** One of several processes that answer at the same port; the one that started it has prepared everything. */
const { TENSIDRUM_PORT = "", TENSIDRUM_BACKUPS = "", TENSIDRUM_PROCESS = "1", DATABASE_URL = "" } = process.env;
const { serve, describeFault } = await import(`${root}/build/server/index.js`);
/** @type {{ close: () => Promise<void> } | undefined} */
let server;
let isEnding = false;
const end = async (code = 0) => {
  if (isEnding) return;
  isEnding = true;
  await Promise.allSettled([server?.close()]);
  process.exit(code);
};
listenForFaults({ describe: describeFault, end });
// Ctrl-C reaches all at once; the one that started this one tells it to end.
process.on("SIGINT", () => undefined);
for (const signal of ["SIGTERM", "SIGHUP"]) process.on(signal, () => void end());
// Whoever started it has gone without a word.
process.on("disconnect", () => void end());
server = await serve({
  port: Number(TENSIDRUM_PORT),
  connectionString: DATABASE_URL,
  clientFolder: `${root}/build/client`,
  backupsFolder: TENSIDRUM_BACKUPS,
  keepsBackups: TENSIDRUM_PROCESS === "1",
  say,
});
process.send?.("ready");
