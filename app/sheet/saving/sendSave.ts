import type { SheetAnswer } from "../sheetAnswer";
import { sheetFormData } from "../sheetFormData";
import type { Sent } from "./saverState";

/** No answer within this time is a failed try, and the next one follows. */
const PATIENCE_MILLISECONDS = 8_000;

/** The fields of a save, as the form sends them. */
export function saveBody(versionId: string, { typed, revision, saveId, unanswered }: Sent): URLSearchParams {
  const body = new URLSearchParams();
  for (const [name, value] of sheetFormData(typed, { versionId, revision }, "save")) body.append(name, String(value));
  body.set("saveId", saveId);
  for (const id of unanswered) body.append("unanswered", id);
  return body;
}

/** Sends a save. Rejects when no answer comes; everything the server says becomes an answer. */
export async function sendSave(formulaId: string, versionId: string, sent: Sent): Promise<SheetAnswer> {
  const response = await fetch(`/sheet/${formulaId}/save`, {
    method: "POST",
    body: saveBody(versionId, sent),
    signal: AbortSignal.timeout(PATIENCE_MILLISECONDS),
  });
  const told: unknown = await response.json().catch(() => null);
  return answerOf(response.status, told);
}

/** What an answer means for the sheet; a fault of the server may pass, so it is tried again. */
export function answerOf(status: number, told: unknown): SheetAnswer {
  const { kind, message, remedy } = (told ?? {}) as { readonly kind?: string; readonly message?: string; readonly remedy?: string };
  if (kind === "saved" || kind === "problems" || kind === "stale") return told as SheetAnswer;
  if (status === 507) return { kind: "away", why: "disk" };
  if (status === 503) return { kind: "away", why: message === undefined ? "database" : "busy" };
  if (status === 401) {
    return {
      kind: "refused",
      message: "This device is not paired any more.",
      remedy: "Pair it again; what you typed is kept in this browser.",
    };
  }
  if (status === 404 || status === 409 || status === 413 || status === 422 || status === 403) {
    return {
      kind: "refused",
      message: message ?? "This could not be saved.",
      remedy: remedy ?? "Load the page again and repeat the change.",
    };
  }
  return { kind: "away", why: "server" };
}
