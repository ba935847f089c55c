/** A point of a curve. */
export interface Knot {
  readonly x: number;
  readonly y: number;
}

/**
 * A curve through rising knots that never turns back between them: cubic Hermite with the slopes of Fritsch and
 * Carlson (SIAM J. Numer. Anal. 1980, 17, 238). Beyond the ends it goes on straight, at the secant of the last two knots.
 * @param knots At least one, x strictly rising, y never falling.
 */
export function monotoneCurve(knots: readonly Knot[]): (x: number) => number {
  const first = knots[0]!;
  const last = knots.at(-1)!;
  if (knots.length === 1) return () => first.y;
  const secants = knots.slice(1).map((knot, k) => (knot.y - knots[k]!.y) / (knot.x - knots[k]!.x));
  const slopes = slopesOf(secants);
  return (x) => {
    if (x <= first.x) return first.y + (x - first.x) * secants[0]!;
    if (x >= last.x) return last.y + (x - last.x) * secants.at(-1)!;
    let k = 0;
    while (x > knots[k + 1]!.x) k += 1;
    const [left, right] = [knots[k]!, knots[k + 1]!];
    const width = right.x - left.x;
    const t = (x - left.x) / width;
    return (
      left.y * (1 + 2 * t) * (1 - t) ** 2 +
      right.y * t ** 2 * (3 - 2 * t) +
      width * (slopes[k]! * t * (1 - t) ** 2 - slopes[k + 1]! * t ** 2 * (1 - t))
    );
  };
}

function slopesOf(secants: readonly number[]): readonly number[] {
  const slopes = [secants[0]!, ...secants.slice(1).map((secant, k) => (secant + secants[k]!) / 2), secants.at(-1)!];
  secants.forEach((secant, k) => {
    if (secant === 0) {
      slopes[k] = 0;
      slopes[k + 1] = 0;
      return;
    }
    // The limiter in terms of the slopes themselves: dividing by a secant next to nothing would overflow.
    const size = Math.hypot(slopes[k]!, slopes[k + 1]!);
    if (size <= 3 * secant) return;
    slopes[k]! *= (3 * secant) / size;
    slopes[k + 1]! *= (3 * secant) / size;
  });
  return slopes;
}
