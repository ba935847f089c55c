import { formOf } from "../../frame/readForm.server";
import { Refusal } from "@tensidrum/core/quantities";
import sharp from "sharp";
import { takePhoto } from "../queue/takeEntries.server";

const MOST_BYTES = 5 * 1024 * 1024;
/** A file of that size beside the other fields of its form. */
const MOST_SENT_BYTES = MOST_BYTES + 64 * 1024;
const LONGEST_SIDE = 2_000;
const MOST_PIXELS = 60_000_000;
const JPEG_QUALITY = 82;

export interface PhotoSent {
  readonly step: string | null;
  readonly bytes: Uint8Array;
}

/**
 * Reads the form with a photo.
 * @throws Refusal when it is too large or there is none.
 */
export async function readPhotoForm(request: Request): Promise<PhotoSent> {
  if (Number(request.headers.get("Content-Length") ?? 0) > MOST_SENT_BYTES) throw tooLarge();
  const form = await formOf(request);
  const photo = form.get("photo");
  if (!(photo instanceof File) || photo.size === 0) throw new Refusal("not-valid", "There is no photo in it.", "Choose a JPEG or PNG.");
  if (photo.size > MOST_BYTES) throw tooLarge();
  const step = String(form.get("step") ?? "").slice(0, 80);
  return { step: step === "" ? null : step, bytes: new Uint8Array(await photo.arrayBuffer()) };
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

/** Keeps a photo in the record. Answers what is wrong with it, or nothing. */
export async function keepPhoto(batchId: string, request: Request): Promise<string | null> {
  try {
    const { step, bytes } = await readPhotoForm(request);
    const [id, photo] = [crypto.randomUUID(), crypto.randomUUID()];
    const entry = { id, at: new Date().toISOString(), kind: "photographed", step, photo } as const;
    await takePhoto(batchId, { id: photo, ...(await drawnAnew(bytes)) }, entry);
    return null;
  } catch (error) {
    if (error instanceof Refusal && error.kind === "not-valid") return `${error.message} ${error.remedy}`;
    throw error;
  }
}
