import { useAssessment } from "../JudgedSheet";
import { useSheet } from "../SheetState";
import { MoreReadings } from "./MoreReadings";

/** pH, keeping and body of what is typed. */
export function MorePart() {
  const { known, readings } = useSheet();
  return <MoreReadings assessment={useAssessment()} formula={readings.formula} materials={known.materials.bySlug} />;
}
