import { makeDataFolder, TEMPLATE } from "./dataFolder";
import { startApplication } from "./startApplication";

/** Makes a data folder with library and demo once, for the tests of this run to copy. */
export default async function setup(): Promise<() => void> {
  const folder = makeDataFolder();
  const application = await startApplication({ TENSIDRUM_DATA: folder.path }, ["--small-demo"]);
  if ((await application.stop()) !== 0) throw new Error(`the application did not end cleanly:\n${application.output()}`);
  process.env[TEMPLATE] = folder.path;
  return folder.remove;
}
