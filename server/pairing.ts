import { createHash, randomBytes, randomInt, timingSafeEqual } from "node:crypto";

const DIGITS = 6;
const FIRST_PAUSE_MILLISECONDS = 1_000;
const LONGEST_PAUSE_MILLISECONDS = 300_000;
/** After so many wrong ones the code is another. */
const WRONG_PER_CODE = 10;
const MOST_DEVICES = 50;

export type Tried =
  { readonly kind: "paired"; readonly token: string } | { readonly kind: "wrong" | "too-soon"; readonly waitSeconds: number };

/** What the first screen says of pairing. */
export interface PairingState {
  readonly code: string;
  readonly wrong: number;
  readonly lastWrong: { readonly at: string; readonly from: string } | null;
  readonly devices: number;
}

interface PairingWith {
  readonly now?: () => number;
  /** Digests of the devices paired before. */
  readonly known?: readonly string[];
  /** Called with all digests when a device is paired. */
  readonly remember?: (digests: readonly string[]) => void;
}

/**
 * Lets devices of the local network in by a code that is shown on the machine itself. Each wrong code doubles the time
 * until another is looked at, whoever sends it, and every tenth makes the code another one.
 */
export class Pairing {
  private code = newCode();
  private wrong = 0;
  private wrongInARow = 0;
  private lastWrong: PairingState["lastWrong"] = null;
  private opensAt = 0;
  private readonly devices: Set<string>;
  private readonly now: () => number;
  private readonly remember: (digests: readonly string[]) => void;

  constructor({ now = Date.now, known = [], remember = () => undefined }: PairingWith = {}) {
    this.now = now;
    this.devices = new Set(known);
    this.remember = remember;
  }

  tryCode(typed: string, from: string): Tried {
    const now = this.now();
    if (now < this.opensAt) return { kind: "too-soon", waitSeconds: Math.ceil((this.opensAt - now) / 1000) };
    if (!isSame(typed.replaceAll(/\D/g, ""), this.code)) return this.refuse(from, now);
    const token = randomBytes(32).toString("base64url");
    this.wrongInARow = 0;
    this.code = newCode();
    this.devices.add(digestOf(token));
    for (const oldest of this.devices) {
      if (this.devices.size <= MOST_DEVICES) break;
      this.devices.delete(oldest);
    }
    this.remember([...this.devices]);
    return { kind: "paired", token };
  }

  isPaired(token: string | undefined): boolean {
    return token !== undefined && this.devices.has(digestOf(token));
  }

  state(): PairingState {
    return { code: this.code, wrong: this.wrong, lastWrong: this.lastWrong, devices: this.devices.size };
  }

  private refuse(from: string, now: number): Tried {
    this.wrong += 1;
    this.wrongInARow += 1;
    this.lastWrong = { at: new Date(now).toISOString(), from };
    const pause = Math.min(LONGEST_PAUSE_MILLISECONDS, FIRST_PAUSE_MILLISECONDS * 2 ** (this.wrongInARow - 1));
    this.opensAt = now + pause;
    if (this.wrongInARow % WRONG_PER_CODE === 0) this.code = newCode();
    return { kind: "wrong", waitSeconds: Math.ceil(pause / 1000) };
  }
}

function newCode(): string {
  return String(randomInt(10 ** DIGITS)).padStart(DIGITS, "0");
}

function digestOf(token: string): string {
  return createHash("sha256").update(token).digest("base64url");
}

function isSame(typed: string, code: string): boolean {
  const [a, b] = [typed, code].map((text) => createHash("sha256").update(text).digest());
  return a !== undefined && b !== undefined && timingSafeEqual(a, b);
}
