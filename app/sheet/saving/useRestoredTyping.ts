import { useEffect, useRef } from "react";
import type { FoundMaterial } from "@tensidrum/core/search";
import type { MaterialStore } from "../../frame/materialStore";
import type { OpenSheet } from "../openSheet.server";
import type { SheetAnswer } from "../sheetAnswer";
import { isSameSheet } from "../typed/cells";
import { abandonedTyping, forgetKept, holdPage, type KeptByPage, keepTyping } from "./keptTyping";
import type { SheetSaver } from "./sheetSaver";

interface Restore {
  readonly saver: SheetSaver;
  readonly learn: (found: readonly FoundMaterial[], store: MaterialStore) => void;
}

/**
 * Puts typing back that an earlier visit could not save, merged with what was saved since. Text that reached the database
 * although nobody waited for the answer, or that says the same, is nothing to ask about.
 */
export function useRestoredTyping(sheet: OpenSheet, { saver, learn }: Restore): void {
  useEffect(() => {
    if (sheet.state !== "draft") return;
    holdPage();
    // Two pages may have gone with text of their own: the newest stands, the others are merged into it.
    void abandonedTyping(sheet.versionId).then((all) => all.forEach(takeUp));

    const takeUp = ({ key, kept }: KeptByPage) => {
      const lastSave = kept.unanswered?.at(-1);
      const isStored = lastSave !== undefined && sheet.recentSaves.includes(lastSave);
      if (isStored || isSameSheet(kept.typed, sheet.typed)) {
        forgetKept(key);
        return;
      }
      const putBack = () => {
        // From here on this page keeps it.
        keepTyping(sheet.versionId, kept);
        forgetKept(key);
        saver.restore(kept);
      };
      const known = new Set(sheet.materials.map(({ id }) => id));
      const unknown = new Set(kept.typed.lines.map((line) => line.materialId).filter((id) => !known.has(id)));
      if (unknown.size === 0) {
        putBack();
        return;
      }
      void import("../../frame/materialStore")
        .then(({ loadMaterialStore }) => loadMaterialStore())
        .then((store) =>
          learn(
            store.all.filter(({ id }) => unknown.has(id)),
            store,
          ),
        )
        .finally(putBack);
    };
    // Only when the sheet is opened: typing that comes later is the newer one.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
}

/**
 * A button's save that came too late brings in what the other window saved, like a late autosave. A page that came back
 * from a form sent without scripts has its text only: what it began from is not known any more.
 */
export function useStaleAnswer(answer: SheetAnswer | undefined, saver: SheetSaver): void {
  const isFirst = useRef(true);
  useEffect(() => {
    if (answer?.kind === "stale") saver.meet(answer, isFirst.current ? null : undefined);
    isFirst.current = false;
  }, [answer, saver]);
}
