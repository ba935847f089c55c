import { Refusal } from "@tensidrum/core/quantities";
import { readJson } from "@tensidrum/core/formats";
import { referenceLibrary } from "@tensidrum/core/reference";
import { parseArgs } from "node:util";
import { commands, type Command } from "./commands";
import { helpText } from "./help";
import { readInput } from "./input";

const BAD_INPUT = 2;
const OWN_FAULT = 1;

/** Says what is wrong on standard error; standard output stays empty. */
function complain(text: string, code: number): void {
  process.stderr.write(`${text}\n`);
  process.exitCode = code;
}

function refuse(refusal: Refusal): void {
  const [, ...others] = refusal.faults;
  const more = others.map(({ message }) => `  also: ${message}`);
  complain([refusal.message, ...more, refusal.remedy].join("\n"), BAD_INPUT);
}

async function run(name: string, command: Command, file: string | undefined): Promise<void> {
  const library = new Map(referenceLibrary.map((material) => [material.slug, material]));
  if (!command.takesInput) {
    if (file !== undefined) return complain(`tensid ${name} takes no file.`, BAD_INPUT);
    return print(await command.run(undefined, library));
  }
  print(await command.run(readJson(await readInput(file)), library));
}

function print(answer: unknown): void {
  process.stdout.write(`${JSON.stringify(answer, null, 2)}\n`);
}

async function main(): Promise<void> {
  const { values, positionals } = parseArgs({
    args: process.argv.slice(2),
    options: { help: { type: "boolean", short: "h" } },
    allowPositionals: true,
    strict: true,
  });
  const [name, file, ...rest] = positionals;
  if (values.help === true || name === "help") {
    process.stdout.write(helpText());
    return;
  }
  if (name === undefined) return complain(helpText(), BAD_INPUT);
  const command = commands.get(name);
  if (command === undefined) return complain(`tensid has no command "${name}". It has: ${[...commands.keys()].join(", ")}.`, BAD_INPUT);
  if (rest.length > 0) return complain(`tensid ${name} reads one file, not ${rest.length + 1}.`, BAD_INPUT);
  await run(name, command, file);
}

process.stdout.on("error", (error: NodeJS.ErrnoException) => {
  // Whoever read the answer has stopped reading.
  if (error.code !== "EPIPE") throw error;
});

main().catch((error: unknown) => {
  if (error instanceof Refusal) refuse(error);
  else if (error instanceof TypeError && "code" in error && String(error.code).startsWith("ERR_PARSE_ARGS")) {
    complain(`That option is not known.\n\n${helpText()}`, BAD_INPUT);
  } else
    complain("Something went wrong inside tensid itself; the file is not to blame. Please report the command and the file.", OWN_FAULT);
});
