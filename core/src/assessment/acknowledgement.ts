import { sha256 } from "@noble/hashes/sha2.js";
import { bytesToHex, utf8ToBytes } from "@noble/hashes/utils.js";
import type { Finding } from "../findings/finding.ts";
import type { MaterialsBySlug } from "../library/material.ts";
import { written, writtenPercent, writtenShort } from "../quantities/written.ts";
import { nameOfSlug } from "../library/shownMaterial.ts";

/** A finding a maker has acknowledged, with a reason. */
export interface Acknowledgement {
  readonly code: string;
  /** Of the facts; or "said:" with what the finding said, for one kept before there were fingerprints. */
  readonly fingerprint: string;
}

/** Numbers that agree to so many digits are the same fact. */
const DIGITS = 4;

/** A finding; one that was stored with a version before there were facts has its sentence only. */
export interface Acknowledgeable {
  readonly code: string;
  readonly what: string;
  readonly facts?: Finding["facts"];
}

const SAID = "said:";

/**
 * What tells the facts of one finding from those of another with the same code: the SHA-256 of its facts, keys in order and
 * numbers to four digits, as hexadecimal digits. A changed sentence or a renamed material leaves it as it is.
 */
export function fingerprintOf({ facts, what }: Acknowledgeable): string {
  if (facts === undefined) return `${SAID}${what}`;
  return bytesToHex(sha256(utf8ToBytes(JSON.stringify(canonical(facts)))));
}

function canonical(value: unknown): unknown {
  if (typeof value === "number") return Number(value.toPrecision(DIGITS));
  if (Array.isArray(value)) return value.map(canonical);
  if (typeof value !== "object" || value === null) return value;
  const entries = Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1));
  return Object.fromEntries(entries.map(([key, each]) => [key, canonical(each)]));
}

/**
 * Whether an acknowledgement is of this finding. One kept before there were fingerprints counts while every number and
 * every material of the finding stands in what it said then.
 */
export function acknowledges(kept: Acknowledgement, finding: Acknowledgeable, materials: MaterialsBySlug): boolean {
  if (kept.code !== finding.code) return false;
  if (finding.facts === undefined || !kept.fingerprint.startsWith(SAID)) return kept.fingerprint === fingerprintOf(finding);
  return saysAll(kept.fingerprint.slice(SAID.length), finding.facts, materials);
}

/** Facts that the sentences of that time did not write. */
const UNWRITTEN: ReadonlySet<string> = new Set([
  "factor",
  "neededActivePercent",
  "neededPercent",
  "neededSolubiliserPercent",
  "removablePercent",
  "xanthanPercent",
  "excessPercent",
  "smallestBatchGrams",
  "stepGrams",
  "leastGrams",
  "dilution",
  "heatToC",
  "profile",
  "school",
  "note",
  "phFrom",
  "needs",
  "kind",
  "band",
  "who",
  "qsMaterial",
  "scale",
  "low",
  "high",
  "mostLoad",
  "leastPh",
  "anionics",
  "before",
]);
/** Lists longer than this were cut short. */
const MOST_LISTED = 2;

function saysAll(says: string, facts: object, materials: MaterialsBySlug): boolean {
  return Object.entries(facts).every(([key, value]) => UNWRITTEN.has(key) || saysOne(says, value, materials));
}

function saysOne(says: string, value: unknown, materials: MaterialsBySlug): boolean {
  if (typeof value === "number") return value === 0 || waysToWrite(value).some((text) => hasNumber(says, text));
  if (typeof value === "string") return says.includes(value) || says.includes(nameOfSlug(value, materials));
  if (Array.isArray(value)) return value.slice(0, MOST_LISTED).every((each) => saysOne(says, each, materials));
  if (typeof value === "object" && value !== null) return saysAll(says, value, materials);
  return true;
}

function waysToWrite(value: number): readonly string[] {
  return [writtenPercent(value), ...[0, 1, 2, 4].map((decimals) => writtenShort(value, decimals)), written(value, 2), value.toPrecision(2)];
}

function hasNumber(says: string, text: string): boolean {
  return says.split(/[^\d.\u2212]+/).some((token) => token.replace(/\.$/, "") === text);
}
