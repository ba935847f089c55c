import { existsSync } from "node:fs";
import { outputOf } from "./commands.mjs";
import { ensureDebianPackage } from "./packages.mjs";

/** Debian's Chromium without windows starts and draws with a quarter less work than the whole browser. */
const HEADLESS = "/usr/bin/chromium-headless-shell";
const WHOLE = "/usr/bin/chromium";

/** The browser that tests, benchmarks and screenshots drive. */
export function browserPath() {
  return process.env.CHROMIUM ?? (existsSync(HEADLESS) ? HEADLESS : WHOLE);
}

/** Installs it when none is there that answers. */
export async function ensureBrowser() {
  if (process.env.CHROMIUM !== undefined) return;
  await ensureDebianPackage({
    packageName: "chromium-headless-shell",
    purpose: "the Chromium browser for the tests",
    isThere: () => existsSync(browserPath()) && outputOf(browserPath(), ["--version"]) !== undefined,
  });
}

/** What reads a printed label back: its words with their places, and its picture. */
export async function ensurePdfReader() {
  await ensureDebianPackage({
    packageName: "poppler-utils",
    purpose: "what reads PDF files for the tests",
    isThere: () => outputOf("pdftotext", ["-v"]) !== undefined,
  });
}
