import type { BubbleSize } from "@tensidrum/core/stability";

export const BUBBLES = { width: 64, height: 40 } as const;

/** Radius as it looks at the edge of the cylinder. */
const RADIUS: Readonly<Record<BubbleSize, number>> = { creamy: 1.4, fine: 2.8, medium: 5, coarse: 9 };
const GAP = 0.4;

/** Bubbles of one size, row over row, each row in the gaps of the one before. */
export function bubbleGeometry(size: BubbleSize): readonly { readonly x: number; readonly y: number; readonly r: number }[] {
  const r = RADIUS[size];
  const [across, down] = [2 * r + GAP, Math.sqrt(3) * (r + GAP / 2)];
  const rows = Math.max(1, Math.floor((BUBBLES.height - 2 * r) / down) + 1);
  return Array.from({ length: rows }, (_, row) => {
    const left = r + (row % 2 === 1 ? across / 2 : 0);
    const count = Math.floor((BUBBLES.width - r - left) / across) + 1;
    return Array.from({ length: count }, (__, at) => ({ x: left + at * across, y: r + row * down, r }));
  }).flat();
}
