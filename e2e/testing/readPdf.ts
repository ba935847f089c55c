import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import jsQR from "jsqr";
import sharp from "sharp";

export interface PrintedWord {
  readonly text: string;
  /** Of its left side and its top, mm from the page's upper left corner. */
  readonly x: number;
  readonly y: number;
}

const MM_PER_POINT = 25.4 / 72;
const DOTS_PER_INCH = 300;

/** What stands in a PDF: its pages' words with their places, the fonts in it, and the first code a camera would read. */
export async function readPdf(pdf: Buffer) {
  const folder = mkdtempSync(join(tmpdir(), "tensidrum-pdf-"));
  try {
    const file = join(folder, "labels.pdf");
    writeFileSync(file, pdf);
    const xml = execFileSync("pdftotext", ["-bbox", file, "-"], { encoding: "utf8" });
    const words = [...xml.matchAll(/<word xMin="([\d.]+)" yMin="([\d.]+)"[^>]*>([^<]*)<\/word>/g)].map(
      ([, x = "0", y = "0", text = ""]): PrintedWord => ({ text, x: Number(x) * MM_PER_POINT, y: Number(y) * MM_PER_POINT }),
    );
    const fonts = execFileSync("pdffonts", [file], { encoding: "utf8" })
      .split("\n")
      .slice(2)
      .filter((line) => line.trim() !== "");
    execFileSync("pdftoppm", ["-png", "-r", String(DOTS_PER_INCH), "-f", "1", "-l", "1", "-singlefile", file, join(folder, "page")]);
    const { data, info } = await sharp(readFileSync(join(folder, "page.png")))
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const code = jsQR(new Uint8ClampedArray(data), info.width, info.height);
    return {
      pages: (xml.match(/<page /g) ?? []).length,
      words,
      areFontsEmbedded: fonts.length > 0 && fonts.every((line) => /\byes\s+(?:yes|no)\s+(?:yes|no)\s+\d+/.test(line)),
      code: code?.data ?? null,
    };
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
