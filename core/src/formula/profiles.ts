import type { Span } from "../library/material.ts";

export type ProfileSlug =
  | "everyday-shampoo"
  | "clarifying-shampoo"
  | "gentle-shampoo"
  | "scalp-shampoo"
  | "body-wash"
  | "hand-wash"
  | "foaming-wash"
  | "face-gel"
  | "cream-cleanser"
  | "micellar-foam"
  | "micellar-water"
  | "shake-remover"
  | "cleansing-oil"
  | "powder-cleanser"
  | "whipped-cleanser"
  | "scrub"
  | "soap-wash";

/** What a kind of product usually asks for. Defaults, each with its reason. */
export interface Profile {
  readonly slug: ProfileSlug;
  readonly name: string;
  /** Usual active matter, % w/w. */
  readonly activePercent: Span;
  readonly activeReason: string;
  /** Usual pH as used; null where no water makes a pH, or the base decides. */
  readonly ph: Span | null;
  /** Usual most of scent, % w/w; a scent's own safe-use certificate may be lower. */
  readonly scentCapPercent: number;
  /** Made without water: nothing has to take the rest. */
  readonly dry: boolean;
  /** Stays on the skin instead of being rinsed off. */
  readonly leftOn?: true;
}

const shampooPh = { low: 4.5, high: 6 };

export const profiles: readonly Profile[] = [
  {
    slug: "everyday-shampoo",
    name: "everyday shampoo",
    activePercent: { low: 10, high: 15 },
    activeReason: "enough to lift a day's sebum; dry or curly hair is happier with 8 to 12",
    ph: shampooPh,
    scentCapPercent: 1,
    dry: false,
  },
  {
    slug: "clarifying-shampoo",
    name: "clarifying shampoo",
    activePercent: { low: 15, high: 20 },
    activeReason: "spray and wax come off only with more cleanser; too strong for every day",
    ph: shampooPh,
    scentCapPercent: 1,
    dry: false,
  },
  {
    slug: "gentle-shampoo",
    name: "gentle shampoo",
    activePercent: { low: 8, high: 12 },
    activeReason: "dry and curly hair has little sebum to spare",
    ph: shampooPh,
    scentCapPercent: 1,
    dry: false,
  },
  {
    slug: "scalp-shampoo",
    name: "scalp shampoo",
    activePercent: { low: 10, high: 15 },
    activeReason: "as an everyday shampoo; claims and scalp actives are regulated",
    ph: { low: 5, high: 6.5 },
    scentCapPercent: 1,
    dry: false,
  },
  {
    slug: "body-wash",
    name: "body wash",
    activePercent: { low: 9, high: 15 },
    activeReason: "spread thin over much skin, so a little less than for hair",
    ph: shampooPh,
    scentCapPercent: 1,
    dry: false,
  },
  {
    slug: "hand-wash",
    name: "hand wash",
    activePercent: { low: 8, high: 15 },
    activeReason: "used many times a day: strength costs skin",
    ph: { low: 4.5, high: 6.5 },
    scentCapPercent: 1,
    dry: false,
  },
  {
    slug: "foaming-wash",
    name: "foaming-pump wash",
    activePercent: { low: 7, high: 12 },
    activeReason: "the pump makes the foam, and it must stay as thin as water",
    ph: shampooPh,
    scentCapPercent: 1,
    dry: false,
  },
  {
    slug: "face-gel",
    name: "face gel cleanser",
    activePercent: { low: 4, high: 10 },
    activeReason: "on the face foam is not the goal",
    ph: { low: 4.5, high: 5.5 },
    scentCapPercent: 0.3,
    dry: false,
  },
  {
    slug: "cream-cleanser",
    name: "cream or lotion cleanser",
    activePercent: { low: 0.3, high: 8 },
    activeReason: "the oil phase does much of the cleansing",
    ph: shampooPh,
    scentCapPercent: 0.3,
    dry: false,
  },
  {
    slug: "micellar-foam",
    name: "micellar face foam",
    activePercent: { low: 1.5, high: 5 },
    activeReason: "a pump turns little cleanser into much foam",
    ph: { low: 5, high: 6 },
    scentCapPercent: 0.3,
    dry: false,
  },
  {
    slug: "micellar-water",
    name: "micellar water or remover",
    activePercent: { low: 0.3, high: 3 },
    activeReason: "it may stay on the skin, so only little, nonionic or amphoteric",
    ph: { low: 5, high: 7 },
    scentCapPercent: 0.2,
    dry: false,
    leftOn: true,
  },
  {
    slug: "shake-remover",
    name: "two-layer remover",
    activePercent: { low: 0, high: 1 },
    activeReason: "the oil dissolves the make-up; more cleanser would keep the layers mixed",
    ph: { low: 5.5, high: 7.2 },
    scentCapPercent: 0.2,
    dry: false,
    leftOn: true,
  },
  {
    slug: "cleansing-oil",
    name: "cleansing oil or balm",
    activePercent: { low: 0, high: 0 },
    activeReason: "an emulsifier at 8 to 25 % rinses the oil off; no cleansing surfactant is needed",
    ph: null,
    scentCapPercent: 0.5,
    dry: true,
  },
  {
    slug: "powder-cleanser",
    name: "powder-to-foam cleanser",
    activePercent: { low: 8, high: 25 },
    activeReason: "diluted in the wet hand before it meets the skin",
    ph: { low: 4.5, high: 7 },
    scentCapPercent: 0.5,
    dry: true,
  },
  {
    slug: "whipped-cleanser",
    name: "whipped cleanser",
    activePercent: { low: 15, high: 40 },
    activeReason: "a solid paste holds the air; a fingertip of it is used",
    ph: { low: 5, high: 7 },
    scentCapPercent: 0.5,
    dry: false,
  },
  {
    slug: "scrub",
    name: "scrub on a base",
    activePercent: { low: 5, high: 30 },
    activeReason: "the base brings the cleanser and the grains dilute it",
    ph: null,
    scentCapPercent: 0.5,
    dry: false,
  },
  {
    slug: "soap-wash",
    name: "soap-based wash",
    activePercent: { low: 3, high: 20 },
    activeReason: "true soap, thin to gel",
    ph: { low: 9, high: 10 },
    scentCapPercent: 1,
    dry: false,
  },
];

const profileBySlug: ReadonlyMap<string, Profile> = new Map(profiles.map((profile) => [profile.slug, profile]));

/** The profile of that slug, or `undefined`. */
export function profileOf(slug: string): Profile | undefined {
  return profileBySlug.get(slug);
}
