import type { Moved } from "../../pictures/LabelSheet/LabelSheet";
import type { LabelBox, LabelDesign, LabelField } from "@tensidrum/core/packaging";

/** A box keeps at least this side, mm. */
const LEAST_SIDE_MM = 2;

/** One box changed; the others stay. */
export function withBox(design: LabelDesign, id: string, changes: Partial<LabelBox>): LabelDesign {
  return { ...design, boxes: design.boxes.map((box) => (box.id === id ? { ...box, ...changes } : box)) };
}

/** A box moved, or made larger or smaller at its lower right corner; it stays on the label. */
export function withBoxMoved(design: LabelDesign, { id, isSize, x, y }: Moved): LabelDesign {
  const box = design.boxes.find((one) => one.id === id);
  if (box === undefined) return design;
  const within = (value: number, least: number, most: number): number => tenth(Math.min(Math.max(value, least), Math.max(least, most)));
  if (isSize) {
    return withBox(design, id, {
      width: within(box.width + x, LEAST_SIDE_MM, design.widthMm - box.x),
      height: within(box.height + y, LEAST_SIDE_MM, design.heightMm - box.y),
    });
  }
  return withBox(design, id, {
    x: within(box.x + x, 0, design.widthMm - box.width),
    y: within(box.y + y, 0, design.heightMm - box.height),
  });
}

/** The label with nothing on it but one box, to lay that one out alone. */
export function boxAlone(design: LabelDesign, id: string): LabelDesign {
  return { ...design, boxes: design.boxes.filter((box) => box.id === id) };
}

/** Another field in the upper left corner; a second one of a field gets a name of its own. */
export function withField(design: LabelDesign, field: LabelField, leastPoints: number): LabelDesign {
  const taken = new Set(design.boxes.map(({ id }) => id));
  let id: string = field;
  for (let count = 2; taken.has(id); count += 1) id = `${field}-${count}`;
  const side = field === "qr" ? Math.min(12, design.heightMm / 2) : 0;
  const box: LabelBox = {
    ...{ id, field, x: 2, y: 2, points: Math.max(8, leastPoints), leastPoints, align: "left", isBold: false, text: "" },
    width: side > 0 ? side : Math.min(40, design.widthMm - 4),
    height: side > 0 ? side : Math.min(10, design.heightMm - 4),
  };
  return { ...design, boxes: [...design.boxes, box] };
}

export function withoutBox(design: LabelDesign, id: string): LabelDesign {
  return { ...design, boxes: design.boxes.filter((box) => box.id !== id) };
}

function tenth(mm: number): number {
  return Math.round(mm * 10) / 10;
}
