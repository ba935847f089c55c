import type { Form } from "@tensidrum/core/library";

/** What a material stands in. */
export type VesselKind = "bottle" | "jar" | "vial" | "canister";

/** Packs from here on stand in a canister, g. */
const CANISTER_GRAMS = 2000;

export function vesselKind(form: Form | null, packGrams: number, isScent: boolean): VesselKind {
  if (packGrams >= CANISTER_GRAMS) return "canister";
  if (form === "liquid" || form === "oil" || form === "gel" || form === null) return isScent ? "vial" : "bottle";
  return "jar";
}

export const PLACE = { width: 93, height: 92 } as const;

/** Four sizes by pack, g and px. */
const SIZES: readonly { readonly upToGrams: number; readonly height: number }[] = [
  { upToGrams: 30, height: 42 },
  { upToGrams: 150, height: 54 },
  { upToGrams: 600, height: 68 },
  { upToGrams: Infinity, height: 82 },
];

interface Proportions {
  /** Width and neck beside the height; cap in px. */
  readonly width: number;
  readonly neck: number;
  readonly cap: number;
  readonly shoulder: number;
}

const PROPORTIONS: Readonly<Record<VesselKind, Proportions>> = {
  bottle: { width: 0.6, neck: 0.3, cap: 7, shoulder: 0.24 },
  jar: { width: 0.6, neck: 0.5, cap: 9, shoulder: 0.08 },
  vial: { width: 0.52, neck: 0.22, cap: 10, shoulder: 0.16 },
  canister: { width: 0.62, neck: 0.2, cap: 7, shoulder: 0.12 },
};

export interface VesselGeometry {
  /** Outline of the glass, with its neck. */
  readonly glass: string;
  readonly cap: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
  /** The part of the glass that is filled; empty when nothing is left. */
  readonly fill: string;
  readonly surfaceY: number;
  readonly centre: number;
  /** Middle of what is left, where the sign of the charge stands; null where it has no room. */
  readonly signY: number | null;
}

const SIGN_ROOM = 17;

function at(x: number, y: number): string {
  return `${x.toFixed(1)},${y.toFixed(1)}`;
}

/**
 * A vessel that stands on the board at the foot of its place. The glass shows the pack by its size, the fill what is
 * left of it by its height in the body.
 */
export function vesselGeometry(kind: VesselKind, packGrams: number, leftGrams: number): VesselGeometry {
  const height = SIZES.find(({ upToGrams }) => packGrams <= upToGrams)?.height ?? 82;
  const { width, neck, cap, shoulder } = PROPORTIONS[kind];
  const half = (height * width) / 2;
  const throat = (height * neck) / 2;
  const centre = PLACE.width / 2;
  const foot = PLACE.height;
  const top = foot - height;
  const neckFoot = top + cap + 3;
  const bodyTop = neckFoot + height * shoulder;
  const round = 4;
  const glass =
    `M${at(centre - throat, top + cap)}L${at(centre - throat, neckFoot)}` +
    `C${at(centre - throat, neckFoot + 4)} ${at(centre - half, bodyTop - 8)} ${at(centre - half, bodyTop)}` +
    `L${at(centre - half, foot - round)}Q${at(centre - half, foot)} ${at(centre - half + round, foot)}` +
    `L${at(centre + half - round, foot)}Q${at(centre + half, foot)} ${at(centre + half, foot - round)}` +
    `L${at(centre + half, bodyTop)}C${at(centre + half, bodyTop - 8)} ${at(centre + throat, neckFoot + 4)} ${at(centre + throat, neckFoot)}` +
    `L${at(centre + throat, top + cap)}Z`;
  const share = Math.min(1, Math.max(0, leftGrams / packGrams));
  const surfaceY = foot - share * (foot - bodyTop);
  const inner = half - 1;
  const fill =
    share === 0
      ? ""
      : `M${at(centre - inner, surfaceY)}L${at(centre + inner, surfaceY)}L${at(centre + inner, foot - round)}` +
        `Q${at(centre + inner, foot - 1)} ${at(centre + inner - round, foot - 1)}L${at(centre - inner + round, foot - 1)}` +
        `Q${at(centre - inner, foot - 1)} ${at(centre - inner, foot - round)}Z`;
  return {
    glass,
    cap: { x: centre - throat - 2, y: top, width: 2 * throat + 4, height: cap },
    fill,
    surfaceY,
    centre,
    signY: foot - surfaceY >= SIGN_ROOM ? (foot + surfaceY) / 2 : null,
  };
}
