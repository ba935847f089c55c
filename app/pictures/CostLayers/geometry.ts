import type { CostLayer } from "@tensidrum/core/packaging";

export const BOTTLE = { left: 6, width: 96, neck: 34, neckHeight: 16, height: 260, labelX: 124 } as const;

/** Words stand at least so far apart. */
const LINE = 19;

export interface DrawnLayer extends CostLayer {
  readonly y: number;
  readonly height: number;
  /** Where its words stand. */
  readonly wordsY: number;
}

/** Layers from the bottom of the bottle up, the first lowest, each as high as its cost; words beside them keep apart. */
export function costLayersGeometry(layers: readonly CostLayer[]): readonly DrawnLayer[] {
  const total = layers.reduce((sum, { cost }) => sum + cost, 0);
  if (total <= 0) return [];
  let bottom: number = BOTTLE.height;
  const drawn = layers.map((layer) => {
    const height = (BOTTLE.height * layer.cost) / total;
    bottom -= height;
    return { ...layer, y: bottom, height, wordsY: bottom + height / 2 };
  });
  // From below: what stands too near its neighbour moves up, and from above what has left the picture moves back.
  let below = Infinity;
  const up = drawn.map((layer) => ({ ...layer, wordsY: (below = Math.min(layer.wordsY, below - LINE)) }));
  let above = 0;
  return up
    .toReversed()
    .map((layer) => {
      const wordsY = Math.max(layer.wordsY, above + LINE / 2);
      above = wordsY + LINE / 2;
      return { ...layer, wordsY };
    })
    .toReversed();
}
