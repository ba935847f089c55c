import { create } from "qrcode";

/** Squares that stay white round a code, so that a camera finds it. */
const QUIET = 4;

/** The squares of a code that a camera reads, row by row, with the white round it. */
export function qrModules(text: string): readonly (readonly boolean[])[] {
  const { size, data } = create(text, { errorCorrectionLevel: "M" }).modules;
  const isDark = (x: number, y: number): boolean => x >= 0 && y >= 0 && x < size && y < size && data[y * size + x] === 1;
  const side = Array.from({ length: size + 2 * QUIET }, (_, at) => at - QUIET);
  return side.map((y) => side.map((x) => isDark(x, y)));
}
