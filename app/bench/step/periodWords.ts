/** A span of time in words: 5 minutes, 3 hours, 2 days. */
export function periodWords(minutes: number): string {
  if (minutes < 120) return minutes === 1 ? "1 minute" : `${Math.round(minutes)} minutes`;
  return minutes < 2880 ? `${Math.round(minutes / 60)} hours` : `${Math.round(minutes / 1440)} days`;
}

/** What a clock shows: 3:05, 11:42, 7:59:30; below 0 it is over. */
export function clockText(milliseconds: number): string {
  const seconds = Math.max(0, Math.ceil(milliseconds / 1000));
  const two = (value: number): string => String(value).padStart(2, "0");
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor((seconds % 3600) / 60), seconds % 60];
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
}
