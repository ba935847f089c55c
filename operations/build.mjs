import { createHash } from "node:crypto";
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { root, runToEnd } from "./commands.mjs";
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
  const digest = sourcesDigest();
  if (existsSync(STAMP) && readFileSync(STAMP, "utf8") === digest) return;
  say("Building the application, about fifteen seconds …");
  const code = await runToEnd(process.execPath, [`${root}/node_modules/@react-router/dev/bin.js`, "build"], {
    env: { ...process.env, NODE_ENV: "production" },
  });
  if (code !== 0) throw new Obstacle("The build failed; the message above says where.");
  writeFileSync(STAMP, digest);
}
