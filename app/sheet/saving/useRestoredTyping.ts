import { useEffect } from "react";
import type { FoundMaterial } from "@tensidrum/core/search";
import type { MaterialStore } from "../../frame/materialStore";
import type { OpenSheet } from "../openSheet.server";
import type { SheetAnswer } from "../sheetAnswer";
import type { TypedSheet } from "../typed/typedSheet";
import { forgetTyping, keptTyping } from "./keptTyping";
import type { Autosave } from "./useAutosave";

interface Restore {
  readonly replace: (typed: TypedSheet) => void;
  readonly announceStale: Autosave["announceStale"];
  readonly learn: (found: readonly FoundMaterial[], store: MaterialStore) => void;
}

const OVERTAKEN = "Typing from an earlier visit was not saved, and the draft has changed since.";

/** Puts typing back that an earlier visit could not save. If the draft has moved on since, the maker chooses. */
export function useRestoredTyping(sheet: OpenSheet, { replace, announceStale, learn }: Restore): void {
  useEffect(() => {
    if (sheet.state !== "draft") return;
    const kept = keptTyping(sheet.versionId);
    if (kept === null) return;
    if (JSON.stringify(kept.typed) === JSON.stringify(sheet.typed)) {
      forgetTyping(sheet.versionId);
      return;
    }
    const known = new Set(sheet.materials.map(({ id }) => id));
    const unknown = new Set(kept.typed.lines.map((line) => line.materialId).filter((id) => !known.has(id)));
    const putBack = () => {
      replace(kept.typed);
      if (kept.revision !== sheet.revision) announceStale(OVERTAKEN, sheet.typed, sheet.revision);
    };
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
    // Only when the sheet is opened: typing that comes later is the newer one.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
}

/** A button's save that came too late is told like a late autosave. */
export function useStaleAnswer(answer: SheetAnswer | undefined, announceStale: Autosave["announceStale"]): void {
  useEffect(() => {
    if (answer?.kind === "stale") announceStale(answer.message, answer.theirs, answer.revision);
  }, [answer, announceStale]);
}
