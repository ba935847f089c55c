import { TextInput, NativeSelect } from "@mantine/core";
import type { Material, Role } from "@tensidrum/core/library";
import { writtenShort } from "@tensidrum/core/quantities";
import { useEffect, useState } from "react";
import type { TypedLine } from "../typed/typedSheet";
import { RememberedPart } from "./RememberedPart";
import { AsSolution } from "./AsSolution";
import { Exchange } from "./Exchange";
import type { LineActions } from "./lineActions";
import { LotsOfLine } from "./LotsOfLine";
import classes from "./LineDetail.module.css";
import { isNotChosen, shownInci } from "@tensidrum/core/library";
import { ChooseMaterial } from "./ChooseMaterial";

/** What moves thickness and look in ways no model foresees; earlier batches tell it. */
const REMEMBERED: ReadonlySet<Role> = new Set(["fragrance", "botanical", "colour", "thickener", "solubiliser"]);

interface LineDetailProps {
  readonly line: TypedLine;
  readonly material: Material;
  readonly isDraft: boolean;
  readonly problem: string | undefined;
  readonly phaseLetters: string;
  readonly actions: LineActions;
}

/** What opens under a line: its strength by the certificate, its phase, and what to know about the material. */
export function LineDetail({ line, material, isDraft, problem, phaseLetters, actions }: LineDetailProps) {
  const { active } = material;
  const waits = isNotChosen(material);
  const { whole, isAway } = useWholeMaterial(line.materialId);
  const bringsActives = material.countsAsActive === true || material.parts !== undefined;
  return (
    <tr className={classes.detail}>
      <td colSpan={2} />
      <td colSpan={5}>
        <div className={classes.facts}>
          {!waits && (
            <p className={classes.inci}>
              <strong>{material.name}</strong>
              <br />
              {material.parts !== undefined && "a blend, computed from its parts"}
              {material.parts === undefined && whole !== null && shownInci(whole)}
            </p>
          )}
          {line.asWritten !== undefined && <p>In the recipe: “{line.asWritten}”</p>}
          {waits && isDraft && <ChooseMaterial line={line} />}
          {bringsActives && (line.lots ?? []).length === 0 && (
            <label className={classes.field}>
              strength on the certificate
              <TextInput
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
          {!waits && <LotsOfLine line={line} material={material.slug} isDraft={isDraft} take={actions.takeLots} />}
          {isDraft && !waits && <AsSolution line={line} material={material.slug} />}
          {!waits && REMEMBERED.has(material.role) && <RememberedPart key={material.slug} material={material.slug} />}
          {isDraft && material.countsAsActive === true && <Exchange lineId={line.id} />}
          {problem !== undefined && <p className={classes.problem}>{problem}</p>}
          <label className={classes.field}>
            phase
            <NativeSelect
              aria-label="Phase of this line"
              value={line.phase}
              disabled={!isDraft}
              onChange={(event) => actions.sendToPhase(line.id, event.currentTarget.value)}
            >
              {[...phaseLetters].map((letter) => (
                <option key={letter}>{letter}</option>
              ))}
            </NativeSelect>
            {whole?.use != null && (
              <span className={classes.typical}>
                usual dose {writtenShort(whole.use.low, 4)} to {writtenShort(whole.use.high, 4)} %
              </span>
            )}
          </label>
          {whole === null && <p>{isAway ? "What to know about it could not be read just now." : "Reading what to know about it …"}</p>}
          {whole !== null && !waits && <p>{whole.handling}</p>}
          {whole !== null && whole.caution !== null && <p className={classes.caution}>{whole.caution}</p>}
        </div>
      </td>
    </tr>
  );
}

/** All that is known of a material; it comes with the library, not with every sheet. */
function useWholeMaterial(materialId: string): { readonly whole: Material | null; readonly isAway: boolean } {
  const [found, setFound] = useState<{ whole: Material | null; isAway: boolean }>({ whole: null, isAway: false });
  useEffect(() => {
    let isGone = false;
    void import("../../frame/materialStore")
      .then(({ loadMaterialStore }) => loadMaterialStore())
      .then(({ all }) => ({ whole: all.find(({ id }) => id === materialId)?.facts ?? null, isAway: false }))
      .catch(() => ({ whole: null, isAway: true }))
      .then((answer) => {
        if (!isGone) setFound(answer);
      });
    return () => {
      isGone = true;
    };
  }, [materialId]);
  return found;
}
