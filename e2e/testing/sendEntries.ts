import type { BatchEntry } from "@tensidrum/core/process";
import type { APIRequestContext, APIResponse } from "@playwright/test";

/** Sends entries as a page of this origin does; anything else the server refuses. */
export async function sendEntries(
  request: APIRequestContext,
  address: string,
  batch: string,
  entries: readonly BatchEntry[],
): Promise<APIResponse> {
  return request.post(`${address}${batch}/entries`, { headers: { Origin: address }, data: { behind: 0, entries } });
}
