import { Worker } from "node:worker_threads";
import { expect, it } from "vitest";
import { TimeIsUp, timedWorker } from "./timedWorker.server";

const SCRIPT = `
  const { parentPort } = require("node:worker_threads");
  parentPort.on("message", (task) => {
    if (task === "hang") for (;;);
    if (task === "break") throw new Error("broken");
    parentPort.postMessage("read " + task);
  });
`;

it("answers one after the other; one that hangs is given up, and those after it get their answers from a new worker", async () => {
  let made = 0;
  const ask = timedWorker<string, string>(() => {
    made += 1;
    return new Worker(SCRIPT, { eval: true });
  }, 400);
  const answers = await Promise.allSettled(["zero", "one", "hang", "two", "break", "three"].map(ask));
  expect(answers.map((answer) => (answer.status === "fulfilled" ? answer.value : (answer.reason as Error).constructor.name))).toEqual([
    "read zero",
    "read one",
    TimeIsUp.name,
    "read two",
    "Error",
    "read three",
  ]);
  expect(made).toBe(3);
});
