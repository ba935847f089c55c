import { useSheet } from "../SheetState";
import { ActiveReading } from "./ActiveReading";
import { Findings } from "./Findings";

/** What the core reads from the typed lines. */
export function ReadingsPart() {
  const { readings } = useSheet();
  return (
    <>
      <ActiveReading assessment={readings.assessment} profile={readings.profile} />
      <Findings findings={readings.findings} notJudged={readings.notJudged} />
    </>
  );
}
