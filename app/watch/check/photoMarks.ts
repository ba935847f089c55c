import { colourBesideCard, colourDifference, gridContrast, hazeBehind, patchLight, type Lab } from "@tensidrum/core/appearance";
import { Refusal } from "@tensidrum/core/quantities";

/** What is marked in a photo. */
export const markNames = { card: "white card", jar: "the wash", beside: "grid beside the jar", behind: "grid behind the jar" } as const;

export type MarkName = keyof typeof markNames;

/** A place in a photo, from 0 to 1 across and down. */
export interface Mark {
  readonly x: number;
  readonly y: number;
}

export type Marks = Readonly<Record<MarkName, Mark>>;

export const usualMarks: Marks = {
  card: { x: 0.15, y: 0.5 },
  jar: { x: 0.5, y: 0.5 },
  beside: { x: 0.85, y: 0.3 },
  behind: { x: 0.5, y: 0.3 },
};

/** A mark moved by a part of the photo, and kept in it. */
export function moved({ x, y }: Mark, right: number, down: number): Mark {
  const within = (value: number): number => Math.min(0.98, Math.max(0.02, value));
  return { x: within(x + right), y: within(y + down) };
}

export interface PhotoReading {
  readonly lab: Lab | null;
  /** ΔE to the first photo of the batch; null for the first one. */
  readonly difference: number | null;
  readonly hazePercent: number | null;
  /** Why no colour follows, or no haze; empty where both do. */
  readonly problems: readonly string[];
}

/**
 * Colour and haze of a wash by the marks in its photo.
 * @param pixelsAt what lies under a mark, as a canvas gives it
 * @param first colour of the first photo of the batch
 */
export function readPhoto(pixelsAt: (mark: MarkName) => ArrayLike<number>, first: Lab | null, hasGrid: boolean): PhotoReading {
  const problems: string[] = [];
  const told = <Value>(read: () => Value): Value | null => {
    try {
      return read();
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      problems.push(`${error.message} ${error.remedy}`);
      return null;
    }
  };
  const lab = told(() => colourBesideCard(patchLight(pixelsAt("jar")), patchLight(pixelsAt("card"))));
  const hazePercent = hasGrid ? told(() => hazeBehind(gridContrast(pixelsAt("beside")), gridContrast(pixelsAt("behind")))) : null;
  return { lab, difference: lab === null || first === null ? null : colourDifference(first, lab), hazePercent, problems };
}
