import type { Material } from "@tensidrum/core/library";
import { writtenShort } from "@tensidrum/core/quantities";
import { useEffect, useState } from "react";
import type { TypedLine } from "../typed/typedSheet";
import type { LineActions } from "./lineActions";
import classes from "./LineDetail.module.css";
import { shownInci } from "@tensidrum/core/library";

interface LineDetailProps {
  readonly line: TypedLine;
  readonly material: Material;
  readonly isRest: boolean;
  readonly isDraft: boolean;
  readonly problem: string | undefined;
  readonly phaseLetters: string;
  readonly actions: LineActions;
}

/** What opens under a line: its strength by the certificate, its phase, and what to know about the material. */
export function LineDetail({ line, material, isDraft, problem, phaseLetters, actions }: LineDetailProps) {
  const { active } = material;
  const prose = useProse(line.materialId);
  const bringsActives = material.countsAsActive === true || material.parts !== undefined;
  return (
    <tr className={classes.detail}>
      <td colSpan={2} />
      <td colSpan={6}>
        <div className={classes.facts}>
          <p className={classes.inci}>
            <strong>{material.name}</strong>
            <br />
            {material.parts === undefined ? shownInci(material) : "a blend, computed from its parts"}
          </p>
          {bringsActives && (
            <label className={classes.field}>
              strength on the certificate
              <input
                value={line.assay}
                inputMode="decimal"
                readOnly={!isDraft}
                aria-invalid={problem !== undefined || undefined}
                onChange={(event) => actions.typeAssay(line.id, event.currentTarget.value)}
              />
              %
              {active !== null && (
                <span className={classes.typical}>
                  typical {writtenShort(active.typical, 2)}, {writtenShort(active.low, 2)} to {writtenShort(active.high, 2)}
                </span>
              )}
            </label>
          )}
          {problem !== undefined && <p className={classes.problem}>{problem}</p>}
          <label className={classes.field}>
            phase
            <select
              aria-label="Phase of this line"
              value={line.phase}
              disabled={!isDraft}
              onChange={(event) => actions.sendToPhase(line.id, event.currentTarget.value)}
            >
              {[...phaseLetters].map((letter) => (
                <option key={letter}>{letter}</option>
              ))}
            </select>
            <span className={classes.typical}>
              usual dose {writtenShort(material.use.low, 4)} to {writtenShort(material.use.high, 4)} %
            </span>
          </label>
          {prose === null ? (
            <p>Reading what to know about it …</p>
          ) : (
            <>
              <p>{prose.handling}</p>
              {prose.caution !== null && <p className={classes.caution}>{prose.caution}</p>}
            </>
          )}
        </div>
      </td>
    </tr>
  );
}

/** Handling and caution of a material; they come with the library, not with every sheet. */
function useProse(materialId: string): Pick<Material, "handling" | "caution"> | null {
  const [prose, setProse] = useState<Pick<Material, "handling" | "caution"> | null>(null);
  useEffect(() => {
    let isGone = false;
    void import("./materialStore")
      .then(({ loadMaterialStore }) => loadMaterialStore())
      .then(({ all }) => all.find(({ id }) => id === materialId)?.facts)
      .catch(() => ({ handling: "What to know about it could not be read just now.", caution: null }))
      .then((found) => {
        if (!isGone) setProse(found ?? { handling: "", caution: null });
      });
    return () => {
      isGone = true;
    };
  }, [materialId]);
  return prose;
}
