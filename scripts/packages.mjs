import { createHash } from "node:crypto";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { isRoot, root, runToEnd } from "./commands.mjs";
import { missingPackages } from "./installed.mjs";
import { alone } from "./lock.mjs";
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

const STAMP = `${root}/node_modules/.installed-from`;

/** Installs the npm packages of the lock file when they are missing or the lock file has changed; packages installed by hand count. */
export async function ensureNodePackages() {
  const wanted = createHash("sha256")
    .update(readFileSync(`${root}/package-lock.json`))
    .digest("hex");
  if (isStamped(wanted)) return;
  await alone("installing the npm packages", async () => {
    // Another command may have installed them while this one waited.
    if (isStamped(wanted)) return;
    if (missingPackages(root).length > 0) {
      say("Installing the npm packages, about a minute …");
      const code = await runToEnd("npm", ["ci", "--no-audit", "--no-fund"]);
      if (code !== 0) throw new Obstacle("npm ci did not finish; its message above says why. Fix that and start again.");
      const [missing] = missingPackages(root);
      if (missing !== undefined) throw new Obstacle(`npm ci ended without ${missing}. Delete node_modules and start again.`);
    }
    writeFileSync(STAMP, wanted);
  });
}

/** @param {string} wanted */
function isStamped(wanted) {
  return existsSync(STAMP) && readFileSync(STAMP, "utf8") === wanted && missingPackages(root).length === 0;
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
