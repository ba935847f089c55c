import { assessSums } from "@tensidrum/core/assessment";
import { batchForContainers, batchForMaterial, USUAL_LOSS_PERCENT, type Formula } from "@tensidrum/core/formula";
import { Refusal } from "@tensidrum/core/quantities";
import { shownMaterial, type MaterialsBySlug } from "@tensidrum/core/library";
import { readMassGrams, readNumber, written, writtenMass } from "@tensidrum/core/quantities";

/** How large a batch is wanted, when not by its mass: by containers to fill, or by what is in hand of one material. */
export interface TypedSize {
  readonly by: "mass" | "containers" | "hand";
  /** How many, of which container. */
  readonly count: string;
  readonly container: string;
  /** How much of which material. */
  readonly hand: string;
  readonly material: string;
}

export const noSize: TypedSize = { by: "mass", count: "", container: "", hand: "", material: "" };

interface SizeAsk {
  readonly formula: Formula;
  readonly materials: MaterialsBySlug;
  /** The mass as typed; empty for the one of the version. */
  readonly grams: string;
  readonly size: TypedSize;
  readonly containers: readonly {
    readonly id: string;
    readonly name: string;
    readonly nominalMl: number;
    readonly brimfulMl: number;
    readonly headspaceMl: number;
    readonly dipTubeMl: number;
  }[];
}

export type BatchSize = { readonly grams: number; readonly why: string | null } | { readonly problem: string };

/** pH and other tests take so much of a batch, g. */
const SAMPLES_GRAMS = 10;
/** Of a wash nobody knows the density of. */
const WATER_DENSITY = 1;

/** The mass of the batch that is wanted, and how it was computed; or what is wrong with what was typed. */
export function batchSize({ formula, materials, grams, size, containers }: SizeAsk): BatchSize {
  if (size.by === "mass") {
    if (grams === "") return { grams: formula.batchGrams, why: null };
    const read = readMassGrams(grams);
    return read.ok ? { grams: read.value, why: null } : { problem: "Give the batch as 600 g or 1.2 kg." };
  }
  try {
    return size.by === "hand" ? byHand({ formula, materials, size }) : byContainers({ formula, materials, size, containers });
  } catch (error) {
    if (error instanceof Refusal) return { problem: `${error.message} ${error.remedy}` };
    throw error;
  }
}

function byHand({ formula, materials, size }: Pick<SizeAsk, "formula" | "materials" | "size">): BatchSize {
  const read = readMassGrams(size.hand);
  const material = materials.get(size.material);
  if (!read.ok) return { problem: "Give what you have of it as 83 g or 0.5 kg." };
  if (material === undefined) return { problem: "Choose which material you have so much of." };
  const grams = batchForMaterial(formula, { material: size.material, grams: read.value }, materials);
  return { grams, why: `${writtenMass(read.value)} of ${shownMaterial(material).name} make ${writtenMass(grams)}.` };
}

function byContainers({ formula, materials, size, containers }: Omit<SizeAsk, "grams">): BatchSize {
  const count = readNumber(size.count);
  const container = containers.find(({ id }) => id === size.container);
  if (!count.ok) return { problem: "Type how many you want to fill." };
  if (container === undefined) return { problem: "Choose which container you want to fill." };
  const { nominalMl, brimfulMl, headspaceMl, dipTubeMl } = container;
  const density = assessSums(formula, materials).densityGramsPerMl;
  const fillGrams = Math.min(nominalMl, brimfulMl - headspaceMl - dipTubeMl) * (density ?? WATER_DENSITY);
  const grams = batchForContainers({ containers: count.value, fillGrams, sampleGrams: SAMPLES_GRAMS });
  const each = `${written(fillGrams, 1)} g${density === null ? ", taken as heavy as water" : ""}`;
  return {
    grams,
    why: `${count.value} × ${container.name} of ${each}, ${USUAL_LOSS_PERCENT} % left on tools and ${SAMPLES_GRAMS} g for tests: ${writtenMass(grams)}.`,
  };
}
