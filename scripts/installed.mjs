import { existsSync, readFileSync } from "node:fs";

/**
 * @typedef {object} LockedPackage
 * @property {string} [version]
 * @property {boolean} [link]
 * @property {boolean} [optional]
 */

/**
 * Which packages of a lock file are not in node_modules as it says. Optional ones, built for other systems, may be missing.
 * @param {string} folder that holds package-lock.json and node_modules
 * @returns {readonly string[]} their paths
 */
export function missingPackages(folder) {
  const wanted = readPackages(`${folder}/package-lock.json`);
  // npm writes this file last; what it does not name was not put there whole.
  const there = readPackages(`${folder}/node_modules/.package-lock.json`);
  return Object.entries(wanted).flatMap(([path, { version, link, optional }]) => {
    if (path === "" || !path.startsWith("node_modules/")) return [];
    if (link === true) return existsSync(`${folder}/${path}`) ? [] : [path];
    const isThere = there[path]?.version === version && existsSync(`${folder}/${path}/package.json`);
    return isThere || (optional === true && there[path] === undefined) ? [] : [path];
  });
}

/** @param {string} file @returns {Readonly<Record<string, LockedPackage>>} */
function readPackages(file) {
  try {
    return JSON.parse(readFileSync(file, "utf8")).packages ?? {};
  } catch {
    return {};
  }
}
