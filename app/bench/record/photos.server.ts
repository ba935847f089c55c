import type { FieldProblem } from "../../frame/formAnswer";
import { choice, file, group, text, type TypedOf } from "../../frame/fields.server";
import { Refusal } from "@tensidrum/core/quantities";
import sharp from "sharp";
import { takePhoto } from "../queue/takeEntries.server";

const MOST_BYTES = 5 * 1024 * 1024;
/** A file of that size beside the other fields of its form. */
const MOST_SENT_BYTES = MOST_BYTES + 64 * 1024;
const LONGEST_SIDE = 2_000;
const MOST_PIXELS = 60_000_000;
const JPEG_QUALITY = 82;

/** A photo as a page sends it, and the step it belongs to. */
export const photoForm = group({ intent: choice(["photo"], "photo"), photo: file(), step: text(80) });

/** What is wrong with a photo that is larger than is taken, before it is read. */
export function tooLargeToRead(request: Request): readonly FieldProblem[] {
  const isTooLarge = Number(request.headers.get("Content-Length") ?? 0) > MOST_SENT_BYTES;
  return isTooLarge ? [{ field: "photo", message: `${tooLarge().message} ${tooLarge().remedy}` }] : [];
}

function tooLarge(): Refusal {
  return new Refusal("not-valid", "The photo is larger than 5 MB.", "Take it smaller, or cut it.");
}

/**
 * A picture drawn anew as a JPEG, upright and no larger than it is looked at: nothing the camera wrote into it is kept.
 * @throws Refusal when it is neither a JPEG nor a PNG, whatever its name says.
 */
export async function drawnAnew(bytes: Uint8Array): Promise<{ readonly picture: Buffer; readonly width: number; readonly height: number }> {
  try {
    const image = sharp(bytes, { limitInputPixels: MOST_PIXELS });
    const { format } = await image.metadata();
    if (format !== "jpeg" && format !== "png") throw new Error(`a ${format ?? "file"} is not taken`);
    const { data, info } = await image
      .rotate()
      .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: "inside", withoutEnlargement: true })
      .flatten({ background: "#ffffff" })
      .jpeg({ quality: JPEG_QUALITY })
      .toBuffer({ resolveWithObject: true });
    return { picture: data, width: info.width, height: info.height };
  } catch {
    throw new Refusal("not-valid", "This is not a photo that can be read.", "Choose a JPEG or PNG.");
  }
}

/**
 * Keeps a photo in the record.
 * @throws Refusal when there is none, it is too large, or it is no photo
 */
export async function keepPhoto(batchId: string, { photo: sent, step }: TypedOf<typeof photoForm>): Promise<void> {
  if (sent === undefined) throw new Refusal("not-valid", "There is no photo in it.", "Choose a JPEG or PNG.");
  if (sent.size > MOST_BYTES) throw tooLarge();
  const [id, photo] = [crypto.randomUUID(), crypto.randomUUID()];
  const entry = { id, at: new Date().toISOString(), kind: "photographed", step: step === "" ? null : step, photo } as const;
  await takePhoto(batchId, { id: photo, ...(await drawnAnew(new Uint8Array(await sent.arrayBuffer()))) }, entry);
}
