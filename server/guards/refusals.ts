import type { Request, Response } from "express";

/** Why a request is not passed on, in words: the fact, then what to do. */
export interface EarlyRefusal {
  readonly status: number;
  readonly message: string;
  readonly remedy: string;
}

/** Answers a refusal as plain text, for what no page of ours asks for. */
export function sendRefusal(_request: Request, response: Response, { status, message, remedy }: EarlyRefusal): void {
  // What is still on its way is not read.
  response.set({ "Cache-Control": "no-store", Connection: "close" }).status(status).type("text/plain").send(`${message} ${remedy}\n`);
}
