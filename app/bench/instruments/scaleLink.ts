/** The way to a scale, real or played: it sends lines of text as bench scales do, and can be tared. */
export interface ScaleLink {
  readonly name: string;
  /** Entries made from it are marked so. */
  readonly isSimulated: boolean;
  /** Hears each line; answers how to stop. */
  listen(onLine: (text: string) => void): () => void;
  tare(): void;
}
