import type { LabelBox, LabelDesign, LabelField } from "./labelDesign.ts";
import { leastPointsOf } from "./leastSizes.ts";

/** Kinds of labels to begin from. */
export const labelTemplates = ["wrap", "front", "back", "lid", "small", "stock"] as const;

export type LabelTemplate = (typeof labelTemplates)[number];

const EDGE_MM = 2;
const USUAL = { openMonths: null, market: "eu", netIn: "mass", isShared: false } as const;

/** What the last lines of the back share of its height; the code to scan stands beside them. */
const FOOT = 0.22;

interface Look extends Partial<Pick<LabelBox, "points" | "align" | "isBold">> {
  /** It leaves room for the code. */
  readonly isFoot?: true;
}

type Part = readonly [field: LabelField, share: number, look?: Look];

const FRONT: readonly Part[] = [
  ["name", 0.34, { points: 18, align: "centre", isBold: true }],
  ["what", 0.14, { points: 10, align: "centre" }],
  ["directions", 0.22, { points: 7, align: "centre" }],
  ["net", 0.3, { points: 12, align: "centre", isBold: true }],
];
const BACK: readonly Part[] = [
  ["cautions", 0.38, { points: 6 }],
  ["ingredients", 0.4, { points: 6 }],
  ["batch", FOOT / 3, { points: 6, isFoot: true }],
  ["best-before", FOOT / 3, { points: 6, isFoot: true }],
  ["made-in", FOOT / 3, { points: 6, isFoot: true }],
];
const SMALL: readonly Part[] = [
  ["name", 0.36, { points: 11, align: "centre", isBold: true }],
  ["net", 0.34, { points: 9, align: "centre" }],
  ["batch", 0.15, { points: 6, align: "centre" }],
  ["best-before", 0.15, { points: 6, align: "centre" }],
];
/** A bottle of the bench: what it is, what to mind, and until when. */
const STOCK: readonly Part[] = [
  ["name", 0.3, { points: 14, isBold: true }],
  ["cautions", 0.4, { points: 7 }],
  ["batch", 0.1, { points: 7 }],
  ["best-before", 0.1, { points: 7 }],
  ["contact", 0.1, { points: 7 }],
];
const LID: readonly Part[] = [
  ["name", 0.6, { points: 16, align: "centre", isBold: true }],
  ["what", 0.4, { points: 9, align: "centre" }],
];

/** A label to begin with: the fields of a template in columns, from the top, each with its share of the height. */
export function labelFromTemplate(
  template: LabelTemplate,
  { widthMm, heightMm, netGrams }: { readonly widthMm: number; readonly heightMm: number; readonly netGrams: number },
): LabelDesign {
  const whole = widthMm - 2 * EDGE_MM;
  const half = (whole - 2 * EDGE_MM) / 2;
  const column = (parts: readonly Part[], x: number, width: number) => columnOf(parts, { x, width, heightMm, netGrams });
  const qrMm = qrSide(heightMm);
  const code = qrBox(widthMm - EDGE_MM - qrMm, heightMm - EDGE_MM - qrMm, qrMm);
  const boxes =
    template === "wrap"
      ? [...column(FRONT, EDGE_MM, half), ...column(BACK, EDGE_MM + half + 2 * EDGE_MM, half), code]
      : [
          ...column({ front: FRONT, back: BACK, lid: LID, small: SMALL, stock: STOCK }[template], EDGE_MM, whole),
          ...(template === "back" ? [code] : []),
        ];
  return { format: "tensidrum-label/1", name: "", widthMm, heightMm, naming: "inci", months: 12, ...USUAL, boxes };
}

function columnOf(
  parts: readonly Part[],
  { x, width, heightMm, netGrams }: { readonly x: number; readonly width: number; readonly heightMm: number; readonly netGrams: number },
): readonly LabelBox[] {
  const room = heightMm - 2 * EDGE_MM;
  let y = EDGE_MM;
  return parts.map(([field, share, { points = 8, align = "left" as const, isBold = false, isFoot } = {}]) => {
    const height = share * room;
    const narrower = isFoot === true ? qrSide(heightMm) + 1 : 0;
    const leastPoints = leastPointsOf(field, netGrams);
    const box: LabelBox = {
      id: field,
      field,
      x,
      y,
      width: width - narrower,
      height,
      points: Math.max(points, leastPoints),
      leastPoints,
      align,
      isBold,
      text: "",
    };
    y += height;
    return rounded(box);
  });
}

/** As high as the last lines, and not larger than a camera needs. */
function qrSide(heightMm: number): number {
  return Math.min(16, FOOT * (heightMm - 2 * EDGE_MM));
}

function qrBox(x: number, y: number, size: number): LabelBox {
  return rounded({
    ...{ id: "qr", field: "qr", x, y, width: size, height: size, points: 8, leastPoints: 8 },
    ...{ align: "left", isBold: false, text: "" },
  });
}

/** To a tenth of a mm, as the fields show it; downwards, so that no box leaves the label. */
function rounded(box: LabelBox): LabelBox {
  const tenth = (mm: number): number => Math.floor(mm * 10 + 1e-6) / 10;
  return { ...box, x: tenth(box.x), y: tenth(box.y), width: tenth(box.width), height: tenth(box.height) };
}
