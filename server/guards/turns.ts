/** Gives a turn back. */
export type Release = () => void;

interface TurnsOptions {
  /** So many work at the same time. */
  readonly atOnce: number;
  /** So many wait; who comes after them is told at once. */
  readonly mostWaiting: number;
  /** So long one waits. */
  readonly patienceMilliseconds: number;
}

interface Waiting {
  readonly call: (release: Release | "busy") => void;
  readonly timer: ReturnType<typeof setTimeout>;
}

/** Lets a few requests work at a time and the others wait, first come first served, so that many at once are slower and none fails. */
export class Turns {
  private working = 0;
  private readonly waiting: Waiting[] = [];
  private readonly options: TurnsOptions;

  constructor(options: TurnsOptions) {
    this.options = options;
  }

  /** A turn, or "busy" when too many wait or the wait was too long. */
  take(): Promise<Release | "busy"> {
    if (this.working < this.options.atOnce) return Promise.resolve(this.begin());
    if (this.waiting.length >= this.options.mostWaiting) return Promise.resolve("busy");
    return new Promise((resolve) => {
      const timer = setTimeout(() => {
        const at = this.waiting.indexOf(entry);
        if (at >= 0) this.waiting.splice(at, 1);
        resolve("busy");
      }, this.options.patienceMilliseconds);
      const entry: Waiting = { call: resolve, timer };
      this.waiting.push(entry);
    });
  }

  private begin(): Release {
    this.working += 1;
    let isOver = false;
    return () => {
      if (isOver) return;
      isOver = true;
      this.working -= 1;
      const next = this.waiting.shift();
      if (next === undefined) return;
      clearTimeout(next.timer);
      next.call(this.begin());
    };
  }
}
