import { UnstyledButton } from "@mantine/core";
import { lazy, Suspense, useMemo, useState } from "react";
import { Link } from "react-router";
import type { Ghost } from "../../pictures/Triangle/Triangle";
import classes from "../Sheet.module.css";
import { FixPart } from "./FixPart";
import { useSheet } from "../SheetState";
import { withPercent } from "../typed/editing";

const BlendDialog = lazy(() => import("./BlendDialog"));

/** The door to the blend triangle; the triangle itself is loaded when it is opened. */
export function BlendPart() {
  const { sheet, readings, known, editor, isDraft } = useSheet();
  const [isOpen, setOpen] = useState(false);
  const ghosts = useMemo(
    () =>
      sheet.versions
        .filter(({ number }) => number !== sheet.number)
        .flatMap(({ number, byCharge }): Ghost[] => {
          const { anionic, amphoteric, nonionic } = byCharge;
          return anionic + amphoteric + nonionic > 0 ? [{ label: `v${number}`, shares: { anionic, amphoteric, nonionic } }] : [];
        })
        .reverse(),
    [sheet.versions, sheet.number],
  );
  return (
    <>
      <div className={classes.scripted}>
        <UnstyledButton
          type="button"
          className={classes.door}
          onClick={() => setOpen(true)}
          data-act="Adjust the surfactant blend"
          data-key="t"
        >
          Adjust the blend
        </UnstyledButton>
        <Link className={classes.door} to={`/designer/${sheet.formulaId}/${sheet.number}`} data-act="Find a blend by wishes">
          Find a blend
        </Link>
        {isDraft && <FixPart />}
      </div>
      {isOpen && (
        <Suspense fallback={null}>
          <BlendDialog
            formula={readings.formula}
            materials={known.materials.bySlug}
            ghosts={ghosts}
            isDraft={isDraft}
            onClose={() => setOpen(false)}
            onKeep={(percents) => {
              editor.fixWith((typed) => percents.reduce((changed, { line, percent }) => withPercent(changed, line, percent), typed));
              setOpen(false);
            }}
          />
        </Suspense>
      )}
    </>
  );
}
