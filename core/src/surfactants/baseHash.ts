import { sha256 } from "@noble/hashes/sha2.js";
import { bytesToHex, utf8ToBytes } from "@noble/hashes/utils.js";
import type { Cleanser } from "./cleansers.ts";

/** Strengths that differ by less are the same base, % w/w of active matter. */
const SAME_PERCENT = 0.1;

/** Surfactants of a base: those that bring as much as counts. */
export function cleansersOfBase(cleansers: readonly Cleanser[]): readonly Cleanser[] {
  return cleansers.filter(({ percent }) => percent >= SAME_PERCENT / 2);
}

/**
 * Tells one surfactant base from another: the SHA-256 of slugs and active matter of its surfactants, to a tenth of a
 * percent, in the order of their names. Water, scent, preservative and acid do not count. Null without any surfactant.
 */
export function baseHashOf(cleansers: readonly Cleanser[]): string | null {
  const told = cleansersOfBase(cleansers).map(({ slug, percent }) => `${slug} ${Math.round(percent / SAME_PERCENT)}`);
  return told.length === 0 ? null : bytesToHex(sha256(utf8ToBytes(told.sort().join("\n"))));
}
