import { createHash, randomBytes, randomInt, timingSafeEqual } from "node:crypto";

const DIGITS = 8;
const FIRST_PAUSE_MILLISECONDS = 1_000;
const LONGEST_PAUSE_MILLISECONDS = 300_000;
const MOST_DEVICES = 50;
/** Addresses whose wrong codes are remembered; the oldest is forgotten first. */
const MOST_ADDRESSES = 1_000;
const DAY_MILLISECONDS = 86_400_000;
/** A device that was not used for so long must be paired again. */
export const DAYS_WITHOUT_USE = 90;
/** The last use is written down at most so often. */
const USE_NOTED_MILLISECONDS = 3_600_000;
const LONGEST_NAME = 40;

/** A device that was paired, as it is remembered. Its token is known by a digest alone. */
export interface Device {
  readonly id: string;
  readonly digest: string;
  readonly name: string;
  /** ISO moments. */
  readonly pairedAt: string;
  readonly lastUsedAt: string;
}

export type Tried =
  { readonly kind: "paired"; readonly token: string } | { readonly kind: "wrong" | "too-soon"; readonly waitSeconds: number };

export interface PairingState {
  readonly code: string;
  readonly wrong: number;
  readonly lastWrong: { readonly at: string; readonly from: string } | null;
  readonly devices: readonly Device[];
}

interface PairingWith {
  readonly now?: () => number;
  /** The devices paired before. */
  readonly known?: readonly Device[];
  /** Called with all devices when they change. */
  readonly remember?: (devices: readonly Device[]) => void;
}

interface WrongFrom {
  readonly inARow: number;
  readonly opensAt: number;
}

/**
 * Lets devices of the local network in by a code that is shown on the machine itself. Each wrong code doubles the time
 * until another of the same address is looked at; other addresses do not wait for it.
 */
export class Pairing {
  private code = newCode();
  private wrong = 0;
  private lastWrong: PairingState["lastWrong"] = null;
  private readonly wrongFrom = new Map<string, WrongFrom>();
  private devices: readonly Device[];
  private readonly now: () => number;
  private readonly remember: (devices: readonly Device[]) => void;

  constructor({ now = Date.now, known = [], remember = () => undefined }: PairingWith = {}) {
    this.now = now;
    this.devices = known;
    this.remember = remember;
  }

  /** @param from address of who typed it @param name what the device is to be called; empty: by number */
  tryCode(typed: string, from: string, name = ""): Tried {
    const now = this.now();
    const before = this.wrongFrom.get(from) ?? { inARow: 0, opensAt: 0 };
    if (now < before.opensAt) return { kind: "too-soon", waitSeconds: Math.ceil((before.opensAt - now) / 1000) };
    if (!isSame(typed.replaceAll(/\D/g, ""), this.code)) return this.refuse(from, before.inARow + 1);
    const token = randomBytes(32).toString("base64url");
    this.wrongFrom.delete(from);
    this.code = newCode();
    const at = new Date(now).toISOString();
    const id = randomBytes(8).toString("hex");
    const device = {
      id,
      digest: digestOf(token),
      name: plainName(name) || `Device ${this.devices.length + 1}`,
      pairedAt: at,
      lastUsedAt: at,
    };
    this.change([...this.devices, device].slice(-MOST_DEVICES));
    return { kind: "paired", token };
  }

  /** The device of a token, noted as used; `undefined` when it was never paired, was revoked or not used for too long. */
  deviceOf(token: string | undefined): Device | undefined {
    if (token === undefined) return undefined;
    const digest = digestOf(token);
    const device = this.devices.find((each) => each.digest === digest);
    if (device === undefined) return undefined;
    const now = this.now();
    const unused = now - Date.parse(device.lastUsedAt);
    if (unused > DAYS_WITHOUT_USE * DAY_MILLISECONDS) {
      this.revoke(device.id);
      return undefined;
    }
    if (unused <= USE_NOTED_MILLISECONDS) return device;
    const used = { ...device, lastUsedAt: new Date(now).toISOString() };
    this.change(this.devices.map((each) => (each === device ? used : each)));
    return used;
  }

  /** Ends a device's access. Returns whether there was one. */
  revoke(id: string): boolean {
    const left = this.devices.filter((device) => device.id !== id);
    if (left.length === this.devices.length) return false;
    this.change(left);
    return true;
  }

  revokeAll(): void {
    this.change([]);
  }

  state(): PairingState {
    return { code: this.code, wrong: this.wrong, lastWrong: this.lastWrong, devices: this.devices };
  }

  private change(devices: readonly Device[]): void {
    this.devices = devices;
    this.remember(devices);
  }

  private refuse(from: string, inARow: number): Tried {
    this.wrong += 1;
    const now = this.now();
    this.lastWrong = { at: new Date(now).toISOString(), from };
    const pause = Math.min(LONGEST_PAUSE_MILLISECONDS, FIRST_PAUSE_MILLISECONDS * 2 ** (inARow - 1));
    this.wrongFrom.delete(from);
    this.wrongFrom.set(from, { inARow, opensAt: now + pause });
    for (const oldest of this.wrongFrom.keys()) {
      if (this.wrongFrom.size <= MOST_ADDRESSES) break;
      this.wrongFrom.delete(oldest);
    }
    return { kind: "wrong", waitSeconds: Math.ceil(pause / 1000) };
  }
}

/** Remembered devices as they were written down; anything else is no device. */
export function devicesOf(written: unknown): readonly Device[] {
  if (!Array.isArray(written)) return [];
  return written.filter(
    (each: unknown): each is Device =>
      typeof each === "object" &&
      each !== null &&
      ["id", "digest", "name", "pairedAt", "lastUsedAt"].every((key) => typeof (each as Record<string, unknown>)[key] === "string"),
  );
}

/** A name without anything that does not show. */
function plainName(name: string): string {
  return name
    .replaceAll(/[^\p{L}\p{N}\p{P}\p{S} ]/gu, "")
    .trim()
    .slice(0, LONGEST_NAME);
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
