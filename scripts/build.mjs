import { createHash } from "node:crypto";
import { existsSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from "node:fs";
import { root, runToEnd } from "./commands.mjs";
import { alone } from "./lock.mjs";
import { Obstacle, say } from "./say.mjs";

const SOURCES = [
  "app",
  "core",
  "db",
  "server",
  "workers",
  "package-lock.json",
  "vite.config.ts",
  "react-router.config.ts",
  "postcss.config.mjs",
  "tsconfig.json",
];
const STAMP = `${root}/build/.built-from`;

/** One number for the state of everything the build reads. */
function sourcesDigest() {
  const digest = createHash("sha256");
  /** @param {string} path */
  const read = (path) => {
    if (!existsSync(path)) return;
    if (statSync(path).isDirectory()) {
      for (const name of readdirSync(path).sort()) {
        if (name !== "node_modules" && !name.endsWith(".test.ts")) read(`${path}/${name}`);
      }
      return;
    }
    digest.update(path.slice(root.length)).update("\0").update(readFileSync(path));
  };
  for (const source of SOURCES) read(`${root}/${source}`);
  return digest.digest("hex");
}

/** Builds the application when its sources changed since the last build. */
export async function ensureBuild() {
  if (isBuiltFrom(sourcesDigest())) return;
  await alone("building the application", build);
}

/** @param {string} digest */
function isBuiltFrom(digest) {
  return existsSync(STAMP) && readFileSync(STAMP, "utf8") === digest;
}

async function build() {
  const digest = sourcesDigest();
  if (isBuiltFrom(digest)) return;
  // A build that is interrupted leaves no stamp that speaks for it.
  rmSync(STAMP, { force: true });
  say("Building the application, about fifteen seconds …");
  const code = await runToEnd(process.execPath, [`${root}/node_modules/@react-router/dev/bin.js`, "build"], {
    env: { ...process.env, NODE_ENV: "production" },
  });
  if (code !== 0) throw new Obstacle("The build failed; the message above says where.");
  writeFileSync(STAMP, digest);
}
