export interface BeakerPart {
  readonly name: string;
  readonly grams: number;
  readonly tint: string;
}

interface Layer extends BeakerPart {
  readonly y: number;
  readonly height: number;
}

export interface BeakerGeometry {
  readonly width: number;
  readonly height: number;
  readonly capacityMl: number;
  /** Outline of the glass, open at the top with a lip. */
  readonly glass: string;
  readonly layers: readonly Layer[];
  /** Heights of the marks, each with its millilitres. */
  readonly marks: readonly { readonly y: number; readonly ml: number }[];
}

const WIDTH = 150;
const HEIGHT = 150;
const TOP = 10;
const LIP = 8;
/** Sizes beakers are sold in, mL. */
const SIZES = [10, 25, 50, 100, 250, 500, 1000, 2000, 5000];
/** A beaker is stirred without spilling up to here. */
const FULLEST = 0.8;
const MARKS = [0.2, 0.4, 0.6, 0.8];

/**
 * A beaker that holds the parts with room to stir, each part as high as its share; the first lies at the bottom. A gram is
 * drawn as a millilitre.
 */
export function beakerGeometry(parts: readonly BeakerPart[]): BeakerGeometry {
  const total = parts.reduce((sum, { grams }) => sum + grams, 0);
  const capacityMl = SIZES.find((size) => total <= FULLEST * size) ?? Math.ceil(total / FULLEST / 1000) * 1000;
  const inner = HEIGHT - TOP;
  const layers: Layer[] = [];
  let y = HEIGHT;
  for (const part of parts) {
    const height = (part.grams / capacityMl) * inner;
    y -= height;
    layers.push({ ...part, y, height });
  }
  return {
    width: WIDTH,
    height: HEIGHT,
    capacityMl,
    glass: `M0,${TOP - LIP} L${LIP},${TOP} V${HEIGHT} H${WIDTH} V${TOP - LIP}`,
    layers,
    marks: MARKS.map((share) => ({ y: HEIGHT - share * inner, ml: share * capacityMl })),
  };
}
