import { useMemo } from "react";
import { BlendPart } from "../blend/BlendPart";
import { useJudged } from "../JudgedSheet";
import { useSheet } from "../SheetState";
import { useUnchanged } from "../useUnchanged";
import { ActiveReading } from "./ActiveReading";
import { BlendReading } from "./BlendReading";
import { Findings } from "./Findings";

/** What the core reads from the typed lines. */
export function ReadingsPart() {
  const { readings, sheet, isDraft, known } = useSheet();
  const { findings, notJudged } = useJudged();
  const { irritation, foam, micelles, saltPercent, addedSaltPercent, electrolytePercent, saltPeakPercent } = readings.shown;
  const shown = useUnchanged({ irritation, foam, micelles, saltPercent, addedSaltPercent, electrolytePercent, saltPeakPercent });
  const designer = `/designer/${sheet.formulaId}/${sheet.number}`;
  // Made anew only for another sheet, so that the reading round it draws again only for its own numbers.
  const blendDoor = useMemo(() => <BlendPart to={designer} isDraft={isDraft} />, [designer, isDraft]);
  return (
    <>
      <ActiveReading
        sums={readings.shown}
        profile={readings.profile}
        isUnknown={notJudged.some(({ lacks }) => lacks === "active-content")}
      />
      <BlendReading assessment={shown}>{blendDoor}</BlendReading>
      <Findings
        formulaId={sheet.formulaId}
        isDraft={isDraft}
        findings={findings}
        notJudged={notJudged}
        acknowledgements={sheet.acknowledgements}
        materials={known.materials.bySlug}
      />
    </>
  );
}
