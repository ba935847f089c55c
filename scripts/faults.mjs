import { say } from "./say.mjs";

/**
 * What happens to a fault nobody caught. A promise that was rejected unseen is told and the server goes on: the requests
 * beside it are untouched. After an exception nobody caught the state is unknown, so everything is ended in order.
 * @param {{ describe: (fault: unknown) => string, end: (code: number) => Promise<void> | void }} options
 */
export function listenForFaults({ describe, end }) {
  // Who read the output may go away before the server does. Then nothing can be told, and telling that would never end.
  for (const stream of [process.stdout, process.stderr]) stream.on("error", () => undefined);
  process.on("unhandledRejection", (fault) => say(`A fault nobody caught, told here and passed over: ${describe(fault)}`));
  process.on("uncaughtException", (fault) => {
    say(`A fault that cannot be passed over; everything is ended in order: ${describe(fault)}`);
    void end(1);
  });
}
