/** A span of time in words: 5 minutes, 3 hours, 2 days. */
export function periodWords(minutes: number): string {
  if (minutes < 120) return minutes === 1 ? "1 minute" : `${Math.round(minutes)} minutes`;
  return minutes < 2880 ? `${Math.round(minutes / 60)} hours` : `${Math.round(minutes / 1440)} days`;
}
