import { useJudged } from "../JudgedSheet";
import { useSheet } from "../SheetState";
import { ActiveReading } from "./ActiveReading";
import { Findings } from "./Findings";

/** What the core reads from the typed lines. */
export function ReadingsPart() {
  const { readings } = useSheet();
  const { findings, notJudged } = useJudged();
  return (
    <>
      <ActiveReading sums={readings.sums} profile={readings.profile} />
      <Findings findings={findings} notJudged={notJudged} />
    </>
  );
}
