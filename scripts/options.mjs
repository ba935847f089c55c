import { parseArgs } from "node:util";
import { Obstacle } from "./say.mjs";

const DEFAULT_PORT = 4180;
const MOST_PROCESSES = 64;

/**
 * Reads the command line of bin/start and bin/dev.
 * @param {string} command
 */
export function readOptions(command) {
  const usage = `Usage: ${command} [--port NUMBER] [--lan | --processes NUMBER] [--empty | --small-demo] [--reset-demo]
  --port NUMBER   port on 127.0.0.1, else ${DEFAULT_PORT}
  --lan           also for devices of the local network that are paired, over HTTPS, on the next port
  --processes N   so many processes answer at the same port, for many makers at once, else 1
  --empty         a new database begins without the demo formulas
  --small-demo    a new database begins with the demo formulas and their shelf, without the batches of their season
  --reset-demo    puts the demo back as it was, counted from today; your own stays
A DATABASE_URL in the environment is used instead of an own database server.`;
  let values;
  try {
    ({ values } = parseArgs({
      options: {
        port: { type: "string" },
        lan: { type: "boolean", default: false },
        processes: { type: "string", default: "1" },
        empty: { type: "boolean", default: false },
        "small-demo": { type: "boolean", default: false },
        "reset-demo": { type: "boolean", default: false },
        help: { type: "boolean", default: false },
      },
    }));
  } catch (error) {
    throw new Obstacle(`${error instanceof Error ? error.message : error}\n${usage}`);
  }
  if (values.help) {
    process.stdout.write(`${usage}\n`);
    process.exit(0);
  }
  if (values.empty && values["reset-demo"]) throw new Obstacle("--empty and --reset-demo exclude each other. Choose one.");
  const port = Number(values.port ?? process.env.PORT ?? DEFAULT_PORT);
  if (!Number.isInteger(port) || port < 1 || port > 65_535) {
    throw new Obstacle(`"${values.port ?? process.env.PORT}" is no port. Give a whole number from 1 to 65535.`);
  }
  const processes = Number(values.processes);
  if (!Number.isInteger(processes) || processes < 1 || processes > MOST_PROCESSES)
    throw new Obstacle(`"${values.processes}" is no number of processes. Give a whole number from 1 to ${MOST_PROCESSES}.`);
  if (processes > 1 && values.lan)
    throw new Obstacle("--lan and --processes exclude each other: devices are paired with one process. See docs/scale.md for many makers.");
  /** @type {"once" | "never" | "reset"} */
  const demo = values["reset-demo"] ? "reset" : values.empty ? "never" : "once";
  return { port, demo, season: !values["small-demo"], lan: values.lan, processes };
}
