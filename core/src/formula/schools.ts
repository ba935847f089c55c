import type { Span } from "../library/material.ts";

export type SchoolSlug = "plant-only" | "sulfate-free" | "classic" | "true-soap" | "none";

/** A way of working: what it leaves out and where it wants the pH. */
export interface School {
  readonly slug: SchoolSlug;
  readonly name: string;
  /** Its own window of the finished pH; null where it has none. */
  readonly ph: Span | null;
  readonly reason: string;
}

export const schools: readonly School[] = [
  {
    slug: "plant-only",
    name: "plant-only",
    ph: { low: 0, high: 5.5 },
    reason: "its preservatives are weak acids, which work only in an acid wash",
  },
  { slug: "sulfate-free", name: "sulfate-free mild", ph: null, reason: "gentle anionics with betaines, body from gums or polymers" },
  { slug: "classic", name: "classic", ph: null, reason: "sulfates with betaine, thickened by salt" },
  { slug: "true-soap", name: "true soap", ph: { low: 9, high: 10 }, reason: "soap turns back into fatty acid when it is acidified" },
  { slug: "none", name: "no style", ph: null, reason: "anything that suits the skin and the rules where you live" },
];

/** The school of that slug, or `undefined`. */
export function schoolOf(slug: string): School | undefined {
  return schools.find((school) => school.slug === slug);
}
