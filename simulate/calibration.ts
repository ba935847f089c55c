/** Promises of about one size, and how often they came true. */
export interface CalibrationRow {
  readonly promisedFromPercent: number;
  readonly promisedToPercent: number;
  readonly doses: number;
  readonly promisedPercent: number;
  readonly happenedPercent: number;
}

const EDGES = [0, 0.002, 0.005, 0.01, 0.02, 0.05, 0.1, 1];

/** Promised chances beside what happened, in steps of the promise, and all together at the end. */
export function calibrationOf(promises: readonly { readonly chance: number; readonly passed: boolean }[]): readonly CalibrationRow[] {
  const row = (from: number, to: number): CalibrationRow => {
    const own = promises.filter(({ chance }) => chance >= from && (chance < to || to === 1));
    const mean = (values: readonly number[]): number => (own.length === 0 ? 0 : values.reduce((sum, one) => sum + one, 0) / own.length);
    return {
      promisedFromPercent: 100 * from,
      promisedToPercent: 100 * to,
      doses: own.length,
      promisedPercent: Math.round(1e4 * mean(own.map(({ chance }) => chance))) / 100,
      happenedPercent: Math.round(1e4 * mean(own.map(({ passed }) => Number(passed)))) / 100,
    };
  };
  return [...EDGES.slice(0, -1).map((from, k) => row(from, EDGES[k + 1]!)), row(0, 1)];
}

const SIZE = 420;
const MARGIN = 56;
const SPAN = { low: 0.05, high: 20 };
/** Fewer doses than these say nothing of a frequency. */
const FEWEST = 30;

/** Promised chance against frequency on two logarithmic axes, with the line on which they agree and its factor of two. */
export function calibrationPicture(title: string, rows: readonly CalibrationRow[]): string {
  const at = (percent: number): number =>
    MARGIN + ((SIZE - 2 * MARGIN) * Math.log(Math.max(SPAN.low, percent) / SPAN.low)) / Math.log(SPAN.high / SPAN.low);
  const x = (percent: number): string => at(percent).toFixed(1);
  const y = (percent: number): string => (SIZE - at(percent)).toFixed(1);
  const ticks = [0.1, 0.5, 1, 2, 5, 10]
    .map(
      (percent) =>
        `<text x="${x(percent)}" y="${SIZE - MARGIN + 18}" text-anchor="middle">${percent}</text><text x="${MARGIN - 8}" y="${y(percent)}" text-anchor="end">${percent}</text>`,
    )
    .join("");
  const line = (factor: number, dash: string): string =>
    `<path d="M${x(SPAN.low)},${y(SPAN.low * factor)} L${x(SPAN.high / Math.max(1, factor))},${y((SPAN.high / Math.max(1, factor)) * factor)}" fill="none" stroke="#12222b"${dash}/>`;
  const dots = rows
    .slice(0, -1)
    .filter(({ doses }) => doses >= FEWEST)
    .map(
      ({ promisedPercent, happenedPercent, doses }) =>
        `<circle cx="${x(promisedPercent)}" cy="${y(happenedPercent)}" r="${(2 + Math.sqrt(doses) / 6).toFixed(1)}" fill="#08706b"><title>${doses} doses: promised ${promisedPercent} %, happened ${happenedPercent} %</title></circle>`,
    )
    .join("");
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${SIZE} ${SIZE}" font-family="sans-serif" font-size="12" fill="#12222b" role="img"><title>${title}</title><rect width="${SIZE}" height="${SIZE}" fill="#f7f9f6"/><text x="${MARGIN}" y="24" font-size="13">${title}, %</text><path d="M${MARGIN},${MARGIN} V${SIZE - MARGIN} H${SIZE - MARGIN}" fill="none" stroke="#12222b"/>${ticks}<text x="${SIZE / 2}" y="${SIZE - 14}" text-anchor="middle">promised</text><text x="16" y="${SIZE / 2}" transform="rotate(-90 16 ${SIZE / 2})" text-anchor="middle">happened</text>${line(1, "")}${line(2, ' stroke-dasharray="4 4"')}${line(0.5, ' stroke-dasharray="4 4"')}${dots}</svg>\n`;
}
