import type { Response } from "express";

/** Why a request is not passed on, in words: the fact, then what to do. */
export interface EarlyRefusal {
  readonly status: number;
  readonly message: string;
  readonly remedy: string;
}

const BUSY = { status: 503, message: "Tensidrum is busy just now." } as const;
export const busyReading: EarlyRefusal = { ...BUSY, remedy: "This page tries again every 2 seconds." };
export const busySending: EarlyRefusal = { ...BUSY, remedy: "Nothing was stored. Go back and send it again in a moment." };

/** Answers a refusal as plain text, for what no page of ours asks for. */
export function sendRefusal(response: Response, { status, message, remedy }: EarlyRefusal): void {
  // What is still on its way is not read.
  response.set({ "Cache-Control": "no-store", Connection: "close" }).status(status).type("text/plain").send(`${message} ${remedy}\n`);
}
