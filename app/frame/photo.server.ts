import { Refusal } from "@tensidrum/core/quantities";
import sharp from "sharp";
import type { FieldProblem } from "./formAnswer";

const MOST_BYTES = 5 * 1024 * 1024;
/** A file of that size beside the other fields of its form. */
const MOST_SENT_BYTES = MOST_BYTES + 64 * 1024;
const LONGEST_SIDE = 2_000;
const MOST_PIXELS = 60_000_000;
const JPEG_QUALITY = 82;

export interface DrawnPhoto {
  readonly picture: Buffer;
  readonly width: number;
  readonly height: number;
}

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
 * @throws Refusal when it is too large, or neither a JPEG nor a PNG, whatever its name says.
 */
export async function drawnAnew(sent: File): Promise<DrawnPhoto> {
  if (sent.size > MOST_BYTES) throw tooLarge();
  const bytes = new Uint8Array(await sent.arrayBuffer());
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

/** A kept photo as an answer. It never changes under its address. */
export function photoAnswer(picture: Buffer): Response {
  return new Response(new Uint8Array(picture), {
    headers: { "Content-Type": "image/jpeg", "Cache-Control": "private, max-age=31536000, immutable" },
  });
}
