export const instrumentKinds = ["scale", "meter", "cup"] as const;

export type InstrumentKind = (typeof instrumentKinds)[number];

/** What a link tells: lines of text, as instruments send them, and that it is gone. */
export interface Hearing {
  line(text: string): void;
  /** Unplugged, or the line broke; why, in words. */
  gone(why: string): void;
}

/** The way to an instrument, real or played. */
export interface InstrumentLink {
  readonly name: string;
  /** Entries made from it are marked so. */
  readonly isSimulated: boolean;
  /** Hears each line; answers how to stop. */
  listen(hearing: Hearing): () => void;
  /** Makes what a scale shows zero; the others have none. */
  tare?(): void;
}
