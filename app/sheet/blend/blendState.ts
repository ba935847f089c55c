/** Under this name a blend travels from where it was found to the Sheet that takes it. */
export const BLEND_STATE = "blend";

export interface TakenBlend {
  /** As supplied, % w/w. */
  readonly lines: readonly { readonly material: string; readonly percent: number }[];
  readonly sentence: string;
}

/** The blend a page was opened with; null for none. The state of a page is the browser's, so its shape is looked at. */
export function blendIn(state: unknown): TakenBlend | null {
  const blend = (state as Record<string, unknown> | null)?.[BLEND_STATE] as Partial<TakenBlend> | undefined;
  if (blend === undefined || !Array.isArray(blend.lines) || typeof blend.sentence !== "string") return null;
  const isLine = (line: unknown): boolean => {
    const { material, percent } = (line ?? {}) as { material?: unknown; percent?: unknown };
    return typeof material === "string" && typeof percent === "number" && percent > 0 && percent <= 100;
  };
  return blend.lines.every(isLine) ? (blend as TakenBlend) : null;
}
