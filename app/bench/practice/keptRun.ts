/** How a practice run came out, as it is kept. */
export interface KeptRun {
  readonly id: string;
  /** Of the hidden batch. */
  readonly seed: string;
  /** When it ended, as the maker writes a day and an hour. */
  readonly when: string;
  /** Of 100. */
  readonly points: number;
  readonly doses: number;
  /** Of tuning. */
  readonly minutes: number;
}
