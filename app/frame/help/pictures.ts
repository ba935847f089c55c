import benchStep from "../../../docs/screenshots/bench-step.png";
import label from "../../../docs/screenshots/label.png";
import sheet from "../../../docs/screenshots/sheet.png";
import thickness from "../../../docs/screenshots/thickness.png";
import today from "../../../docs/screenshots/today.png";
import triangle from "../../../docs/screenshots/triangle.png";
import tuning from "../../../docs/screenshots/tuning.png";
import watch from "../../../docs/screenshots/watch.png";

/** The real screens, as they stand in the documents. */
export const pictures: Readonly<Record<string, string>> = {
  "bench-step": benchStep,
  label,
  sheet,
  thickness,
  today,
  triangle,
  tuning,
  watch,
};
