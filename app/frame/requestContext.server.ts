import { createContext } from "react-router";
import type { AppState } from "../../db/workplace.server";

/** Why the server does not let a request through to its route. */
export interface RefusedBefore {
  readonly status: number;
  readonly message: string;
  readonly remedy: string;
}

/** Set by the server when the page shall answer with a refusal instead of doing anything. */
export const refusedBefore = createContext<RefusedBefore | null>(null);

/** A device of the local network that was paired. */
export interface PairedDevice {
  readonly id: string;
  readonly name: string;
  /** ISO moments. */
  readonly pairedAt: string;
  readonly lastUsedAt: string;
}

/** How devices of the local network get in. */
export interface PairingDesk {
  readonly code: string;
  /** To be typed on the device. */
  readonly addresses: readonly string[];
  /** Codes that were wrong since the start, and the last of them. */
  readonly wrong: number;
  readonly lastWrong: { readonly at: string; readonly from: string } | null;
  readonly devices: readonly PairedDevice[];
  /** Ends a device's access; it must be paired again. Returns whether there was one. */
  revoke(id: string): boolean;
  revokeAll(): void;
}

/** Given only to this machine itself, and only while devices of the local network are let in. */
export const pairingDesk = createContext<PairingDesk | null>(null);

/** Where a request comes from. */
export interface RequestOrigin {
  /** What the server keeps between requests. */
  readonly state: AppState;
  /** This machine, or a paired device's id. */
  readonly place: string;
  /** The time zone the browser told, if it did. */
  readonly zone: string | undefined;
}

export const requestOrigin = createContext<RequestOrigin>();
