import { BalancePart } from "../balance/BalancePart";
import { useAssessment, useJudged } from "../JudgedSheet";
import { useSheet } from "../SheetState";
import { ActiveReading } from "./ActiveReading";
import { BalanceReading } from "./BalanceReading";
import { Findings } from "./Findings";

/** What the core reads from the typed lines. */
export function ReadingsPart() {
  const { readings, sheet, isDraft } = useSheet();
  const { findings, notJudged } = useJudged();
  const assessment = useAssessment();
  return (
    <>
      <ActiveReading sums={readings.sums} profile={readings.profile} />
      <BalanceReading assessment={assessment}>
        <BalancePart />
      </BalanceReading>
      <Findings formulaId={sheet.formulaId} isDraft={isDraft} findings={findings} notJudged={notJudged} answers={sheet.answers} />
    </>
  );
}
