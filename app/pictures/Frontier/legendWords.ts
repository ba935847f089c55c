import type { FrontierDrop } from "./geometry";

export interface FrontierBlend extends FrontierDrop {
  /** What a reader is told of it. */
  readonly words: string;
  /** It answers to salt: its drop is full. */
  readonly isFull: boolean;
  readonly clarity: "clear" | "hazy" | "cloudy";
}

/** What the signs say, of those that are there. */
export function legendWords(blends: readonly FrontierBlend[]): string {
  const isThere = (clarity: FrontierBlend["clarity"]): boolean => blends.some((one) => one.clarity === clarity);
  const signs = [
    "Larger drops foam more",
    "full ones thicken with salt",
    ...(isThere("hazy") ? ["dashed ones are hazy"] : []),
    ...(isThere("cloudy") ? ["those with a bar are cloudy"] : []),
  ];
  return `${signs.join("; ")}. A band drawn across them narrows the picture.`;
}
