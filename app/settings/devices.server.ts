import { Refusal } from "@tensidrum/core/quantities";
import Joi from "joi";
import { writtenDay, writtenMoment } from "../frame/dates.server";
import { group } from "../frame/fields.server";
import type { PairedDevice, PairingDesk } from "../frame/requestContext.server";

/** Devices as the settings show them. */
export type OpenDevices = readonly PairedDevice[];

/** The paired devices, the one used last first; null where this machine lets none in, or another one asks. */
export function openDevices(desk: PairingDesk | null): OpenDevices | null {
  if (desk === null) return null;
  return desk.devices
    .toSorted((a, b) => (a.lastUsedAt < b.lastUsedAt ? 1 : -1))
    .map(({ id, name, pairedAt, lastUsedAt }) => ({ id, name, pairedAt: writtenDay(pairedAt), lastUsedAt: writtenMoment(lastUsedAt) }));
}

/** Whose access is to end: one device or "all". */
export const deviceForm = group({
  device: Joi.string()
    .pattern(/^(?:all|[0-9a-f]{16})$/)
    .required(),
});

/** Ends the access of a device, or of all. */
export function revokeDevice(desk: PairingDesk | null, device: string): void {
  if (desk === null) {
    throw new Refusal("not-possible", "Only the machine that runs Tensidrum ends the access of devices.", "Open the settings there.");
  }
  if (device === "all") desk.revokeAll();
  else if (!desk.revoke(device)) throw new Refusal("not-found", "This device is not paired any more.", "Load the settings again.");
}
