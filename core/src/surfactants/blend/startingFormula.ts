import { activeContentOf } from "../activeMatter.ts";
import type { MaterialsBySlug } from "../../library/material.ts";
import type { Aim } from "../../formula/aim.ts";
import { profileOf, type ProfileSlug } from "../../formula/profiles.ts";

export interface StartingLine {
  readonly phase: string;
  /** Slug. */
  readonly material: string;
  /** % w/w; null on the q.s. line. */
  readonly percent: number | null;
}

/** A start that suits an aim: phases, types and amounts, to be filled with what one has. */
export interface StartingFormula {
  readonly phases: readonly { readonly letter: string; readonly title: string; readonly temperatureC: number | null }[];
  readonly lines: readonly StartingLine[];
}

type Part = readonly [material: string, percent: number | "rest"];

interface PhasePlan {
  readonly title: string;
  readonly temperatureC?: number;
  readonly parts: readonly Part[];
}

/** Shares of the active matter among cleansers, which sum to 1. */
type Mix = readonly (readonly [material: string, share: number])[];

/** Where in its window a start aims, 0 the low end and 1 the high. */
const IN_WINDOW = 0.45;
const DECIMALS = 100;

/**
 * A skeleton for an aim: cleansers in the middle of the profile's window, of the charge types and the school wanted, with
 * what thickens, keeps and sets the pH. Null where a material of it is not in the library.
 */
export function startingFormulaOf(profile: ProfileSlug, aim: Aim, library: MaterialsBySlug): StartingFormula | null {
  const plans = plansOf(profile, aim, library);
  const missing = plans.some(({ parts }) => parts.some(([material]) => !library.has(material)));
  if (missing) return null;
  const lettered = plans.filter(({ parts }) => parts.length > 0).map((plan, at) => ({ ...plan, letter: String.fromCharCode(65 + at) }));
  return {
    phases: lettered.map(({ letter, title, temperatureC }) => ({ letter, title, temperatureC: temperatureC ?? null })),
    lines: lettered.flatMap(({ letter, parts }) =>
      parts.map(([material, percent]): StartingLine => ({ phase: letter, material, percent: percent === "rest" ? null : percent })),
    ),
  };
}

function plansOf(profile: ProfileSlug, aim: Aim, library: MaterialsBySlug): readonly PhasePlan[] {
  const cleansers = (mix: Mix): readonly Part[] => cleanserParts(profile, mix, library);
  switch (profile) {
    case "cream-cleanser":
      return creamPlan(aim);
    case "micellar-water":
    case "micellar-foam":
    case "foaming-wash":
      return [waterPlan(aim), { title: "cleansing", parts: cleansers(thinMix(profile, aim)) }, finishPlan(aim, "none")];
    case "shake-remover":
      return [
        {
          title: "water",
          parts: [
            ["water-distilled", "rest"],
            ["sodium-chloride", 0.5],
            ["tetrasodium-glda", 0.2],
            ["phenoxyethanol-caprylyl-glycol", 1],
          ],
        },
        {
          title: "oil",
          parts: [
            ["caprylic-capric-triglyceride", 30],
            ["isopropyl-myristate", 10],
          ],
        },
      ];
    case "cleansing-oil":
      return [
        {
          title: "oils",
          parts: [
            ["sunflower-oil", 50],
            ["caprylic-capric-triglyceride", 34.5],
            ["polyglyceryl-4-oleate", 15],
            ["tocopherol", 0.5],
          ],
        },
      ];
    case "powder-cleanser":
      return [
        {
          title: "powders",
          parts: [
            ["kaolin", 40],
            ["colloidal-oatmeal", 40.5],
          ],
        },
        {
          title: "cleansing",
          parts: [
            ["sci-powder", 14],
            ["poloxamer-188", 5],
            ["citric-acid-anhydrous", 0.5],
          ],
        },
      ];
    case "whipped-cleanser":
      return [
        {
          title: "water",
          temperatureC: 72,
          parts: [
            ["water-distilled", "rest"],
            ["glycerin", 20],
            ["tetrasodium-glda", 0.2],
          ],
        },
        {
          title: "cleansing and fats",
          temperatureC: 72,
          parts: [
            ["sci-powder", 24],
            ["stearic-acid", 8],
            ["cetearyl-alcohol", 4],
            ["cocamidopropyl-betaine", 23],
          ],
        },
        {
          title: "cool-down",
          parts: [
            ["phenoxyethanol-caprylyl-glycol", 1],
            ["citric-acid-solution-50", 0.5],
          ],
        },
      ];
    case "scrub":
      return [
        {
          title: "base",
          parts: [
            ["mild-anionic-preblend", 42],
            ["glycerin", 12],
            ["tetrasodium-glda", 0.2],
            ["phenoxyethanol-caprylyl-glycol", 0.8],
          ],
        },
        { title: "grains", parts: [["sugar", 45]] },
      ];
    case "soap-wash":
      return [
        {
          title: "water",
          parts: [
            ["water-distilled", "rest"],
            ["glycerin", 4],
            ["tetrasodium-glda", 0.2],
          ],
        },
        { title: "soap", parts: [["liquid-potassium-soap", 30]] },
        {
          title: "finish",
          parts: [["phenoxyethanol-ethylhexylglycerin", 1]],
        },
      ];
    default:
      return gelPlan(profile, aim, cleansers);
  }
}

/** Shampoos, washes and face gels: water, cleansers, thickener, pH and keeping. */
function gelPlan(profile: ProfileSlug, aim: Aim, cleansers: (mix: Mix) => readonly Part[]): readonly PhasePlan[] {
  const bySalt = profile !== "face-gel" && aim.school !== "plant-only";
  const gum: readonly PhasePlan[] = bySalt
    ? []
    : [
        {
          title: "gum",
          parts: [
            ["glycerin", 5],
            ["xanthan-gum-clear", 0.7],
          ],
        },
      ];
  const thin = aim.thickness === "water-thin";
  return [
    ...(thin ? [] : gum),
    waterPlan(aim),
    { title: "cleansing", parts: cleansers(gelMix(profile, aim)) },
    finishPlan(aim, bySalt && !thin ? "salt" : "none"),
  ];
}

function gelMix(profile: ProfileSlug, aim: Aim): Mix {
  if (aim.school === "plant-only")
    return [
      ["sodium-cocoyl-glutamate", 0.45],
      ["coco-glucoside", 0.55],
    ];
  if (aim.school === "true-soap") return [["liquid-potassium-soap", 1]];
  if (profile === "face-gel" || aim.eyeArea)
    return [
      ["sodium-cocoyl-glutamate", 0.3],
      ["cocamidopropyl-betaine", 0.35],
      ["decyl-glucoside", 0.35],
    ];
  const anionic = aim.school === "classic" ? "sles-2eo-28" : "aos-40";
  return [
    [anionic, 0.45],
    ["cocamidopropyl-betaine", 0.35],
    ["coco-glucoside", 0.2],
  ];
}

function thinMix(profile: ProfileSlug, aim: Aim): Mix {
  if (profile === "micellar-water")
    return aim.school === "plant-only"
      ? [["coco-glucoside", 1]]
      : [
          ["caprylyl-capryl-glucoside", 0.6],
          ["cocamidopropyl-betaine", 0.4],
        ];
  if (aim.school === "plant-only")
    return [
      ["sodium-cocoyl-glutamate", 0.4],
      ["coco-glucoside", 0.6],
    ];
  return [
    ["sodium-cocoyl-glutamate", 0.35],
    ["cocamidopropyl-betaine", 0.35],
    ["decyl-glucoside", 0.3],
  ];
}

function cleanserParts(profile: ProfileSlug, mix: Mix, library: MaterialsBySlug): readonly Part[] {
  const window = profileOf(profile)?.activePercent ?? { low: 10, high: 15 };
  const active = window.low + (window.high - window.low) * IN_WINDOW;
  return mix.map(([slug, share]): Part => {
    const material = library.get(slug);
    const content = material === undefined ? 100 : activeContentOf(material, library).percent;
    return [slug, Math.round((DECIMALS * 100 * active * share) / content) / DECIMALS];
  });
}

function waterPlan(aim: Aim): PhasePlan {
  return { title: "water", parts: [["water-distilled", "rest"], ["glycerin", 2], ["tetrasodium-glda", 0.2], ...keepingParts(aim)] };
}

/** Weak acids where the pH lets them work; near the eye a blend that works at the pH of tears. */
function keepingParts(aim: Aim): readonly Part[] {
  if (aim.eyeArea) return [["phenoxyethanol-caprylyl-glycol", 1]];
  return [
    ["sodium-benzoate", 0.4],
    ["potassium-sorbate", 0.25],
  ];
}

function finishPlan(aim: Aim, thickener: "salt" | "none"): PhasePlan {
  const salt: readonly Part[] = thickener === "salt" ? [["sodium-chloride", 1]] : [];
  return { title: "finish", parts: [["citric-acid-solution-50", aim.eyeArea ? 0.1 : 0.3], ...salt] };
}

function creamPlan(aim: Aim): readonly PhasePlan[] {
  const keeping: readonly Part[] =
    aim.school === "plant-only" ? [["benzyl-alcohol-benzoic-sorbic", 0.9]] : [["phenoxyethanol-caprylyl-glycol", 1]];
  return [
    {
      title: "water",
      temperatureC: 72,
      parts: [
        ["water-distilled", "rest"],
        ["glycerin", 4],
        ["tetrasodium-glda", 0.2],
      ],
    },
    {
      title: "fats",
      temperatureC: 72,
      parts: [
        ["sunflower-oil", 10],
        ["cetearyl-alcohol", 3],
        ["glyceryl-stearate", 4],
        ["cetearyl-olivate-sorbitan-olivate", 3],
      ],
    },
    {
      title: "cleansing",
      parts: [
        ["decyl-glucoside", 3],
        ["sodium-cocoyl-glutamate", 3],
      ],
    },
    { title: "cool-down", parts: [...keeping, ["citric-acid-solution-50", 0.1]] },
  ];
}
