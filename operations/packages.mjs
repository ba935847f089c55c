import { createHash } from "node:crypto";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { isRoot, root, runToEnd } from "./commands.mjs";
import { Obstacle, say } from "./say.mjs";

const OLDEST_NODE = [20, 19];

/** Stops with a sentence when Node.js is older than the project needs. */
export function checkNode() {
  const [major = 0, minor = 0] = process.versions.node.split(".").map(Number);
  const [wantedMajor = 0, wantedMinor = 0] = OLDEST_NODE;
  if (major > wantedMajor || (major === wantedMajor && minor >= wantedMinor)) return;
  throw new Obstacle(
    `Node.js ${OLDEST_NODE.join(".")} or newer is needed, this is ${process.versions.node}. Install a newer one and start again.`,
  );
}

/** Installs the npm packages of the lock file when they are missing or the lock file has changed. */
export async function ensureNodePackages() {
  const stamp = `${root}/node_modules/.installed-from`;
  const wanted = createHash("sha256")
    .update(readFileSync(`${root}/package-lock.json`))
    .digest("hex");
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === wanted) return;
  say("Installing the npm packages, about a minute …");
  const code = await runToEnd("npm", ["ci", "--no-audit", "--no-fund"]);
  if (code !== 0) throw new Obstacle("npm ci did not finish; its message above says why. Mend that and start again.");
  writeFileSync(stamp, wanted);
}

/**
 * Installs a Debian package when what it brings is missing.
 * @param {{ packageName: string, purpose: string, isThere: () => boolean }} wanted
 */
export async function ensureDebianPackage({ packageName, purpose, isThere }) {
  if (isThere()) return;
  if (!isRoot) {
    throw new Obstacle(`${purpose} is missing. Type this line, then start again:\n  sudo apt-get install -y ${packageName}`);
  }
  say(`Installing ${purpose} (Debian package ${packageName}) …`);
  const env = { ...process.env, DEBIAN_FRONTEND: "noninteractive" };
  const install = ["install", "-y", "--no-install-recommends", packageName];
  let code = await runToEnd("apt-get", install, { env });
  if (code !== 0) {
    say("Refreshing the list of Debian packages …");
    await runToEnd("apt-get", ["update"], { env });
    code = await runToEnd("apt-get", install, { env });
  }
  if (code !== 0 || !isThere()) {
    throw new Obstacle(`${packageName} could not be installed; the message above says why. Install it by hand and start again.`);
  }
}
