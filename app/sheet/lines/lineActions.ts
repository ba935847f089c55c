import type { TypedLine, TypedLineLot } from "../typed/typedSheet";

/** What a row can ask of its sheet. The functions never change, so rows need not draw again for them. */
export interface LineActions {
  typePercent(lineId: string, text: string): void;
  typeAssay(lineId: string, text: string): void;
  /** From which lots the line is weighed. */
  takeLots(lineId: string, lots: readonly TypedLineLot[]): void;
  takeTheRest(lineId: string): void;
  remove(lineId: string): void;
  step(lineId: string, by: -1 | 1): void;
  sendToPhase(lineId: string, phase: string): void;
  toggleDetail(lineId: string): void;
  /** Puts the caret into a line's percent cell once it stands in its place. */
  focus(lineId: string): void;
  /** The maker's hand is on this line. */
  enter(line: TypedLine): void;
}
