import { differenceCiede2000, modeLab65, modeLrgb, modeRgb, modeXyz65, useMode as register, converter } from "culori/fn";
import { Refusal } from "../quantities/refusal.ts";

for (const mode of [modeRgb, modeLrgb, modeXyz65, modeLab65]) register(mode);
const toLinear = converter("lrgb");
const toLab = converter("lab65");
const difference = differenceCiede2000();

/** A colour by lightness, green to red and blue to yellow (CIE 1976, daylight D65). */
export interface Lab {
  readonly l: number;
  readonly a: number;
  readonly b: number;
}

/** The mean light of a patch of a photo, linear, 0 to 1, and how much of it is at the end of what the camera can tell. */
export interface PatchLight {
  readonly r: number;
  readonly g: number;
  readonly b: number;
  /** 0 to 1. */
  readonly clipped: number;
}

const CHANNELS = 4;
const [WHITEST, BLACKEST] = [254, 1];
/** What a white card of paper throws back of the light. */
const CARD_REFLECTS = 0.9;
const MOST_CLIPPED = 0.05;
const DARKEST_CARD = 0.2;
/** A white card under lamp light is tinted, and hardly more than so: the darkest of its three lights beside the brightest. */
const LEAST_BALANCE = 0.3;

/**
 * The mean light of pixels.
 * @param pixels red, green, blue, opacity of each, 0 to 255, one after the other, as a canvas gives them
 * @throws Refusal for no pixels
 */
export function patchLight(pixels: ArrayLike<number>): PatchLight {
  const count = Math.floor(pixels.length / CHANNELS);
  if (count === 0) throw new Refusal("not-valid", "This patch of the photo is empty.", "Put the mark inside the photo.");
  const sum = { r: 0, g: 0, b: 0, clipped: 0 };
  for (let at = 0; at < count * CHANNELS; at += CHANNELS) {
    const [r = 0, g = 0, b = 0] = [pixels[at], pixels[at + 1], pixels[at + 2]];
    const light = toLinear({ mode: "rgb", r: r / 255, g: g / 255, b: b / 255 });
    sum.r += light.r;
    sum.g += light.g;
    sum.b += light.b;
    if (Math.max(r, g, b) >= WHITEST || Math.max(r, g, b) <= BLACKEST) sum.clipped += 1;
  }
  return { r: sum.r / count, g: sum.g / count, b: sum.b / count, clipped: sum.clipped / count };
}

/**
 * The colour of a wash in a photo, with the light of the room taken out by a white card beside it: each of the three lights is
 * divided by that of the card (von Kries 1902, on linear light), which throws back 0.9 of it. A sample that is as bright as the
 * card has L 96.
 * @throws Refusal where there is no white card: it is too dark, too bright to be told, or coloured
 */
export function colourBesideCard(sample: PatchLight, card: PatchLight): Lab {
  const [least, most] = [Math.min(card.r, card.g, card.b), Math.max(card.r, card.g, card.b)];
  if (card.clipped > MOST_CLIPPED) {
    throw new Refusal("not-valid", "The white card is brighter than the camera can tell.", "Take the photo a little darker.");
  }
  if (most < DARKEST_CARD || least / most < LEAST_BALANCE) {
    throw new Refusal("not-valid", "There is no white card under its mark.", "Lay white paper beside the jar and put the mark on it.");
  }
  const balanced = (light: number, white: number): number => (CARD_REFLECTS * light) / white;
  const { l, a, b } = toLab({ mode: "lrgb", r: balanced(sample.r, card.r), g: balanced(sample.g, card.g), b: balanced(sample.b, card.b) });
  return { l, a, b };
}

/** How far two colours lie apart to the eye: ΔE of CIEDE2000 (Sharma, Wu and Dalal 2005). About 1 is just seen, 5 at a glance. */
export function colourDifference(first: Lab, second: Lab): number {
  return difference({ mode: "lab65", ...first }, { mode: "lab65", ...second });
}

/** Of the brightest and the darkest pixels, so many are the light and the dark of the grid. */
const TENTH = 0.1;
const LEAST_CONTRAST = 0.3;

/** The contrast of a printed grid in a photo: (light − dark) ⁄ (light + dark), from 0 to 1 (Michelson 1927). */
export function gridContrast(pixels: ArrayLike<number>): number {
  const lights: number[] = [];
  for (let at = 0; at + CHANNELS <= pixels.length; at += CHANNELS) {
    const { r, g, b } = patchLight([pixels[at] ?? 0, pixels[at + 1] ?? 0, pixels[at + 2] ?? 0, 255]);
    lights.push(0.2126 * r + 0.7152 * g + 0.0722 * b);
  }
  const sorted = lights.sort((a, b) => a - b);
  const tenth = Math.max(1, Math.round(sorted.length * TENTH));
  const mean = (of: readonly number[]): number => of.reduce((sum, one) => sum + one, 0) / Math.max(1, of.length);
  const [dark, light] = [mean(sorted.slice(0, tenth)), mean(sorted.slice(-tenth))];
  return light + dark === 0 ? 0 : (light - dark) / (light + dark);
}

/**
 * How hazy a wash is, %: what it takes from the contrast of a printed grid behind the jar, beside that of the same grid next to
 * it. 0.80 beside and 0.60 behind the jar make 25 %.
 * @throws Refusal where no grid is printed beside the jar
 */
export function hazeBehind(beside: number, behind: number): number {
  if (beside < LEAST_CONTRAST) {
    throw new Refusal(
      "not-valid",
      "There is no printed grid under its mark.",
      "Stand the jar before printed squares and mark them beside it.",
    );
  }
  return 100 * Math.min(1, Math.max(0, 1 - behind / beside));
}
