/** A buffer and what the meter showed in it. */
export interface BufferReading {
  readonly bufferPh: number;
  readonly readingPh: number;
}

export interface Calibration {
  /** 100 is a perfect electrode. */
  readonly slopePercent: number;
  /** Reading less buffer, at the buffer nearer to pH 7. */
  readonly offsetPh: number;
  readonly isSound: boolean;
  readonly text: string;
}

/** Outside of this an electrode is cleaned or replaced, % slope. */
const SOUND_SLOPE = { low: 90, high: 105 };

/**
 * Two-point calibration: slope = 100 × (reading₂ − reading₁) ⁄ (buffer₂ − buffer₁). Buffers 4 and 7 read as 4.1 and 6.95
 * give 95 %. Null when both buffers are the same.
 */
export function calibrationOf(first: BufferReading, second: BufferReading): Calibration | null {
  if (first.bufferPh === second.bufferPh) return null;
  const slopePercent = (100 * (second.readingPh - first.readingPh)) / (second.bufferPh - first.bufferPh);
  const nearer = Math.abs(first.bufferPh - 7) <= Math.abs(second.bufferPh - 7) ? first : second;
  const isSound = slopePercent >= SOUND_SLOPE.low && slopePercent <= SOUND_SLOPE.high;
  const told = `Slope ${slopePercent.toFixed(1)} %`;
  const text = isSound
    ? `${told}: sound.`
    : `${told}, outside ${SOUND_SLOPE.low} to ${SOUND_SLOPE.high} %: clean the electrode, use fresh buffers, or replace it.`;
  return { slopePercent, offsetPh: nearer.readingPh - nearer.bufferPh, isSound, text };
}

/** What a calibrated meter would have shown. Null when the electrode tells the buffers not apart. */
export function correctedPh(readingPh: number, first: BufferReading, second: BufferReading): number | null {
  const span = second.readingPh - first.readingPh;
  if (span === 0) return null;
  return first.bufferPh + ((readingPh - first.readingPh) * (second.bufferPh - first.bufferPh)) / span;
}
