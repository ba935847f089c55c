import { AimLine } from "./AimLine";
import classes from "./AimLine.module.css";
import { useJudged } from "./JudgedSheet";
import { useSheet } from "./SheetState";

/** The aim above the lines, and what changing it did. */
export function AimPart() {
  const { editor, isDraft } = useSheet();
  return (
    <>
      <AimLine aim={editor.typed.aim} isDraft={isDraft} onChange={editor.aim} />
      <AimEffect />
    </>
  );
}

function AimEffect() {
  const { aimEffect } = useJudged();
  return (
    <div role="status">
      {aimEffect !== null && (
        <p className={classes.effect}>
          <strong>The new aim</strong> {effectWords(aimEffect)}
        </p>
      )}
    </div>
  );
}

function effectWords({ come, gone }: { readonly come: readonly string[]; readonly gone: readonly string[] }): string {
  if (come.length + gone.length === 0) return "changes no finding.";
  const parts = [...(come.length > 0 ? [`adds: ${come.join(" ")}`] : []), ...(gone.length > 0 ? [`removes: ${gone.join(" ")}`] : [])];
  return parts.join(" It ");
}
