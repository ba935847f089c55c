import { UnstyledButton } from "@mantine/core";
import { lazy, memo, Suspense, useMemo, useState } from "react";
import { Link } from "react-router";
import type { Ghost } from "../../pictures/Triangle/Triangle";
import classes from "../Sheet.module.css";
import { FixPart } from "./FixPart";
import { useSheet } from "../SheetState";
import { withPercent } from "../typed/editing";

const BlendDialog = lazy(() => import("./BlendDialog"));

/** The doors to the blend triangle and to the search; each is loaded when it is opened. */
export const BlendPart = memo(function BlendPart({ to, isDraft }: { readonly to: string; readonly isDraft: boolean }) {
  const [isOpen, setOpen] = useState(false);
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
        <Link className={classes.door} to={to} data-act="Find a blend by wishes">
          Find a blend
        </Link>
        {isDraft && <FixPart />}
      </div>
      {isOpen && <OpenBlend onClose={() => setOpen(false)} />}
    </>
  );
});

function OpenBlend({ onClose }: { readonly onClose: () => void }) {
  const { sheet, readings, known, editor, isDraft } = useSheet();
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
    <Suspense fallback={null}>
      <BlendDialog
        formula={readings.formula}
        materials={known.materials.bySlug}
        ghosts={ghosts}
        isDraft={isDraft}
        onClose={onClose}
        onKeep={(percents) => {
          editor.fixWith((typed) => percents.reduce((changed, { line, percent }) => withPercent(changed, line, percent), typed));
          onClose();
        }}
      />
    </Suspense>
  );
}
