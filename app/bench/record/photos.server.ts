import { Refusal } from "@tensidrum/core/quantities";
import { choice, file, group, text, type TypedOf } from "../../frame/fields.server";
import { drawnAnew } from "../../frame/photo.server";
import { takePhoto } from "../queue/takeEntries.server";

/** A photo as a page sends it, and the step it belongs to. */
export const photoForm = group({ intent: choice(["photo"], "photo"), photo: file(), step: text(80) });

/**
 * Keeps a photo in the record.
 * @throws Refusal when there is none, it is too large, or it is no photo
 */
export async function keepPhoto(batchId: string, { photo: sent, step }: TypedOf<typeof photoForm>): Promise<void> {
  if (sent === undefined) throw new Refusal("not-valid", "There is no photo in it.", "Choose a JPEG or PNG.");
  const [id, photo] = [crypto.randomUUID(), crypto.randomUUID()];
  const entry = { id, at: new Date().toISOString(), kind: "photographed", step: step === "" ? null : step, photo } as const;
  await takePhoto(batchId, { id: photo, ...(await drawnAnew(sent)) }, entry);
}
