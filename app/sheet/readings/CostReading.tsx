import { wholeLines } from "@tensidrum/core/formula";
import { costOf, costOfParts, type PackPrice } from "@tensidrum/core/packaging";
import { namedAsWritten, shownMaterial } from "@tensidrum/core/library";
import { lotsOfLine, packPriceOf } from "@tensidrum/core/inventory";
import { useMemo } from "react";
import { useUnits } from "../../frame/units";
import { useReadingsInSight } from "../JudgedSheet";
import { useShelfLots } from "../shelfLots";
import { useSheet } from "../SheetState";
import { lineLots } from "../typed/lineLots";
import type { TypedLineLot } from "../typed/typedSheet";
import { EstimateMark } from "../../components/estimates/EstimateMark";
import classes from "./MoreReadings.module.css";

/** The price of the lots a line is weighed from, as one pack; null where none is chosen or one has no price. */
function packOfLots(lots: readonly TypedLineLot[], lineGrams: number): PackPrice | null {
  const { grams, price } = lotsOfLine(lineLots(lots), lineGrams);
  return price === null || grams === 0 ? null : { price, packGrams: grams };
}

/** What the batch costs by the lots on the shelf. */
export function CostReading() {
  const { known, editor } = useSheet();
  const { money } = useUnits();
  const lots = useShelfLots();
  const { formula, shown } = useReadingsInSight(false);
  const cost = useMemo(() => {
    if (lots === null) return null;
    const whole = wholeLines(formula);
    const materialOf = new Map(whole.map(({ id, material }) => [id, material]));
    const writtenOf = new Map(whole.map(({ id, asWritten }) => [id, asWritten]));
    const chosen = new Map(editor.typed.lines.map((line) => [line.id, line.lots ?? []]));
    const lines = shown.lines.map(({ id, grams }) => ({
      line: id,
      grams,
      pack: packOfLots(chosen.get(id) ?? [], grams) ?? packPriceOf(lots, materialOf.get(id) ?? ""),
    }));
    const of = costOf(lines, formula.batchGrams);
    const names = of.unpriced.map((id) => {
      const material = known.materials.bySlug.get(materialOf.get(id) ?? "");
      return material === undefined ? id : shownMaterial(namedAsWritten(material, writtenOf.get(id))).name;
    });
    return {
      ...of,
      names,
      parts: costOfParts(formula, lines),
      isPriced: of.unpriced.length < lines.filter(({ grams }) => grams > 0).length,
    };
  }, [lots, formula, shown, known, editor.typed.lines]);
  if (cost === null || !cost.isPriced) return <p className={classes.none}>Cost: no prices of these materials are on the shelf.</p>;
  return (
    <p className={classes.line}>
      <strong>Cost {money(cost.per100Grams ?? 0)}</strong> for 100 g, {money(cost.total)} for the batch <EstimateMark of="cost" />
      {cost.parts.length > 0 && (
        <>
          <br />
          Materials for 100 g: {cost.parts.map(({ name, per100Grams }) => `${name} ${money(per100Grams ?? 0)}`).join(", ")}
        </>
      )}
      {cost.names.length > 0 && (
        <>
          <br />
          {cost.names.length === 1 ? "One line has no price" : `${cost.names.length} lines have no price`}: {cost.names.join(", ")}. The
          batch costs more than that.
        </>
      )}
    </p>
  );
}
